import { describe, expect, it } from "vitest";
import { nth } from "../../ui/nth";
import { linkTexts, readLinks } from "./linkTexts";

describe("limits of the parts between cam and valve", () => {
  const stud = { part: "STUD", openLbf: 500, rpm: 8200 } as const;
  it("come back as they were typed", () => {
    expect(readLinks(linkTexts([stud], "thou"), "thou").limits).toEqual([stud]);
    const lock = { part: "LOCK", openLbf: 701, liftIn: 0.7003 } as const;
    expect(readLinks(linkTexts([lock], "mm"), "mm", [lock]).limits).toEqual([lock]);
    const inMetric = readLinks(linkTexts([{ part: "LOCK", liftIn: 0.7 }], "mm"), "mm");
    expect(nth(inMetric.limits, 0).liftIn).toBeCloseTo(0.7, 3);
  });
  it("are held back with the words for what cannot be read", () => {
    const texts = linkTexts([stud], "thou");
    texts.STUD.load = "5oo";
    texts.ROCKER.rpm = "high";
    const read = readLinks(texts, "thou");
    expect(read.missed).toBe(2);
    expect(read.limits).toEqual([]);
    expect(read.texts.STUD.unread).toBe('"5oo" cannot be read');
    expect(read.texts.STUD.load).toBe("5oo");
  });
});
