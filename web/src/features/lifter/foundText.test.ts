import { describe, expect, it } from "vitest";
import { foundText } from "./foundText";

describe("what a lift table said", () => {
  const found = {
    liftIn: 0.512,
    runOutIn: 0.0015,
    countedDown: false,
    centreDeg: 110.04,
    durations: [{ liftIn: 0.05, durationDeg: 231.4 }],
    rows: 72,
    understood: "72 rows of degrees and inch",
  };

  it("is its lift, run-out, centre and durations", () => {
    expect(foundText(found, "thou")).toBe(
      "lift 0.512 in; base circle runs out 1.5 thou; centre at 110.0°; open 231° over 0.050; 72 rows of degrees and inch",
    );
  });

  it("says that a dial was turned round, and nothing of what the table does not show", () => {
    const text = foundText({ ...found, countedDown: true, centreDeg: undefined, durations: [] }, "mm");
    expect(text).toContain("lift 13.00 mm");
    expect(text).toContain("turned round");
    expect(text).not.toContain("centre");
  });
});
