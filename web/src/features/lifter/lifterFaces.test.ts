import { describe, expect, it } from "vitest";
import { alikeSince, figure, lifterFaces, lineOf, pressing, type ValveChain } from "./lifterFaces";

function valve(position: string, change: Partial<ValveChain> = {}): ValveChain {
  return {
    position,
    verdict: "RUN",
    reasons: [
      {
        kind: "INTERVAL",
        asks: "RUN",
        said: { code: "LIFTER.INTERVAL", figures: { hours: 12, intervalHours: 40 }, name: "" },
      },
    ],
    symptoms: [],
    seen: [],
    toInterval: 28,
    lifter: undefined,
    drift: {
      position,
      strength: "STEADY",
      signal: "STEADY",
      said: { code: "LASH.STEADY", figures: {}, name: "" },
      chance: { steady: 1, opening: 0, closing: 0, stepOpen: 0, stepTight: 0 },
      sum: 0,
      points: [
        {
          round: "r",
          engineHours: 1,
          ownThou: 0.4,
          sdThou: 0.8,
          pathThou: 0.4,
          up: 0,
          down: 0,
          stepped: 0,
        },
      ],
    },
    ...change,
  } as ValveChain;
}

const drifting = valve("5E", {
  drift: {
    ...valve("5E").drift,
    strength: "FINDING",
    signal: "OPENING",
    said: {
      code: "LASH.OPENING",
      figures: { sure: 1, thouPerHour: 1.2, sinceHours: 6.2, fromHours: 5.5, toHours: 7, movedThou: 2.4 },
      name: "",
    },
  },
});

describe("the plan of lifters", () => {
  it("shows which way the lash goes by a mark of its own", () => {
    expect(lifterFaces([drifting, valve("1I")], "drift", "thou")).toEqual({
      "5E": { text: "+0.4", mark: "WIDE" },
      "1I": { text: "+0.4", mark: "IN" },
    });
  });

  it("says nothing where nothing could be compared", () => {
    const unread = valve("1I", { drift: { ...valve("1I").drift, strength: "UNKNOWN", points: [] } });
    expect(lifterFaces([unread], "drift", "thou")["1I"]).toEqual({ text: "–", mark: undefined });
  });

  it("shows millimetres to those who read them", () => {
    expect(figure(drifting, "drift", "mm")).toBe("+0.01");
  });

  it("puts a drift before a lifter to watch, and a lifter over its interval before one to watch", () => {
    const watched = valve("6I", { verdict: "WATCH" });
    const over = valve("3I", { verdict: "CHANGE" });
    expect(pressing([watched, valve("1I"), over, drifting]).map((v) => v.position)).toEqual([
      "5E",
      "3I",
      "6I",
    ]);
  });

  it("brings up a valve that ticks", () => {
    const ticks = valve("4E", { symptoms: ["NOISE"] });
    expect(pressing([valve("1I"), ticks])).toEqual([ticks]);
    expect(lineOf(ticks, "thou")).toBe("ticks when hot");
  });

  it("lets the drift speak before the hours", () => {
    expect(lineOf(drifting, "thou")).toMatch(/^lash opening 1.2 thou an hour since about 6.2 h/);
    expect(lineOf(drifting, "mm")).toContain("opening 0.030 mm an hour");
    expect(lineOf(valve("1I"), "thou")).toContain("interval");
  });
});

describe("what all valves did alike since a valve began", () => {
  const rounds = [
    [1, "HOT", 0.2],
    [2, "HOT", 0.5],
    [3, "HOT", -0.3],
    [4, "COLD", 6],
    [5, "HOT", 0.9],
  ].map(([engineHours, state, allThou]) => ({ engineHours, state, allThou }));
  const since = (begunLow?: number) =>
    alikeSince(rounds as Parameters<typeof alikeSince>[0], { ...drifting.drift, begunLow });

  it("is told against the round before, in its temperature state", () => {
    const alike = since(2.4);
    expect(alike?.fromHours).toBe(2);
    expect(alike?.low).toBeCloseTo(-0.8);
    expect(alike?.high).toBeCloseTo(0.4);
  });

  it("is not told without a signal, nor without a round before", () => {
    expect(since()).toBeUndefined();
    expect(since(0.5)).toBeUndefined();
  });
});
