import { describe, expect, it } from "vitest";
import { nth } from "./nth";

describe("what stands at a place of a list", () => {
  it("is taken from the front, or from the end", () => {
    expect(nth(["1I", "1E"], 1)).toBe("1E");
    expect(nth(["1I", "1E"], -2)).toBe("1I");
  });

  it("is never made up where there is none", () => {
    expect(() => nth([], 0)).toThrow("nothing at 0 of 0");
  });
});
