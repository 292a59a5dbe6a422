import { describe, expect, it } from "vitest";
import { readBox } from "./boxText";

describe("a box of springs as written", () => {
  it("takes mark, load and diameter, with point or comma, in either unit", () => {
    expect(readBox("B1 214.5 1.550\n\nB2;216,2\nB3 954N", "thou").springs).toEqual([
      { mark: "B1", loadLbf: 214.5, odIn: 1.55 },
      { mark: "B2", loadLbf: 216.2, odIn: 0 },
      { mark: "B3", loadLbf: expect.closeTo(214.468, 2), odIn: 0 },
    ]);
    expect(readBox("B1 954 39.4", "mm").springs[0]?.odIn).toBeCloseTo(1.5512, 4);
  });

  it("names the lines it cannot read and keeps the others", () => {
    const read = readBox("B1 214\nB2\nB1 215\nB4 216 wide", "thou");
    expect(read.springs.map((s) => s.mark)).toEqual(["B1"]);
    expect(read.wrong).toHaveLength(3);
    expect(read.wrong[0]).toContain("line 2");
    expect(read.wrong[1]).toContain("twice");
  });
});
