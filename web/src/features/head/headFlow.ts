import type { Valve } from "../../api/client";
import type { Head, What } from "./measures";

/** Where something is measured: one of the three. */
export interface Place {
  valve?: Valve;
  cylinder?: number;
  bank?: number;
}

/** A figure, kept or still on its way. */
export interface Figure extends Place {
  what: What;
  figure: number;
}

export const same = (a: Place, b: Place) =>
  a.valve === b.valve && a.cylinder === b.cylinder && a.bank === b.bank;

export const placeName = (p: Place, head: Head) =>
  p.valve ??
  (p.cylinder !== undefined ? `cylinder ${p.cylinder}` : (head.layout.banks[p.bank ?? 0]?.name ?? "head"));

/** All places of a measure, in the order one goes round. */
export function places(head: Head, what: What): Place[] {
  const at = head.measures.find((m) => m.what === what)?.at;
  if (at === "VALVE") return head.layout.banks.flatMap((b) => b.valves.map((valve) => ({ valve })));
  if (at === "CYLINDER")
    return head.layout.banks.flatMap((b) => b.cylinders.map((cylinder) => ({ cylinder })));
  return head.layout.banks.map((_, bank) => ({ bank }));
}

export const readingsOf = (head: Head, what: What) =>
  head.measures.find((m) => m.what === what)?.readings ?? 1;

export const taken = (figures: readonly Figure[], what: What, at: Place) =>
  figures.filter((f) => f.what === what && same(f, at));

/** The next place that wants a figure, from one on and round again; none when all have theirs. */
export function nextPlace(head: Head, figures: readonly Figure[], what: What, from: number): number {
  const all = places(head, what);
  const wanted = readingsOf(head, what);
  for (let i = 0; i < all.length; i++) {
    const at = (from + i + all.length) % all.length;
    const place = all[at];
    if (place && taken(figures, what, place).length < wanted) return at;
  }
  return -1;
}
