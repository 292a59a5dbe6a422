import { describe, expect, it } from "vitest";
import { nth } from "../../ui/nth";
import { nextValve, stepOf } from "./flow";
import type { Round, ValveView } from "./useRound";

const valve = (position: string, over: Partial<ValveView> = {}): ValveView => ({
  position,
  stop: 1,
  slackDeg: 40,
  status: "OPEN",
  ...over,
});
const reading = { id: "x", form: "FIGURE" as const, hand: "KV", takenAt: "", version: 0 };

describe("what is asked at a valve", () => {
  it("goes from found to left to done", () => {
    expect(stepOf(valve("1I"))).toBe("FOUND");
    expect(stepOf(valve("1I", { found: reading }))).toBe("LEFT");
    expect(stepOf(valve("1I", { found: reading, left: reading, leftVerdict: "IN" }))).toBe("DONE");
  });
  it("asks again where a figure looks like a slip or stays out", () => {
    expect(
      stepOf(valve("1I", { found: reading, ask: { code: "ASK.TEN_TIMES", figures: {}, name: "" } })),
    ).toBe("SURE");
    expect(stepOf(valve("1I", { found: reading, left: reading, leftVerdict: "WIDE" }))).toBe("AGAIN");
  });
});

describe("the next valve", () => {
  const round = (valves: ValveView[]) => ({ valves }) as Round;
  it("is the next to do, then those put off, then none", () => {
    const r = round([valve("1I", { status: "SKIPPED" }), valve("1E", { status: "DONE" }), valve("2I")]);
    expect(nextValve(r, 1)).toBe(2);
    nth(r.valves, 2).status = "DONE";
    expect(nextValve(r, 2)).toBe(0);
    nth(r.valves, 0).status = "DONE";
    expect(nextValve(r, 0)).toBeUndefined();
  });
});

describe("where parts are exchanged", () => {
  it("all gaps are measured before any part is changed", () => {
    const r = {
      adjuster: "BUCKET_SHIM",
      valves: [
        valve("1I", { status: "FOUND", found: reading }),
        valve("1E"),
        valve("2I", { status: "DONE" }),
      ],
    } as Round;
    expect(nextValve(r, 0)).toBe(1);
    nth(r.valves, 1).status = "FOUND";
    expect(nextValve(r, 1)).toBe(0);
  });
});
