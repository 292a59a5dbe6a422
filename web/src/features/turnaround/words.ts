import type { Schemas } from "../../api/client";
import { minutesBetween, type Placed, type Standing, type Task, type Turnaround } from "./board";

const DAYS = ["Sun", "Mon", "Tue", "Wed", "Thu", "Fri", "Sat"];

const NAMED = 4;

function valves(positions: readonly string[]): string {
  const more = positions.length - NAMED;
  return positions.slice(0, NAMED).join(" ") + (more > 0 ? ` and ${more} more` : "");
}

/** What a task is, without its engine. */
export function taskWords(t: Task): string {
  const at = valves(t.positions);
  switch (t.kind) {
    case "BY_HAND":
      return t.words ?? "";
    case "LASH_ROUND":
      return at === "" ? "Run the valves" : `Set the lash of ${at}`;
    case "SPRING_TEST":
      return at === "" ? "Test the springs" : `Test the springs of ${at}`;
    case "SPRINGS_AGAIN":
      return `Read again: the springs of ${at}`;
    case "SPRING_CHANGE":
      return `Change the springs of ${at}`;
    case "LIFTER_LOOK":
      return `Look at the lifters of ${at}`;
    case "LIFTER_CHANGE":
      return `Change the lifters of ${at}`;
    case "ROCKER_REPAIR":
      return `Repair the rockers of ${at}`;
    case "ARRIVAL":
      return `Measure what came: ${t.words}`;
    case "PLUGS":
      return "Plugs out, look, gap, in";
    case "OIL":
      return "Oil and filter";
    case "FUEL":
      return "Drain the fuel, dry what it wetted";
    case "OPEN_JOB":
    case "OPEN_ITEM":
      return t.because[0]?.because?.name ?? "Open work";
  }
}

/** Where the work of a task is done. */
export function taskPage(t: Task): { to: string; words: string } | undefined {
  const at = `/engines/${t.engineId}`;
  switch (t.kind) {
    case "LASH_ROUND":
      return { to: `${at}/start`, words: "Run the valves" };
    case "SPRING_TEST":
    case "SPRINGS_AGAIN":
      return { to: `${at}/test`, words: "To the test" };
    case "SPRING_CHANGE":
    case "ROCKER_REPAIR":
      return { to: `${at}/change`, words: "To the change" };
    case "LIFTER_LOOK":
    case "LIFTER_CHANGE":
      return { to: `${at}/inspect`, words: "To the inspection" };
    case "OPEN_JOB":
      return { to: `/jobs/${t.because[0]?.reference}`, words: "Go on with it" };
    case "OPEN_ITEM":
    case "PLUGS":
    case "OIL":
    case "FUEL":
      return { to: at, words: "To the engine" };
    case "ARRIVAL":
      return { to: "/parts", words: "To the parts" };
    case "BY_HAND":
      return undefined;
  }
}

export function duration(minutes: number): string {
  if (minutes < 60) return `${minutes} min`;
  const hours = Math.floor(minutes / 60);
  if (hours >= 48) return `${Math.floor(hours / 24)} d ${hours % 24} h`;
  return minutes % 60 === 0 ? `${hours} h` : `${hours} h ${minutes % 60} min`;
}

const WEEK_DAYS = 7;

/** A time of the clock on the wall, with its day where that is not today. */
export function at(time: string, now: string): string {
  const clock = time.slice(11, 16);
  const date = time.slice(0, 10);
  if (date === now.slice(0, 10)) return clock;
  const noon = new Date(`${date}T12:00:00Z`);
  const days = minutesBetween(`${now.slice(0, 10)}T00:00:00`, `${date}T00:00:00`) / (24 * 60);
  const name = DAYS[noon.getUTCDay()];
  return days < WEEK_DAYS ? `${name} ${clock}` : `${name} ${noon.getUTCDate()}. ${clock}`;
}

export const STANDINGS: Record<Standing, { shape: string; tone: string }> = {
  MAKING: { shape: "…", tone: "text-muted" },
  DONE: { shape: "✓", tone: "text-ok" },
  IN_TIME: { shape: "✓", tone: "text-ok" },
  NARROW: { shape: "!", tone: "text-wide" },
  LATE: { shape: "✕", tone: "text-tight" },
};

/** The whole turnaround in one sentence. */
export function standingWords(t: Turnaround, is: Standing): string {
  if (!t.plan) return "the plan is being made";
  if (is === "DONE") return "nothing has to be done before the truck leaves";
  if (is === "LATE") {
    const n = t.plan.late.length;
    return `not ready by then: ${n === 1 ? "one task" : `${n} tasks`} will not be done`;
  }
  const ends = `ready ${at(t.plan.ends, t.now)}`;
  if (!t.truck) return ends;
  return `${ends}, ${duration(minutesBetween(t.plan.ends, t.truck.leaves))} to spare`;
}

/** The chance in words nobody has to think about. */
export function chanceWords(chance: number | undefined): string {
  if (chance === undefined) return "";
  const of = Math.round(chance * 100);
  return of >= 99 ? "it would take bad luck to miss it" : `${of} of 100 such turnarounds make it`;
}

/** Why a task does not begin earlier. */
export function causeWords(p: Placed, name: (id: string) => string): string {
  switch (p.cause) {
    case "NOW":
      return "";
    case "BEFORE":
      return `after “${name(p.causeName)}”`;
    case "BUSY":
      return `when “${name(p.causeName)}” is done`;
    case "PART":
      return "its part comes then";
    case "NOBODY_THERE":
      return "nobody is there before";
  }
}

export const LEFT: Record<Schemas["LeftView"]["why"], string> = {
  NO_TIME: "no time before the truck leaves",
  PART_UNKNOWN: "nobody knows when its part comes",
  NOT_WITHOUT: "waits for another that is not in the plan",
  NOBODY: "nobody who may do it is there long enough in one go: split it, or ask somebody in",
};

export const WEIGHTS = [
  ["MUST", "must"],
  ["SHOULD", "should"],
  ["COULD", "could"],
] as const;

export function slipWords(s: Schemas["SlipView"], name: string, now: string): string {
  switch (s.kind) {
    case "LATER":
      return `${name}: ${at(s.was, now)} becomes ${at(s.is, now)}`;
    case "EARLIER":
      return `${name}: can begin ${at(s.is, now)}, not ${at(s.was, now)}`;
    case "CAME":
      return `new: ${name}, ${at(s.is, now)}`;
    case "OTHER_HANDS":
      return `${name}: other hands`;
    case "LEFT_OUT":
      return `${name}: no more in the plan`;
    case "GONE":
      return `${name}: done`;
  }
}

/** What may wait for a part. */
export const waitingTasks = (t: Turnaround) =>
  t.tasks
    .filter((x) => x.sheet.doneAt === undefined)
    .map((x) => ({
      id: x.id,
      text: `${taskWords(x)} ${t.engines.find((e) => e.id === x.engineId)?.name ?? ""}`,
      ...(x.engineId && { engineId: x.engineId }),
    }));
