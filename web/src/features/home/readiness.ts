import type { Schemas } from "../../api/client";

export interface Readiness {
  openRound?: Schemas["RoundLine"];
  next?: Schemas["EventView"];
  days: string;
  /** Nothing about the valves stands between this engine and its next event. */
  done: boolean;
  words: string;
}

const DAY_MS = 86_400_000;

/** What stands between an engine and its next event, as far as the valves go. */
export function readiness(
  rounds: Schemas["RoundLine"][],
  events: Schemas["EventView"][],
  since: Schemas["SinceRound"] | undefined,
  today: Date = new Date(),
): Readiness {
  const next = events.find((e) => e.runHours === undefined);
  const days = next ? inDays(next.date, today) : "";
  const openRound = rounds.find((r) => !r.signedBy);
  if (openRound) {
    const words = `Lash round open: ${openRound.read} of ${openRound.valves} valves done`;
    return { openRound, next, days, done: false, words };
  }
  const last = rounds[0];
  if (!last) return { next, days, done: false, words: "No lash round is on record yet" };
  return since && !since.stands
    ? { next, days, done: false, words: `${since.ranHours.toFixed(1)} h run since the last lash round` }
    : {
        next,
        days,
        done: true,
        words: `Valves run at ${last.engineHours.toFixed(1)} h, signed ${last.signedBy}`,
      };
}

function inDays(date: string, today: Date): string {
  const days = Math.round((Date.parse(`${date}T12:00:00`) - today.getTime()) / DAY_MS);
  if (days < 0) return `${-days} days ago`;
  if (days === 0) return "today";
  return days === 1 ? "tomorrow" : `in ${days} days`;
}
