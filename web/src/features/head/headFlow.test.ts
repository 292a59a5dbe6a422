import { describe, expect, it } from "vitest";
import { type Figure, nextPlace, placeName, places } from "./headFlow";
import type { Head } from "./measures";

const head = {
  layout: {
    banks: [
      { name: "left", cylinders: [1, 3], valves: ["1E", "1I", "3I", "3E"] },
      { name: "right", cylinders: [2], valves: ["2E", "2I"] },
    ],
  },
  measures: [
    { what: "HEIGHT", at: "VALVE", readings: 1 },
    { what: "POCKET", at: "VALVE", readings: 3 },
    { what: "CHAMBER", at: "CYLINDER", readings: 1 },
    { what: "DECK_CUT", at: "BANK", readings: 1 },
  ],
} as unknown as Head;

const height = (valve: string): Figure => ({ what: "HEIGHT", valve, figure: 1.95 });
const pocket = (valve: string): Figure => ({ what: "POCKET", valve, figure: 1.556 });

describe("going round a head", () => {
  it("goes bank by bank, by valve, chamber or head", () => {
    expect(places(head, "HEIGHT").map((p) => p.valve)).toEqual(["1E", "1I", "3I", "3E", "2E", "2I"]);
    expect(places(head, "CHAMBER").map((p) => placeName(p, head))).toEqual([
      "cylinder 1",
      "cylinder 3",
      "cylinder 2",
    ]);
    expect(places(head, "DECK_CUT").map((p) => placeName(p, head))).toEqual(["left", "right"]);
  });
  it("stays at a pocket for three readings, then goes on", () => {
    expect(nextPlace(head, [pocket("1E"), pocket("1E")], "POCKET", 0)).toBe(0);
    expect(nextPlace(head, [pocket("1E"), pocket("1E"), pocket("1E")], "POCKET", 0)).toBe(1);
  });
  it("comes back to what was left out, and ends when nothing is", () => {
    const but = ["1E", "3I", "3E", "2E", "2I"].map(height);
    expect(nextPlace(head, but, "HEIGHT", 3)).toBe(1);
    expect(nextPlace(head, [...but, height("1I")], "HEIGHT", 0)).toBe(-1);
  });
});
