import * as z from "zod";
import type { LashUnit } from "./lash";
import { heightText, loadText, readHeight, readLoad, readNumber } from "./load";
import { type Measured, measureBox, readMeasure } from "./measures";

/** How boxes of a form are read: a blank one says nothing, what cannot be read is named. */
type Read = (text: string) => number | undefined;

function readIn(read: Read, text: string, ctx: z.RefinementCtx): number | undefined {
  const value = read(text.trim());
  if (value !== undefined && Number.isFinite(value)) return value;
  ctx.addIssue({ code: "custom", message: `"${text.trim()}" cannot be read` });
  return undefined;
}

const maybe = (read: Read) =>
  z.string().transform((t, ctx) => (t.trim() === "" ? undefined : readIn(read, t, ctx)));

/** A box that Shim filled and nobody touched says what it said before, to the last digit. */
export function untouched(was: number | undefined, text: (n: number) => string, read: Read): Read {
  return (t) => (was !== undefined && t.trim() === text(was) ? was : read(t));
}

/** One figure, or blank. */
export const figure = () => maybe(readNumber);
export const height = (unit: LashUnit, was?: number) =>
  maybe(
    untouched(
      was,
      (n) => heightText(n, unit),
      (t) => readHeight(t, unit),
    ),
  );
export const measured = (of: Measured, unit: LashUnit, was?: number) =>
  maybe(
    untouched(
      was,
      (n) => measureBox(of, n, unit),
      (t) => readMeasure(of, t, unit),
    ),
  );
export const load = (unit: LashUnit, was?: number) =>
  maybe(
    untouched(
      was,
      (n) => loadText(n, unit),
      (t) => readLoad(t, unit),
    ),
  );

/** One figure that has to be there; the words say what is missing. */
export const needed = (words: string) =>
  z.string().transform((t, ctx) => {
    if (t.trim() === "") ctx.addIssue({ code: "custom", message: words });
    else return readIn(readNumber, t, ctx) ?? Number.NaN;
    return Number.NaN;
  });

/** Engine hours now, to a hundredth; they have to be there. */
export const hours = () => needed("a number of hours");
export const hoursText = (engineHours: number) => String(Math.round(engineHours * 100) / 100);

/** Several figures, a blank or a semicolon between them. */
export const several = (read: Read, was: number[] = [], shown: (n: number) => string = String) =>
  z.string().transform((text, ctx) => {
    if (was.length > 0 && text.trim() === was.map(shown).join(" ")) return was;
    return text
      .split(/[\s;]+/)
      .filter((t) => t !== "")
      .map((t) => readIn(read, t, ctx) ?? Number.NaN);
  });

/** Words, or nothing where it is blank. */
/** A time of a lap or a climb as people write it: `1:52.3` or `112.3`. */
export function readSeconds(text: string): number | undefined {
  const [, minutes, rest] = /^\s*(?:(\d+):)?(\d+(?:[.,]\d+)?)\s*$/.exec(text) ?? [];
  if (rest === undefined) return undefined;
  const s = Number(rest.replace(",", "."));
  if (minutes !== undefined && s >= 60) return undefined;
  return Math.round((Number(minutes ?? 0) * 60 + s) * 1000) / 1000;
}

export function secondsText(seconds: number): string {
  const minutes = Math.floor(seconds / 60);
  const rest = (Math.round((seconds - minutes * 60) * 1000) / 1000).toString();
  return minutes === 0 ? rest : `${minutes}:${rest.replace(/^\d+/, (d) => d.padStart(2, "0"))}`;
}

export const seconds = () => maybe(readSeconds);

export const words = () => z.string().transform((t) => t.trim() || undefined);

/** What is in a box at first. */
export const boxText = (value: number | undefined, text: (n: number) => string = String) =>
  value === undefined ? "" : text(value);
