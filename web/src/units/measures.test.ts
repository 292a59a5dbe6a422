import { describe, expect, it } from "vitest";
import { figureText, inUnit, measureBox, measureText, readMeasure, unitOf } from "./measures";

describe("what is measured beside lash, heights and loads", () => {
  /** NIST SP 811: 1 lbf·ft is 1.355 817 948 N·m, 1 psi 6.894 757 kPa, 1 lbf/in 0.175 126 835 N/mm. */
  it("is shown in the person's unit", () => {
    expect(measureText("torque", 22, "thou")).toBe("22 lbf·ft");
    expect(measureText("torque", 22, "mm")).toBe("30 N·m");
    expect(measureText("pressure", 80, "mm")).toBe("5.5 bar");
    expect(measureText("rate", 438.5, "thou")).toBe("439 lbf/in");
    expect(measureText("rate", 438.5, "mm")).toBe("76.8 N/mm");
    expect(measureText("warmth", 185, "mm")).toBe("85 °C");
    expect(measureText("warmth", 185, "thou")).toBe("185 °F");
    expect(figureText("torque", undefined, "mm")).toBe("–");
    expect(unitOf("pressure", "thou")).toBe("psi");
  });

  it("is read with either unit's name", () => {
    expect(readMeasure("torque", "30 N·m", "thou")).toBeCloseTo(22.13, 2);
    expect(readMeasure("torque", "30", "mm")).toBeCloseTo(22.13, 2);
    expect(readMeasure("torque", "22 ft-lb", "mm")).toBe(22);
    expect(readMeasure("pressure", "5,5 bar", "thou")).toBeCloseTo(79.77, 2);
    expect(readMeasure("pressure", "80 psi", "mm")).toBe(80);
    expect(readMeasure("rate", "76.8 N/mm", "thou")).toBeCloseTo(438.5, 0);
    expect(readMeasure("warmth", "85 °C", "thou")).toBeCloseTo(185, 6);
    expect(readMeasure("warmth", "-40c", "thou")).toBeCloseTo(-40, 6);
    expect(readMeasure("torque", "22 psi", "thou")).toBeUndefined();
    expect(readMeasure("torque", "tight", "thou")).toBeUndefined();
    expect(readMeasure("torque", "", "thou")).toBeUndefined();
  });

  it("comes back as it went into its box", () => {
    for (const of of ["torque", "pressure", "rate", "warmth"] as const)
      for (const unit of ["thou", "mm"] as const)
        for (const v of [12.5, 80, 212])
          expect((readMeasure(of, measureBox(of, v, unit), unit) ?? 0) / v).toBeCloseTo(1, 1.9);
    expect(measureBox("torque", undefined, "mm")).toBe("");
  });
});

describe("figures in Shim's words", () => {
  it("are put in the person's unit", () => {
    const words =
      "{1.972 in} is out of {1.950 in} ± {0.005 in}, {22 lbf·ft} at {80 psi}, {220 lbf}, {438 lbf/in}";
    expect(inUnit(words, "thou")).toBe(
      "1.972 in is out of 1.950 in ± 0.005 in, 22 lbf·ft at 80 psi, 220 lbf, 438 lbf/in",
    );
    expect(inUnit(words, "mm")).toBe(
      "50.09 mm is out of 49.53 mm ± 0.13 mm, 30 N·m at 5.5 bar, 979 N, 76.7 N/mm",
    );
    expect(inUnit("{-1 in} to {2 in}", "mm")).toBe("-25.40 mm to 50.80 mm");
  });
  it("say a moment as the clock on the wall does, and leave other braces alone", () => {
    expect(inUnit("since {2026-06-01T12:00:00Z}", "thou")).toMatch(/^since \d\d:\d\d/);
    expect(inUnit('{"a": 1} {x in}', "mm")).toBe('{"a": 1} {x in}');
  });
});
