import type { Schemas } from "../../api/client";

type SpringAt = Schemas["SpringAt"];

const WEIGHT = { CHANGE: 2, WATCH: 1, RUN: 0 } as const;

/** Worst first: by verdict, then by the chance of being under a limit, then by loss. */
export function worstFirst(springs: SpringAt[]): SpringAt[] {
  return [...springs].sort(
    (a, b) =>
      WEIGHT[b.said.verdict] - WEIGHT[a.said.verdict] ||
      b.said.underAtNext - a.said.underAtNext ||
      b.said.lossNow.mid - a.said.lossNow.mid,
  );
}
