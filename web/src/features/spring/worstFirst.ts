import type { Schemas } from "../../api/client";

type SpringAt = Schemas["SpringAt"];

const WEIGHT = { CHANGE: 3, WATCH: 2, NOT_TESTED: 1, RUN: 0 } as const;

/** Worst first: by verdict, then by the chance of being under a limit, then by loss. */
export function worstFirst(springs: SpringAt[]): SpringAt[] {
  return [...springs].sort(
    (a, b) =>
      WEIGHT[b.said.verdict] - WEIGHT[a.said.verdict] ||
      (b.said.outlook?.underAtNext ?? 0) - (a.said.outlook?.underAtNext ?? 0) ||
      (b.said.outlook?.lossNow.mid ?? 0) - (a.said.outlook?.lossNow.mid ?? 0),
  );
}
