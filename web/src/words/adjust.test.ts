import { describe, expect, it } from "vitest";
import type { Schemas } from "../api/client";
import { groundText, partText, preloadText, rangeText, turnText, wayText } from "./adjust";

const turn = (over: Partial<Schemas["Turn"]>) =>
  ({ exactTurns: 0.125, degrees: 45, direction: "TIGHTEN", leavesIn: 0.017, ...over }) as Schemas["Turn"];

const choice = (over: Partial<Schemas["PartChoice"]>): Schemas["PartChoice"] => ({
  wantedSizeIn: 7.81,
  options: [],
  right: false,
  oneOff: true,
  ...over,
});

const way = (over: Partial<Schemas["Way"]>) =>
  ({
    kind: "SHIMS",
    shimsIn: [0.015, 0.03],
    takeOutIn: [],
    putInIn: over.shimsIn ?? [0.015, 0.03],
    lockIn: 0,
    retainerIn: 0,
    machineIn: 0,
    heightIn: 1.95,
    ...over,
  }) as Schemas["Way"];

const TURNED: Schemas["PreloadTarget"] = {
  kind: "INTAKE",
  unit: "TURNS",
  from: 0.375,
  to: 0.625,
  aim: 0.5,
  bottom: 1.15,
  perUnitIn: 0.0694,
  use: "HIGH_REVS",
  source: "the builder",
  aboveZero: true,
  ruled: true,
};
const FIXED: Schemas["PreloadTarget"] = {
  ...TURNED,
  unit: "INCH",
  from: 0.025,
  to: 0.06,
  bottom: 0.08,
  perUnitIn: 1,
  use: undefined,
  source: undefined,
  ruled: false,
};

describe("how to set it", () => {
  it("turns as a person turns a wrench", () => {
    expect(turnText(turn({ fraction: "1/8" }))).toBe("tighten 45° (1/8 turn)");
    expect(turnText(turn({ direction: "LOOSEN", degrees: 20 }))).toBe("loosen 20°");
    expect(turnText(turn({ direction: "LEAVE", degrees: 0 }))).toContain("leave it");
  });

  it("tightens a light preload and loosens a deep one", () => {
    const preload = (verdict: Schemas["Preload"]["verdict"], change: number) =>
      preloadText({ verdict, change } as Schemas["Preload"], TURNED, "thou");
    expect(preload("SHALLOW", 0.5)).toBe("tighten 180°");
    expect(preload("DEEP", -0.26)).toBe("loosen 95°");
    expect(preload("IN", 0.1)).toBe("preload is right");
    expect(preload("BOTTOMED", -1)).toContain("back off to zero lash");
  });

  it("sets a preload by the part that goes in where nothing turns", () => {
    const sizes = [
      { sizeIn: 7.925, travelIn: 0.075, verdict: "DEEP" as const },
      { sizeIn: 7.9, travelIn: 0.05, verdict: "IN" as const },
    ];
    const by = (parts?: Schemas["PreloadParts"]) =>
      preloadText({ verdict: "SHALLOW", change: 0.04, parts } as Schemas["Preload"], FIXED, "thou");
    expect(by({ wantedSizeIn: 7.8925, sizes, oneOff: false })).toBe("fit 7.9000 in for 50 thou of plunger");
    expect(by({ wantedSizeIn: 7.8925, sizes: [], oneOff: true })).toBe(
      "none to hand is right: a one-off of 7.8925 in is wanted",
    );
    expect(by()).toContain("write the pushrods' length");
  });

  it("says what a preload should be, whose figure it is and what for", () => {
    expect(rangeText(TURNED, "thou")).toBe("0.38 to 0.63 turns");
    expect(rangeText(FIXED, "mm")).toBe("0.64 to 1.52 mm of plunger");
    expect(groundText(TURNED)).toBe("for high revs, by the builder, the class wants it above zero");
    expect(groundText(FIXED)).toBe("");
  });

  it("names the part to fit in the person's unit", () => {
    const fits = { sizeIn: 7.8, lashIn: 0.019, withinTolerance: true };
    const not = { sizeIn: 7.75, lashIn: 0.09, withinTolerance: false };
    expect(partText(choice({ options: [not, fits] }), "thou")).toBe("fit 7.8000 in for a lash of 19 thou");
    expect(partText(choice({ options: [not, fits] }), "mm")).toBe("fit 198.120 mm for a lash of 0.48 mm");
    expect(partText(choice({ options: [not] }), "thou")).toBe(
      "none to hand fits: a one-off of 7.8100 in is wanted",
    );
    expect(partText(choice({ options: [fits], right: true }), "thou")).toBe("what is in is right");
  });

  it("says every way to a height", () => {
    expect(wayText(way({}), "thou")).toBe("put in 0.015 + 0.030, thinnest at the bottom, serrated side down");
    expect(wayText(way({ shimsIn: [0.03] }), "mm")).toBe("put in 0.76, serrated side down");
    expect(wayText(way({ kind: "LOCKS", shimsIn: [], lockIn: -0.05 }), "thou")).toBe("−0.050 locks");
    expect(wayText(way({ kind: "LOCKS", shimsIn: [], lockIn: 0 }), "thou")).toBe("plain locks");
    expect(wayText(way({ kind: "LOCKS_AND_SHIMS", lockIn: 0.05, shimsIn: [0.03] }), "thou")).toBe(
      "+0.050 locks, put in 0.030, serrated side down",
    );
    expect(wayText(way({ kind: "RETAINER", retainerIn: 0.02, shimsIn: [] }), "thou")).toBe("+0.020 retainer");
    expect(wayText(way({ kind: "ONE_MADE_PIECE", shimsIn: [0.046] }), "thou")).toBe(
      "one piece made to 0.046",
    );
    expect(wayText(way({ kind: "MACHINE_LOCATOR", shimsIn: [], machineIn: 0.025 }), "mm")).toMatch(
      /^machine 0.64/,
    );
    expect(wayText(way({ kind: "AS_IT_IS", shimsIn: [] }), "thou")).toBe("as it is");
  });

  it("says what comes out and what stays under the spring", () => {
    expect(wayText(way({ putInIn: [0.015] }), "thou")).toBe(
      "put in 0.015 (then 0.015 + 0.030, thinnest at the bottom)",
    );
    expect(wayText(way({ shimsIn: [0.045], takeOutIn: [0.03], putInIn: [0.045] }), "thou")).toBe(
      "take out 0.030, put in 0.045",
    );
    expect(wayText(way({ shimsIn: [], takeOutIn: [0.03], putInIn: [] }), "thou")).toBe(
      "take out 0.030 (then no shim)",
    );
    expect(
      wayText(way({ kind: "MACHINE_LOCATOR", shimsIn: [], takeOutIn: [0.03], machineIn: 0.02 }), "thou"),
    ).toMatch(/^take out 0.030 \(then no shim\), machine 0.020/);
    expect(wayText(way({ kind: "ONE_MADE_PIECE", shimsIn: [0.046], takeOutIn: [0.03] }), "thou")).toBe(
      "take out 0.030, one piece made to 0.046",
    );
  });
});
