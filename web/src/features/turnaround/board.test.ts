import { describe, expect, it } from "vitest";
import { lanes, minutesBetween, standing, type Task, type Turnaround, waits } from "./board";
import { at, chanceWords, duration, standingWords, taskWords } from "./words";

const SHEET: Task["sheet"] = { only: [], after: [], begunBy: [] };

const task = (id: string, more: Partial<Task> = {}): Task => ({
  id,
  kind: "BY_HAND",
  words: id,
  positions: [],
  because: [],
  weight: "MUST",
  minutes: 30,
  timed: 0,
  hands: 1,
  sheet: SHEET,
  ...more,
});

const hand = (name: string) => ({ hand: { name, week: [], away: [], gone: false } });

const placed = (id: string, start: string, end: string, ...hands: string[]) => ({
  id,
  start: `2026-11-30T${start}:00`,
  end: `2026-11-30T${end}:00`,
  hands,
  cause: "NOW" as const,
  causeName: "",
});

const turnaround = (more: Partial<Turnaround> = {}): Turnaround => ({
  now: "2026-11-30T08:00:00",
  truck: { leaves: "2026-12-03T18:00:00", assumed: true },
  engines: [],
  hands: [hand("KV"), hand("MO")],
  tasks: [
    task("hot round"),
    task("springs", { sheet: { ...SHEET, after: [{ id: "hot round", minutes: 240 }] } }),
  ],
  orders: [],
  plan: {
    placed: [placed("springs", "13:00", "14:00", "KV"), placed("hot round", "08:00", "09:00", "KV")],
    left: [],
    ends: "2026-11-30T14:00:00",
    best: true,
    late: [],
    chance: 0.97,
    chain: ["hot round", "springs"],
  },
  ...more,
});

describe("the board", () => {
  it("tells each hand what to begin with and what comes then", () => {
    const [kv, mo] = lanes(turnaround());
    expect(kv?.now?.task.id).toBe("hot round");
    expect(kv?.later.map((p) => p.task.id)).toEqual(["springs"]);
    expect(mo?.now).toBeUndefined();
  });

  it("shows what a hand is at before anything else", () => {
    const begun = task("springs", { sheet: { ...SHEET, begunAt: "2026-11-30T07:00:00Z", begunBy: ["KV"] } });
    const [kv] = lanes(turnaround({ tasks: [task("hot round"), begun] }));
    expect(kv?.at?.task.id).toBe("springs");
    expect(kv?.later.map((p) => p.task.id)).toEqual(["hot round"]);
  });

  it("names the waits that need nobody", () => {
    expect(waits(turnaround()).map((w) => [w.after.id, w.task.id, w.to])).toEqual([
      ["hot round", "springs", "2026-11-30T13:00:00"],
    ]);
  });

  it("is in time, narrow, late or done", () => {
    const t = turnaround();
    const plan = t.plan;
    if (!plan) throw new Error("no plan");
    expect(standing(t)).toBe("IN_TIME");
    expect(standing(turnaround({ plan: { ...plan, chance: 0.89 } }))).toBe("NARROW");
    expect(standing(turnaround({ plan: { ...plan, late: ["springs"] } }))).toBe("LATE");
    expect(standing(turnaround({ plan: undefined }))).toBe("MAKING");
    expect(standing(turnaround({ tasks: [task("polish", { weight: "COULD" })] }))).toBe("DONE");
  });

  it("says how much is to spare", () => {
    expect(standingWords(turnaround(), "IN_TIME")).toBe("ready 14:00, 3 d 4 h to spare");
    expect(minutesBetween("2026-11-30T08:00:00", "2026-11-30T09:30:00")).toBe(90);
  });
});

describe("its words", () => {
  it("name the day only where it is another", () => {
    expect(at("2026-11-30T14:00:00", "2026-11-30T08:00:00")).toBe("14:00");
    expect(at("2026-12-01T09:30:00", "2026-11-30T08:00:00")).toBe("Tue 09:30");
    expect(at("2026-12-06T09:30:00", "2026-11-30T08:00:00")).toBe("Sun 09:30");
    expect(at("2026-12-07T09:30:00", "2026-11-30T08:00:00")).toBe("Mon 7. 09:30");
    expect(duration(59)).toBe("59 min");
    expect(duration(150)).toBe("2 h 30 min");
  });

  it("say what a task is", () => {
    expect(taskWords(task("x", { kind: "LASH_ROUND" }))).toBe("Run the valves");
    expect(taskWords(task("x", { kind: "SPRING_CHANGE", positions: ["3E", "4I"] }))).toBe(
      "Change the springs of 3E 4I",
    );
    expect(chanceWords(0.83)).toBe("83 of 100 such turnarounds make it");
    expect(chanceWords(1)).toContain("bad luck");
  });
});
