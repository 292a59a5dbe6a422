import type { Schemas, Valve } from "../../api/client";
import type { ValveFace } from "../../plan/ValvePlan";
import type { LashUnit } from "../../units/lash";
import { heightText, loadText, percentText } from "../../units/load";

export type SpringAt = Schemas["SpringAt"];

/** What the plan shows of each spring. */
export const SHOWN = [
  ["load", "Load"],
  ["loss", "Loss %"],
  ["next", "Loss next %"],
  ["hours", "Hours"],
  ["height", "Height"],
  ["bind", "To bind"],
] as const;
export type SpringShown = (typeof SHOWN)[number][0];

/** One spring's figure of the kind that is shown. */
export function springFigure(s: SpringAt, shown: SpringShown, unit: LashUnit): string {
  switch (shown) {
    case "load":
      return loadText(s.lastLbf, unit, 0);
    case "loss":
      return percentText(s.said.outlook?.lossNow.mid);
    case "next":
      return percentText(s.said.outlook?.lossAtNext.mid);
    case "hours":
      return s.hours.toFixed(1);
    case "height":
      return heightText(s.heightIn, unit).replace(/^0\./, ".");
    case "bind":
      return s.fit.bindClearanceIn === undefined
        ? "–"
        : heightText(s.fit.bindClearanceIn, unit).replace(/^0\./, ".");
  }
}

export function springFaces(
  springs: SpringAt[],
  shown: SpringShown,
  unit: LashUnit,
): Record<Valve, ValveFace> {
  return Object.fromEntries(
    springs.map((s) => [s.position, { text: springFigure(s, shown, unit), mark: s.said.verdict }]),
  );
}

/** Loss of each spring at an engine hour: as its last test before showed it, or as predicted. */
export function lossFacesAt(springs: SpringAt[], hour: number, nowHours: number): Record<Valve, ValveFace> {
  return Object.fromEntries(
    springs.map((s) => {
      const own = hour - (nowHours - s.hours);
      const seen = s.losses.filter((l) => l.hours <= own + 1e-6).at(-1);
      const at = hour > nowHours ? nearest(s.predicted, own) : seen;
      return [s.position, { text: percentText(at?.loss) }];
    }),
  );
}

function nearest(ahead: SpringAt["predicted"], own: number) {
  return [...ahead].sort((a, b) => Math.abs(a.hours - own) - Math.abs(b.hours - own))[0];
}

/** Hours left as a range in words. */
export function hoursLeftText(left: Schemas["HoursLeft"] | undefined): string {
  if (!left) return "–";
  const low = left.low;
  if (low === undefined) return "over 1000 h";
  if (left.high === undefined) return `${low.toFixed(1)} h and more`;
  const [a, b] = [low.toFixed(1), left.high.toFixed(1)];
  return a === b ? `${a} h` : `${a} to ${b} h`;
}
