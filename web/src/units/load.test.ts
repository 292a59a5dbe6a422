import { describe, expect, it } from "vitest";
import { heightText, kept, loadText, named, percentText, readHeight, readLoad, readNumber } from "./load";

describe("loads and heights", () => {
  it("reads what a person types, in their unit or another they name", () => {
    expect(readLoad("214.5", "thou")).toBe(214.5);
    expect(readLoad("214,5", "thou")).toBe(214.5);
    expect(readLoad("954 N", "thou")).toBeCloseTo(214.47, 2);
    expect(readLoad("954", "mm")).toBeCloseTo(214.47, 2);
    expect(readLoad("220 psi", "thou")).toBe(220);
    expect(readLoad("97 kg", "thou")).toBeCloseTo(213.85, 2);
    expect(readLoad("97 kgf", "mm")).toBeCloseTo(213.85, 2);
    expect(readLoad("heavy", "thou")).toBeUndefined();
    expect(readHeight("49.53 mm", "thou")).toBeCloseTo(1.95, 4);
    expect(readHeight("1.95", "thou")).toBe(1.95);
    expect(readHeight("49.53", "mm")).toBeCloseTo(1.95, 4);
    expect(readHeight("", "mm")).toBeUndefined();
  });
  it("shows them in the person's unit", () => {
    expect(loadText(214.47, "thou")).toBe("214.5");
    expect(loadText(214.47, "mm")).toBe("954");
    expect(loadText(undefined, "mm")).toBe("–");
    expect(heightText(1.95, "thou")).toBe("1.950");
    expect(heightText(1.95, "mm")).toBe("49.53");
  });
  it("writes shares as percent with a true minus and no minus zero", () => {
    expect(percentText(0.0894)).toBe("8.9");
    expect(percentText(-0.02)).toBe("−2.0");
    expect(percentText(-0.0001)).toBe("0.0");
  });
  it("tells nothing from no number", () => {
    expect(readNumber(" ")).toBeUndefined();
    expect(readNumber("1,5")).toBe(1.5);
    expect(readNumber("x")).toBeNaN();
  });
  it("keeps the unit of sizes that stand in a text", () => {
    expect(named("0.76 0.38", "mm")).toBe("0.76 0.38 mm");
    expect(named("0.030 in", "mm")).toBe("0.030 in");
    expect(named("none", "mm")).toBe("none");
    expect(named("0.030", "thou")).toBe("0.030");
    expect(kept("0.030", "mm")).toBe("0.030 in");
    expect(named(kept("0.030", "mm"), "mm")).toBe("0.030 in");
    expect(kept("0.030", "thou")).toBe("0.030");
  });
});
