import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { asksOf, boxLabel, entered, type JobState, jobFaces, proposal, sinceText } from "./steps";
import { step } from "./testStep";
import { doubtOf } from "./useDoubt";

describe("what a step wants entered", () => {
  it("is nothing for most, and then its own figure goes with it", () => {
    expect(asksOf(step("COMPRESS"))).toBe("NOTHING");
    expect(entered(step("BAR", { figure: 270 }), "", "thou", "LASH")).toEqual({
      figure: 270,
      word: undefined,
    });
  });
  it("is a whole number for counts, proposed when laid out, never at the end", () => {
    const tools = step("LAY_OUT", { figure: 6, word: "TOOLS" });
    expect(proposal(tools)).toBe("6");
    expect(entered(tools, "6", "thou", "LASH")).toEqual({ figure: 6, word: "TOOLS" });
    expect(proposal(step("COUNTED", { figure: 6, word: "TOOLS" }))).toBe("");
    expect(entered(tools, "", "thou", "LASH")).toHaveProperty("trouble");
    expect(entered(tools, "2.5", "thou", "LASH")).toHaveProperty("trouble");
  });
  it("takes a stack as pieces or by its sizes", () => {
    expect(entered(step("STACK"), "2", "thou", "LASH")).toEqual({ figure: 2, word: undefined });
    expect(entered(step("STACK"), "0.015 0.030", "thou", "LASH")).toEqual({ figure: 2, word: "0.015 0.030" });
    expect(entered(step("STACK"), "0.015 thin", "thou", "LASH")).toHaveProperty("trouble");
  });
  it("reads heights and lash in the person's unit", () => {
    expect(entered(step("HEIGHT"), "49.53", "mm", "LASH")).toMatchObject({ figure: 1.95 });
    expect(entered(step("HEIGHT"), "tall", "mm", "LASH")).toEqual({ trouble: '"tall" is no height: 1.950' });
    expect(entered(step("LASH"), "18", "thou", "LASH")).toMatchObject({ figure: 0.018, word: "18" });
    expect(entered(step("LASH"), "1/2", "thou", "TURNS")).toMatchObject({ figure: 0.5 });
    expect(entered(step("LASH"), "", "thou", "LASH")).toHaveProperty("trouble");
    expect(entered(step("ZERO_LASH"), "7.850", "thou", "LENGTH")).toMatchObject({ figure: 7.85 });
    expect(entered(step("LASH"), "1/2", "thou", "LENGTH")).toHaveProperty("trouble");
    expect(boxLabel(step("ZERO_LASH"), "mm", "LENGTH")).toBe("Length at zero lash, in mm");
    expect(boxLabel(step("LASH"), "thou", "LENGTH")).toBe("Size that went in, in inches");
  });
  it("is thought over where a lash or preload is out, or far from what is wanted", () => {
    const gauge = { inFromIn: 0.016, inToIn: 0.02, plainFromIn: 0.003, plainToIn: 0.045 };
    const turned = { kind: "EXHAUST", unit: "TURNS", from: 0.375, to: 0.625, bottom: 1.1, aboveZero: true };
    const lash = { gauges: { EXHAUST: gauge }, preloads: [] } as unknown as Schemas["LashWanted"];
    const preload = { gauges: {}, preloads: [turned] } as unknown as Schemas["LashWanted"];
    const set = step("LASH", { valve: "3E" });
    expect(doubtOf(lash, set, 0.018)).toBeUndefined();
    expect(doubtOf(lash, set, 0.5)).toContain("read it again");
    expect(doubtOf(lash, set, 0.022)).toBe("left like this it is wide");
    expect(doubtOf(preload, set, 0.25)).toBe("left like this it is shallow");
    expect(doubtOf(preload, set, 0.5)).toBeUndefined();
    expect(doubtOf(lash, step("HEIGHT", { valve: "3E" }), 0.5)).toBeUndefined();
  });
  it("is a figure of a book in the person's unit where it has two", () => {
    const within = (unit: "INCH" | "LBF" | "CC") => ({ unit, possibleLow: 0, possibleHigh: 9 });
    const read = (unit: "INCH" | "LBF" | "CC") => step("READ", { within: within(unit) });
    expect(entered(read("INCH"), "1.27", "mm", "LASH")).toEqual({ figure: 0.05 });
    expect(entered(read("CC"), "62,4", "mm", "LASH")).toEqual({ figure: 62.4 });
    expect(entered(read("CC"), "full", "thou", "LASH")).toHaveProperty("trouble");
    expect(boxLabel(read("LBF"), "mm", "LASH")).toBe("What it reads, N");
  });
  it("takes the planned spring, its old one's fate and the gap without typing", () => {
    expect(proposal(step("SPRING_IN", { word: "B-1" }))).toBe("B-1");
    expect(entered(step("SPRING_OUT", { word: "SCRAP" }), "", "thou", "LASH")).toEqual({ word: "SCRAP" });
    expect(entered(step("HOOK", { word: "GAP" }), "", "thou", "LASH")).toEqual({ word: "GAP" });
    expect(entered(step("HOOK"), "no", "thou", "LASH")).toEqual({ word: "no" });
  });
});

describe("a job on the plan", () => {
  it("tells each valve's place by a shape of its own", () => {
    const marks = { "1I": "OPEN", "3I": "HELD", "3E": "LOOSE", "6E": "HOME", "6I": "LOST" };
    const faces = jobFaces({
      valves: Object.entries(marks).map(([position, mark]) => ({ position, mark })),
    } as unknown as JobState);
    expect(Object.values(faces).map((f) => f.mark)).toEqual(["OPEN", "HELD", "LOOSE", "HOME", "CHANGE"]);
    expect(faces["3E"]?.lit).toBe(true);
  });
  it("says for how long", () => {
    expect(sinceText("2026-06-01T12:00:00Z", Date.parse("2026-06-01T12:17:30Z"))).toBe("for 17 min");
    expect(sinceText("2026-06-01T12:00:00Z", Date.parse("2026-06-01T16:00:00Z"))).toBe("for 4 h");
    expect(sinceText("2026-06-01T12:00:00Z", Date.parse("2026-06-01T12:00:20Z"))).toBe("just now");
    expect(sinceText(undefined, 0)).toBe("");
  });
});
