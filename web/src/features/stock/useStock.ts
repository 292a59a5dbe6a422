import { useQuery, useQueryClient } from "@tanstack/react-query";
import { stock as stockQuery, turnaround as turnaroundQuery } from "../../api/queries";

/** Parts as they are known, and a word for everything that hangs on them when one changes. */
export function useStock() {
  const queries = useQueryClient();
  const query = useQuery(stockQuery());
  const changed = async () => {
    void queries.invalidateQueries({ queryKey: turnaroundQuery().queryKey });
    // A form that opens now has to know what was just kept.
    await queries.invalidateQueries({ queryKey: stockQuery().queryKey });
  };
  return { stock: query.data, error: query.error, changed };
}
