import { useQuery } from "@tanstack/react-query";
import { stock as stockQuery } from "../../api/queries";

/** Parts as they are known. */
export function useStock() {
  const query = useQuery(stockQuery());
  return { stock: query.data, error: query.error };
}
