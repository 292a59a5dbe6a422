import type { Schemas } from "../../api/client";
import type { LashUnit } from "../../units/lash";
import { say } from "../../words/said";

type Reason = Schemas["ReadinessReason"];

const NAMED = 6;

function list(positions: readonly string[]): string {
  const more = positions.length - NAMED;
  return positions.slice(0, NAMED).join(", ") + (more > 0 ? ` and ${more} more` : "");
}

/** One reason for or against the next event, as a person would say it. */
export function reasonWords(r: Reason, unit: LashUnit): string {
  const because = r.because ? say(r.because, unit) : "";
  const at = list(r.positions);
  switch (r.code) {
    case "OPEN_JOB":
    case "OPEN_ITEM":
    case "NOT_WHOLE":
      return at === "" ? because : `${at}: ${because}`;
    case "PLUGS_DUE":
      return `plugs are due at ${(r.hours ?? 0).toFixed(1)} h`;
    case "OIL_DUE":
      return `oil is due at ${(r.hours ?? 0).toFixed(1)} h`;
    case "FUEL_STANDS":
      return "fuel stands in it that wants drying";
    case "NO_SPRINGS":
      return "no springs are on record";
    case "SPRINGS_NEVER_TESTED":
      return "its springs were never tested";
    case "SPRINGS_NOT_TESTED":
      return `springs not tested yet: ${at}`;
    case "SPRING_CHANGE":
      return `${at}'s spring: ${because}`;
    case "SPRINGS_READ_AGAIN":
      return `read again before it is changed, and before it runs: ${at}`;
    case "SPRINGS_WATCH":
      return `springs to watch: ${at}`;
    case "VALVES_WITHOUT_SPRING":
      return `valves without a spring on record: ${at}`;
    case "SPRING_SEEN":
    case "ROCKER_SEEN":
      return `${at}: ${because} (seen at ${(r.hours ?? 0).toFixed(1)} h)`;
    case "ROUND_OPEN":
      return "a lash round is open";
    case "NO_ROUND":
      return "no lash round is on record";
    case "RAN_SINCE_ROUND":
      return `it ran ${(r.hours ?? 0).toFixed(1)} h since the last lash round`;
    case "LEFT_UNDONE":
      return `${at} was left undone or out of tolerance`;
    case "LASH_MOVES":
      return `${at}'s lash: ${because}; find out why`;
    case "LASH_MOVES_LOOKED_AT":
      return `${at}'s lash: ${because}`;
    case "TICKS_HOT":
      return `${at} ticks when hot: find out why`;
    case "LIFTER_CHANGE":
      return `${at}'s lifter: ${because}`;
    case "LIFTERS_WATCH":
      return `lifters to watch: ${at}`;
  }
}
