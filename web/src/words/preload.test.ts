import { describe, expect, it } from "vitest";
import { preloadDriftText, preloadFigure, preloadUnit } from "./preload";

const TURNS = { unit: "TURNS" as const };
const INCH = { unit: "INCH" as const };

describe("a preload", () => {
  it("is turns of one width, or the plunger's travel in the person's unit", () => {
    expect(preloadFigure(0.5, TURNS, "mm")).toBe("0.50");
    expect(preloadFigure(0.5625, TURNS, "thou")).toBe("0.56");
    expect(preloadFigure(0.025, INCH, "thou")).toBe("25");
    expect(preloadFigure(0.025, INCH, "mm")).toBe("0.64");
    expect(preloadFigure(-0.01, INCH, "thou")).toBe("−10");
    expect(preloadFigure(undefined, INCH, "thou")).toBe("–");
    expect(preloadUnit(INCH, "mm")).toBe("mm of plunger");
    expect(preloadUnit(TURNS, "mm")).toBe("turns");
  });

  it("moves with a sign, and not at all by less than is read", () => {
    expect(preloadDriftText(-0.125, TURNS, "thou")).toBe("−0.13");
    expect(preloadDriftText(0.01, INCH, "thou")).toBe("+10");
    expect(preloadDriftText(0.001, TURNS, "thou")).toBe("0");
    expect(preloadDriftText(undefined, TURNS, "thou")).toBe("–");
  });
});
