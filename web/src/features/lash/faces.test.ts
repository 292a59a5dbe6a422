import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { domains } from "../../charts/LashChart";
import type { Parcel } from "../../outbox/parcel";
import { nth } from "../../ui/nth";
import { facesAt, visitAt } from "./faces";
import { roundFaces } from "./roundFaces";
import type { Round, ValveView } from "./useRound";

const point = (engineHours: number, over: Partial<Schemas["Point"]> = {}): Schemas["Point"] => ({
  engineHours,
  state: "HOT",
  foundIn: 0.02,
  leftIn: 0.018,
  leftVerdict: "IN",
  foundVerdict: "WIDE",
  driftIn: 0.002,
  at: String(engineHours),
  ...over,
});
const lash = {
  valves: [
    { position: "1I", points: [point(1), point(3, { leftIn: 0.019 })] },
    { position: "1E", points: [] },
  ],
  changes: [],
  targets: [],
  preloads: [],
  growth: [],
} as Schemas["EngineLash"];

describe("the plan at an hour", () => {
  it("shows the latest visit up to that hour", () => {
    expect(visitAt(nth(lash.valves, 0).points, 2)?.engineHours).toBe(1);
    expect(visitAt(nth(lash.valves, 0).points, null)?.engineHours).toBe(3);
    expect(visitAt(nth(lash.valves, 0).points, 0.5)).toBeUndefined();
  });

  it("shows what was asked for, and nothing where nothing was read", () => {
    expect(facesAt(lash, null, "left", "thou")).toEqual({ "1I": { text: "19", mark: "IN" } });
    expect(facesAt(lash, 1, "found", "thou")["1I"]).toEqual({ text: "20", mark: "WIDE" });
    expect(facesAt(lash, null, "drift", "thou")["1I"]?.text).toBe("+2");
    expect(facesAt(lash, null, "left", "mm")["1I"]?.text).toBe("0.48");
  });

  it("gives the small charts one range", () => {
    const { hours, lash: range } = domains(lash.valves);
    expect(hours).toEqual([0, 3]);
    expect(range[0]).toBeLessThan(0.018);
    expect(range[1]).toBeGreaterThan(0.02);
  });
});

describe("the plan during a round", () => {
  const reading = (valueIn: number, over = {}): Schemas["ReadingView"] => ({
    id: "x",
    form: "FIGURE",
    valueIn,
    hand: "KV",
    takenAt: "",
    version: 0,
    ...over,
  });
  const valve = (position: string, over: Partial<ValveView>): ValveView => ({
    position,
    stop: 1,
    slackDeg: 40,
    status: "OPEN",
    ...over,
  });
  const held = { kind: "look", roundId: "r", valve: "3E", held: true } as Parcel;
  const waits = { kind: "look", roundId: "r", valve: "1E", held: false } as Parcel;
  const faces = roundFaces(
    {
      valves: [
        valve("1I", {}),
        valve("1E", { status: "DONE", found: reading(0.02), left: reading(0.018), leftVerdict: "IN" }),
        valve("2I", { status: "SKIPPED", stop: 2 }),
        valve("2E", { spring: "BROKEN", found: reading(0.02), foundVerdict: "IN" }),
        valve("3E", { found: reading(0.02), foundVerdict: "IN" }),
        valve("3I", {
          found: reading(0, { valueIn: undefined, turns: 0.375, form: "TURNS" }),
          preloadTarget: { unit: "TURNS" } as ValveView["preloadTarget"],
        }),
      ],
    } as Round,
    1,
    "thou",
    [held, waits],
  );

  it("asks again where Shim has not taken something, not where it only waits", () => {
    expect(faces["3E"]?.mark).toBe("AGAIN");
    expect(faces["1E"]?.mark).toBe("IN");
  });

  it("lights what is still to do at this stop", () => {
    expect(faces["1I"]).toEqual({ text: "", mark: undefined, lit: true });
    expect(faces["1E"]).toEqual({ text: "18", mark: "IN", lit: false });
    expect(faces["2I"]?.lit).toBe(false);
  });

  it("puts a broken spring before any lash, and counts turns", () => {
    expect(faces["2E"]?.mark).toBe("LOOK");
    expect(faces["2I"]?.mark).toBe("ASIDE");
    expect(faces["3I"]?.text).toBe("0.38");
  });
});
