import { useQuery, useQueryClient } from "@tanstack/react-query";
import { stock as stockQuery, turnaround as turnaroundQuery } from "../../api/queries";

/** Parts as they are known, and a word for everything that hangs on them when one changes. */
export function useStock() {
  const queries = useQueryClient();
  const query = useQuery(stockQuery());
  const changed = () => {
    void queries.invalidateQueries({ queryKey: stockQuery().queryKey });
    void queries.invalidateQueries({ queryKey: turnaroundQuery().queryKey });
  };
  return { stock: query.data, error: query.error, changed };
}
