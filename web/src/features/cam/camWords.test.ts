import { describe, expect, it } from "vitest";
import { readFigure } from "../../units/figures";
import { rpmText } from "../../units/rpm";
import { ASKED, boundsText, degText, gapText, lateText } from "./camWords";

describe("the bench's words", () => {
  it("say late and early, never plus and minus", () => {
    expect(lateText(1.5)).toBe("1.5° late");
    expect(lateText(-0.25)).toBe("0.2° early");
    expect(lateText(0.04)).toBe("as the card");
    expect(lateText(-0.04)).toBe("as the card");
    expect(lateText(undefined)).toBe("–");
  });

  it("give a range where there is one, and say where nothing bounds it", () => {
    expect(boundsText({ low: 284, mid: 288, high: 292 })).toBe("284 to 292°");
    expect(boundsText({ low: 296.1, mid: 296.2, high: 296.3 })).toBe("296°");
    expect(boundsText({ low: 244, mid: 244 })).toBe("at least 244°");
    expect(boundsText({ low: -4, mid: -2, high: 0 })).toBe("−4 to 0°");
    expect(boundsText(undefined)).toBe("not known");
  });

  it("write figures in the person's unit with a true minus", () => {
    expect(gapText(-0.012, "thou")).toBe("−0.012 in");
    expect(gapText(0.1, "mm")).toBe("2.54 mm");
    expect(gapText(undefined, "thou")).toBe("–");
    expect(degText(-8)).toBe("−8.0°");
    expect(degText(undefined)).toBe("–");
    expect(rpmText(7438)).toBe("7,440");
    expect(rpmText(undefined)).toBe("–");
    expect(readFigure("-0.020", "INCH", "thou")).toBe(-0.02);
    expect(readFigure("−0,5", "INCH", "mm")).toBeCloseTo(-0.5 / 25.4, 6);
    expect(readFigure("--1", "INCH", "thou")).toBeUndefined();
  });

  it("name every reading and the height it is taken at", () => {
    expect(ASKED.INTAKE_UP("0.050 in").how).toContain("0.050 in under the nose");
    expect(Object.values(ASKED).every((words) => words("").name.length > 0)).toBe(true);
  });
});
