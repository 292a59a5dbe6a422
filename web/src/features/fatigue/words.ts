import type { Schemas } from "../../api/client";
import type { LashUnit } from "../../units/lash";
import { loadText, loadUnit, percentText } from "../../units/load";

/** What is asked about a reading before anything is concluded from it. */
export function askText(ask: Schemas["LoadAsk"], unit: LashUnit): string {
  const load = (lbf: number | undefined, digits = 0) => `${loadText(lbf, unit, digits)} ${loadUnit(unit)}`;
  const read = load(ask.readLbf, 1);
  const expected = load(ask.expectedLbf);
  const meant = load(ask.meantLbf, 1);
  switch (ask.code) {
    case "TEN_TIMES":
      return `${read} is ten times the ${expected} expected: ${meant}?`;
    case "TENTH":
      return `${read} is a tenth of the ${expected} expected: ${meant}?`;
    case "NEWTON":
      return `${read} is far over the ${expected} expected; as newtons it is ${meant}: was it N?`;
    case "KILOGRAM":
      return `${read} is far under the ${expected} expected; as kilograms it is ${meant}: was it kg?`;
    case "READ_AGAIN":
      return `${read} where ${expected} was predicted: set it up once more, measure the height, and read again`;
    default:
      return `${read} where ${expected} is expected: is it the right valve, height and spring?`;
  }
}

/** A tester that moved within the test, or more than it usually does. */
export function habitText({ kind, percent, habitPercent }: Schemas["TesterHabit"]): string {
  const by = Math.abs(percent).toFixed(1);
  return kind === "WITHIN_THE_TEST"
    ? `The tester moved ${percent < 0 ? "−" : "+"}${by} % between start and end: read those in between again`
    : `The tester reads ${by} % ${percent < 0 ? "lower" : "higher"} than it usually does (its habit is ±${habitPercent.toFixed(1)} %); the check spring takes that out`;
}

/** What the check spring says of the tester today. */
export function dayText({ percent, sdPercent, correction }: Schemas["DayView"]): string {
  const by = `${Math.abs(percent).toFixed(1)} % ${percent < 0 ? "low" : "high"}`;
  return `The tester reads ${by} today (±${sdPercent.toFixed(1)}): readings are multiplied by ${correction.toFixed(4)}`;
}

/** One spring or the whole set, and what speaks for each; the first line is the advice. */
export function adviceTexts(a: Schemas["SetAdvice"]): string[] {
  const which = a.change.join(" ");
  const due = `${a.soon} of ${a.of} are due inside the next two events`;
  return [
    a.wholeSet ? `Change the set: ${due}.` : `Change ${which}, matched from stock: ${due}.`,
    `Spread of loss in the set ${percentText(a.spreadNow)} points now, ${percentText(a.spreadAfter)} with ${which} renewed.`,
    a.school === "WHOLE_SET"
      ? "Your school: the whole set, so that all age together. The other: a matched single from stock costs less and opens fewer valves."
      : "Your school: a matched single. The other: the whole set, so that all age together and none is opened twice.",
  ];
}
