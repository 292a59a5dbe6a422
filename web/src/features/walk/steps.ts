import type { Schemas } from "../../api/client";
import type { ValveFace } from "../../plan/ValvePlan";
import { readFigure, unitName } from "../../units/figures";
import { type LashUnit, readGap, readSize, readTurns } from "../../units/lash";
import { heightText, named, readHeight } from "../../units/load";

export type JobStep = Schemas["Step"];
export type JobState = Schemas["JobState"];
export type Sets = NonNullable<JobState["sets"]>;

/** What a step wants entered before it is done. */
export type Asks = "NOTHING" | "ACCEPT" | "COUNT" | "HEIGHT" | "LASH" | "MARK" | "OUT" | "GAP" | "READ";

const ASKS: Partial<Record<JobStep["act"], Asks>> = {
  ACCEPT: "ACCEPT",
  LAY_OUT: "COUNT",
  STACK: "COUNT",
  COUNTED: "COUNT",
  PUT_AWAY: "COUNT",
  HEIGHT: "HEIGHT",
  ZERO_LASH: "LASH",
  LASH: "LASH",
  SPRING_IN: "MARK",
  SPRING_OUT: "OUT",
  HOOK: "GAP",
  READ: "READ",
};

export const asksOf = (step: JobStep): Asks => ASKS[step.act] ?? "NOTHING";

/** What stands in the box at first. A count at the end proposes nothing: whoever counts must look. */
export function proposal(step: JobStep): string {
  switch (asksOf(step)) {
    case "COUNT":
      return step.act === "COUNTED" || step.figure === undefined ? "" : String(step.figure);
    case "MARK":
      return step.word ?? "";
    default:
      return "";
  }
}

export type Entered = { figure?: number; word?: string } | { trouble: string };

/** What was entered, as the step wants it, or what is wrong with it in words. */
export function entered(step: JobStep, text: string, unit: LashUnit, sets: Sets): Entered {
  const t = text.trim();
  switch (asksOf(step)) {
    case "COUNT": {
      if (step.act === "STACK" && /[.,]/.test(t)) return stack(t, unit);
      const n = Number(t);
      return t !== "" && Number.isInteger(n) && n >= 0
        ? { figure: n, word: step.act === "STACK" ? undefined : step.word }
        : { trouble: "how many? A whole number" };
    }
    case "HEIGHT": {
      const h = readHeight(t, unit);
      return h === undefined ? { trouble: `"${t}" is no height: 1.950` } : { figure: h, word: t };
    }
    case "LASH": {
      const typed = readSet(t, unit, sets);
      if (typed.kind === "figure" || typed.kind === "length") return { figure: typed.inch, word: t };
      if (typed.kind === "turns") return { figure: typed.turns, word: t };
      return { trouble: typed.kind === "unclear" ? typed.why : SUCH_AS[sets] };
    }
    case "READ": {
      const v = readFigure(t, step.within?.unit, unit);
      return v === undefined ? { trouble: `"${t}" is no figure` } : { figure: v };
    }
    case "MARK":
      return t === "" ? { trouble: "which spring goes in?" } : { word: t };
    case "OUT":
      return { word: t === "" ? step.word : t };
    case "GAP":
      return { word: t === "" ? "GAP" : t };
    default:
      return { figure: step.figure, word: step.word };
  }
}

const SUCH_AS: Record<Sets, string> = {
  LASH: "what it reads, such as 18",
  TURNS: "turns down from zero lash, such as 1/2",
  LENGTH: "a length or size, such as 7.850",
};

function readSet(text: string, unit: LashUnit, sets: Sets) {
  if (sets === "LASH") return readGap(text, unit);
  return sets === "TURNS" ? readTurns(text) : readSize(text, unit, "length or size");
}

/** A stack written by its sizes: as many pieces as figures, kept as written. */
function stack(text: string, unit: LashUnit): Entered {
  const pieces = text.split(/[\s+;]+/).filter((s) => s !== "");
  return pieces.every((s) => readHeight(s, unit) !== undefined)
    ? { figure: pieces.length, word: named(text, unit) }
    : { trouble: `"${text}" is no stack: 0.015 0.030, or how many pieces` };
}

/** The label over the box. */
export function boxLabel(step: JobStep, unit: LashUnit, sets: Sets): string {
  switch (asksOf(step)) {
    case "COUNT":
      return step.act === "STACK" ? "Pieces, or their sizes from the bottom" : "How many";
    case "HEIGHT":
      return `Installed height, ${unit === "mm" ? "mm" : "in"}, wanted ${heightText(step.figure, unit)}`;
    case "LASH":
      if (sets === "TURNS") return "Turns down from zero lash";
      if (sets === "LASH") return `As left, in ${unit === "mm" ? "mm" : "thou"}`;
      return `${step.act === "ZERO_LASH" ? "Length at zero lash" : "Size that went in"}, in ${unit === "mm" ? "mm" : "inches"}`;
    case "READ":
      return `What it reads, ${step.within ? unitName(step.within.unit, unit) : ""}`;
    case "MARK":
      return "Mark of the spring that goes in";
    default:
      return "";
  }
}

/** The valves of a job on the plan: by shape where each stands. */
export function jobFaces(state: JobState): Record<string, ValveFace> {
  return Object.fromEntries(
    state.valves.map((v) => [
      v.position,
      { text: "", mark: v.mark === "LOST" ? "CHANGE" : v.mark, lit: true },
    ]),
  );
}

/** "12 min" since a moment, for a banner that counts. */
export function sinceText(since: string | undefined, now: number): string {
  if (!since) return "";
  const minutes = Math.max(0, Math.floor((now - new Date(since).getTime()) / 60000));
  return minutes < 1
    ? "just now"
    : minutes < 120
      ? `for ${minutes} min`
      : `for ${Math.floor(minutes / 60)} h`;
}
