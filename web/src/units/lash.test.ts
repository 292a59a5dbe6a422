import { describe, expect, it } from "vitest";
import { driftText, fromInch, lashText, readGap, readTurns, toInch } from "./lash";

describe("a gap as typed", () => {
  it("takes thou, inches and millimetres", () => {
    expect(readGap("18", "thou")).toEqual({ kind: "figure", inch: 0.018 });
    expect(readGap("0.018", "thou")).toEqual({ kind: "figure", inch: 0.018 });
    expect(readGap(",0185", "thou")).toEqual({ kind: "figure", inch: 0.0185 });
    expect(readGap("18.5", "thou")).toEqual({ kind: "figure", inch: 0.0185 });
    expect(readGap("0.45", "mm")).toMatchObject({ kind: "figure", inch: expect.closeTo(0.0177165, 6) });
    expect(readGap("45", "mm")).toEqual(readGap("0.45", "mm"));
  });

  it("takes leaves", () => {
    expect(readGap("18/19", "thou")).toEqual({ kind: "goNoGo", goIn: 0.018, noGoIn: 0.019 });
    expect(readGap("18-", "thou")).toEqual({ kind: "leaf", leafIn: 0.018, feel: "SNUG" });
    expect(readGap("18r", "thou")).toEqual({ kind: "leaf", leafIn: 0.018, feel: "RIGHT" });
    expect(readGap("18+", "thou")).toMatchObject({
      kind: "unclear",
      why: expect.stringContaining("next leaf"),
    });
  });

  it("says what is unclear and what is empty", () => {
    expect(readGap("", "thou").kind).toBe("empty");
    for (const text of ["abc", "1..8", "18/", "-18", "."]) expect(readGap(text, "thou").kind).toBe("unclear");
  });
});

describe("turns", () => {
  it("takes decimals and fractions", () => {
    expect(readTurns("1 1/4")).toEqual({ kind: "turns", turns: 1.25 });
    expect(readTurns("3/8")).toEqual({ kind: "turns", turns: 0.375 });
    expect(readTurns(".5")).toEqual({ kind: "turns", turns: 0.5 });
    expect(readTurns("1/0").kind).toBe("unclear");
  });
});

describe("lash as read", () => {
  it("keeps a half thou and the sign of a drift", () => {
    expect(lashText(0.018, "thou")).toBe("18");
    expect(lashText(0.0185, "thou")).toBe("18.5");
    expect(lashText(0.018, "mm")).toBe("0.46");
    expect(driftText(-0.003, "thou")).toBe("−3");
    expect(driftText(0.00002, "thou")).toBe("0");
    expect(lashText(undefined, "thou")).toBe("–");
  });

  it("takes a gap with its unit named, whatever the person's own", () => {
    expect(readGap("0.46 mm", "thou")).toEqual({ kind: "figure", inch: 0.0181102 });
    expect(readGap("18 thou", "mm")).toEqual({ kind: "figure", inch: 0.018 });
    expect(readGap("0.5 thou", "thou")).toEqual({ kind: "figure", inch: 0.0005 });
    expect(readGap("0.018 in", "mm")).toEqual({ kind: "figure", inch: 0.018 });
    expect(readGap("18/19 thou", "mm")).toEqual({ kind: "goNoGo", goIn: 0.018, noGoIn: 0.019 });
    expect(readGap("0.018 lbf", "thou").kind).toBe("unclear");
  });

  it("converts there and back", () => {
    expect(fromInch(toInch(9.81, "mm"), "mm")).toBeCloseTo(9.81, 12);
  });
});
