import type { Schemas } from "../../api/client";

export type Turnaround = Schemas["TurnaroundView"];
export type Task = Schemas["TaskView"];
export type Placed = Schemas["PlacedView"];

/** A task with its place in the plan. */
export interface Planned {
  task: Task;
  placed: Placed;
}

/** What a person has before them. */
export interface Lane {
  hand: string;
  /** What they are at. */
  at?: Planned;
  /** What they begin with, where they are at nothing. */
  now?: Planned;
  later: Planned[];
}

const begun = (t: Task) => t.sheet.begunAt !== undefined;

const byStart = (a: Planned, b: Planned) => a.placed.start.localeCompare(b.placed.start);

/** Tasks that have a place, in order of time. */
export function planned(t: Turnaround): Planned[] {
  const tasks = new Map(t.tasks.map((x) => [x.id, x]));
  return (t.plan?.placed ?? [])
    .flatMap((placed) => {
      const task = tasks.get(placed.id);
      return task ? [{ task, placed }] : [];
    })
    .sort(byStart);
}

/** Hand by hand: what they are at, what they begin with and what comes then. */
export function lanes(t: Turnaround): Lane[] {
  const all = planned(t);
  return t.hands.map(({ hand }) => {
    const own = all.filter((p) => p.placed.hands.includes(hand.name));
    const at = own.find((p) => begun(p.task));
    const rest = own.filter((p) => p !== at);
    return at
      ? { hand: hand.name, at, later: rest }
      : { hand: hand.name, now: rest[0], later: rest.slice(1) };
  });
}

/** Waits that need nobody: a work that can begin only so long after another has ended. */
export interface Wait {
  task: Task;
  after: Task;
  from: string;
  to: string;
}

export function waits(t: Turnaround): Wait[] {
  const all = new Map(planned(t).map((p) => [p.task.id, p]));
  return [...all.values()].flatMap(({ task, placed }) =>
    task.sheet.after.flatMap((a) => {
      const before = all.get(a.id);
      return before && a.minutes > 0
        ? [{ task, after: before.task, from: before.placed.end, to: placed.start }]
        : [];
    }),
  );
}

/** How the turnaround stands: done in time, narrowly, or not. */
export type Standing = "MAKING" | "DONE" | "IN_TIME" | "NARROW" | "LATE";

/** Below this chance a plan that ends in time is a narrow one. */
const SAFE = 0.9;

export function standing(t: Turnaround): Standing {
  if (!t.plan) return "MAKING";
  if (t.plan.late.length > 0) return "LATE";
  const musts = t.tasks.filter((x) => x.weight === "MUST" && x.sheet.doneAt === undefined);
  if (musts.length === 0) return "DONE";
  return (t.plan.chance ?? 0) >= SAFE ? "IN_TIME" : "NARROW";
}

/** Minutes between two times of the clock on the wall. */
export const minutesBetween = (from: string, to: string) =>
  Math.round((Date.parse(`${to}Z`) - Date.parse(`${from}Z`)) / 60_000);
