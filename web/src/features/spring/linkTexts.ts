import type { Schemas } from "../../api/client";
import type { LashUnit } from "../../units/lash";
import { heightText, loadText, readHeight, readLoad, readNumber } from "../../units/load";

type Limit = Schemas["Limit"];
export type Part = Limit["part"];

/** The parts between cam and valve, from the valve to the cam. */
export const PARTS: readonly (readonly [Part, string])[] = [
  ["SPRING", "spring"],
  ["LOCK", "locks"],
  ["ROTATOR", "rotator"],
  ["ROCKER", "rocker"],
  ["STUD", "stud"],
  ["PUSHROD", "pushrod"],
  ["LIFTER", "lifter"],
];

/** One part's limits as typed. */
export interface LinkText {
  load: string;
  lift: string;
  rpm: string;
  /** What of it cannot be read. */
  unread?: string;
}
export type LinkTexts = Record<Part, LinkText>;

export function linkTexts(limits: readonly Limit[], unit: LashUnit): LinkTexts {
  const of = (part: Part): LinkText => {
    const l = limits.find((x) => x.part === part);
    return {
      load: l?.openLbf === undefined ? "" : loadText(l.openLbf, unit),
      lift: l?.liftIn === undefined ? "" : heightText(l.liftIn, unit),
      rpm: l?.rpm === undefined ? "" : String(l.rpm),
    };
  };
  return Object.fromEntries(PARTS.map(([part]) => [part, of(part)])) as LinkTexts;
}

/** The limits that were typed, and beside each row what of it cannot be read. */
export function readLinks(texts: LinkTexts, unit: LashUnit, was: readonly Limit[] = []) {
  const before = linkTexts(was, unit);
  const limits: Limit[] = [];
  const marked = { ...texts };
  let missed = 0;
  for (const [part] of PARTS) {
    const t = texts[part];
    const kept = was.find((l) => l.part === part);
    const same = (key: keyof LinkText, limit: number | undefined) =>
      limit !== undefined && t[key] === before[part][key] ? limit : undefined;
    const read = (text: string, how: (s: string) => number | undefined) => {
      if (text.trim() === "") return undefined;
      const value = how(text);
      return value === undefined || Number.isNaN(value) ? null : value;
    };
    const load = same("load", kept?.openLbf) ?? read(t.load, (s) => readLoad(s, unit));
    const lift = same("lift", kept?.liftIn) ?? read(t.lift, (s) => readHeight(s, unit));
    const rpm = read(t.rpm, readNumber);
    const unread = [load === null && t.load, lift === null && t.lift, rpm === null && t.rpm].filter(Boolean);
    marked[part] = {
      ...t,
      unread: unread.length > 0 ? `"${unread.join('", "')}" cannot be read` : undefined,
    };
    missed += unread.length;
    if (load === null || lift === null || rpm === null) continue;
    if (load !== undefined || lift !== undefined || rpm !== undefined)
      limits.push({ part, openLbf: load, liftIn: lift, rpm });
  }
  return { limits, texts: marked, missed };
}
