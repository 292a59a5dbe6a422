import { describe, expect, it } from "vitest";
import { nth } from "../ui/nth";
import { type Layout, place } from "./geometry";

const V8: Layout = {
  arrangement: "V",
  rotation: "CLOCKWISE",
  firingOrder: [1, 8, 4, 3, 6, 5, 7, 2],
  banks: [
    { name: "left", cylinders: [1, 3, 5, 7], valves: ["1E", "1I", "3I", "3E", "5E", "5I", "7I", "7E"] },
    { name: "right", cylinders: [2, 4, 6, 8], valves: ["2E", "2I", "4I", "4E", "6E", "6I", "8I", "8E"] },
  ],
};

describe("the valve plan", () => {
  it("puts front first along a bank and the left bank on the left", () => {
    const { valves } = place(V8, "up");
    const left = valves.filter((v) => nth(V8.banks, 0).valves.includes(v.valve));
    expect(left.map((v) => v.valve)).toEqual(nth(V8.banks, 0).valves);
    const ys = left.map((v) => v.y);
    expect(ys).toEqual([...ys].sort((a, b) => a - b));
    const x = (v: string) => valves.find((p) => p.valve === v)?.x ?? Number.NaN;
    expect(x("1E")).toBeLessThan(x("2E"));
  });

  it("turns with the front to the left so that the left bank lies below", () => {
    const { valves } = place(V8, "left");
    const y = (v: string) => valves.find((p) => p.valve === v)?.y ?? Number.NaN;
    expect(y("1E")).toBeGreaterThan(y("2E"));
  });

  it("never lets valves overlap, whatever their number", () => {
    const four: Layout = {
      ...V8,
      arrangement: "INLINE",
      banks: [
        { name: "head", cylinders: [1, 2], valves: ["1E1", "1I1", "1I2", "1E2", "2E1", "2I1", "2I2", "2E2"] },
      ],
    };
    for (const layout of [V8, four]) {
      const { valves } = place(layout, "up");
      for (const a of valves)
        for (const b of valves)
          if (a !== b) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(a.r + b.r);
    }
  });
});
