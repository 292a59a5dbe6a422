import type { Schemas, Valve } from "../../api/client";
import { nth } from "../../ui/nth";
import type { Look, Seen } from "./useSeen";

type LookId = Look["look"];

/** A pass over the engine: what is looked at in one go. */
export interface Pass {
  id: string;
  title: string;
  hint: string;
  looks: LookId[];
  hydraulicOnly?: LookId[];
}

export const PASSES: readonly Pass[] = [
  {
    id: "covers",
    title: "Covers off",
    hint: "rockers, pushrods, tips, retainers and locks",
    looks: ["JAM_NUT", "ROCKER", "ROCKER_UNDERSIDE", "PUSHROD", "STEM_TIP", "RETAINER", "LOCKS", "WITNESS"],
  },
  {
    id: "geometry",
    title: "Guide plates and geometry",
    hint: "gap each side, tip contact, pushrod rub",
    looks: ["GUIDE_GAP", "STEM_TIP", "PUSHROD_RUB"],
  },
  {
    id: "lifters",
    title: "Lifters out",
    hint: "wheel, axle, body; plunger and leak-down of hydraulic ones",
    looks: ["WHEEL", "AXLE_PLAY", "BODY", "PLUNGER", "LEAK_DOWN_TIME"],
    hydraulicOnly: ["PLUNGER", "LEAK_DOWN_TIME"],
  },
  {
    id: "lobes",
    title: "Lobe survey",
    hint: "dial at each valve, zero lash, full lift",
    looks: ["LOBE_LIFT"],
  },
  { id: "noise", title: "Noise", hint: "a rod to the ear, cold, then hot", looks: ["TICK_COLD", "TICK_HOT"] },
  {
    id: "cylinders",
    title: "Cylinders",
    hint: "leak-down percent, fluid test",
    looks: ["SEAT_LEAK", "SEAT_FLUID"],
  },
  {
    id: "oil",
    title: "Oil and debris",
    hint: "drained oil, filter, magnet",
    looks: ["OIL", "FILTER", "BEARING", "OIL_USE"],
  },
];

/** One question of a pass: what is looked at, and where. */
export interface Question {
  look: Look;
  valve?: Valve;
  cylinder?: number;
}

/** All questions of a pass: place by place, its looks together. */
export function questions(pass: Pass, looks: Look[], valves: Valve[], hydraulic: boolean): Question[] {
  const wanted = pass.looks
    .filter((l) => hydraulic || !pass.hydraulicOnly?.includes(l))
    .map((id) => looks.find((l) => l.look === id))
    .filter((l): l is Look => l !== undefined);
  switch (wanted[0]?.where) {
    case "VALVE":
      return valves.flatMap((valve) => wanted.map((look) => ({ look, valve })));
    case "CYLINDER":
      return cylinders(valves).flatMap((cylinder) => wanted.map((look) => ({ look, cylinder })));
    case "ENGINE":
      return wanted.map((look) => ({ look }));
    default:
      return [];
  }
}

export const cylinders = (valves: Valve[]): number[] =>
  [...new Set(valves.map((v) => Number.parseInt(v, 10)))].sort((a, b) => a - b);

export const placeOf = (q: Question): string =>
  q.valve ?? (q.cylinder === undefined ? "Engine" : `Cylinder ${q.cylinder}`);

/** The last finding of a question in this session, if it was answered. */
export function answer(q: Question, seen: Schemas["SeenView"][], since: string) {
  return seen
    .filter((s) => s.look === q.look.look && s.valve === q.valve && s.cylinder === q.cylinder)
    .filter((s) => s.seenAt >= since)
    .at(-1);
}

/** The first question of the next place. */
export function nextPlace(all: Question[], at: number, by: 1 | -1): number {
  const here = placeOf(nth(all, at));
  let i = at;
  while (i >= 0 && i < all.length && placeOf(nth(all, i)) === here) i += by;
  if (i < 0 || i >= all.length) return at;
  const there = placeOf(nth(all, i));
  while (i > 0 && placeOf(nth(all, i - 1)) === there) i--;
  return i;
}

/** What a key means at a look that is graded in words: 1 to 4, or Enter for the first, the good one. */
export function graded(look: Look, key: string): string | undefined {
  if (key === "Enter") return look.grades[0]?.word;
  const index = "1234".indexOf(key);
  return index < 0 ? undefined : look.grades[index]?.word;
}

export type Read = { seen: Pick<Seen, "figure" | "otherSide" | "liftIn"> } | { unclear: string };

/** A figure as typed, in the person's unit or with another named: one number, or two gaps with a slash. */
export function readFigure(look: Look, text: string, metric: boolean): Read {
  const [, figures = "", named] = /^(.*?)\s*(mm|in|thou|"|%)?$/i.exec(text.trim()) ?? [];
  const mm = named ? named.toLowerCase() === "mm" : metric;
  const gap = look.unit === "thou" && look.look !== "LOBE_LIFT";
  const parts = figures
    .split("/")
    .map((p) => Number(p.replace(",", ".").trim() || "x"))
    .map((v) => (gap && mm ? Math.round(v / 0.0000254) / 1000 : v));
  if (parts.some((p) => !Number.isFinite(p)) || parts.length > (look.look === "GUIDE_GAP" ? 2 : 1)) {
    return {
      unclear:
        look.look === "GUIDE_GAP"
          ? `one gap, or both sides as ${metric ? "0.13/0.15, in mm" : "5/6, in thou"}`
          : "one figure, please",
    };
  }
  if (look.look === "LOBE_LIFT") {
    const figure = nth(parts, 0);
    const inch = mm ? figure / 25.4 : figure >= 2 ? figure / 1000 : figure;
    return { seen: { liftIn: inch } };
  }
  return { seen: { figure: parts[0], otherSide: parts[1] } };
}
