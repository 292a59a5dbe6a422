import { describe, expect, it } from "vitest";
import { inside, pieces, slackAt, wrap } from "./arcs";

describe("arcs of the ribbon", () => {
  it("are cut at zero", () => {
    expect(pieces(100, 200)).toEqual([[100, 200]]);
    expect(pieces(650, 40)).toEqual([
      [650, 720],
      [0, 40],
    ]);
    expect(wrap(-30)).toBe(690);
  });

  it("know slack inside and outside a window that wraps", () => {
    const w = { freeFromDeg: 600, freeToDeg: 240 };
    expect(inside(0, 600, 240)).toBe(true);
    expect(slackAt(0, w)).toBe(120);
    expect(slackAt(230, w)).toBe(10);
    expect(slackAt(250, w)).toBe(-10);
    expect(slackAt(590, w)).toBe(-10);
  });
});
