import { describe, expect, it } from "vitest";
import { comesOffText, itemText, offerText } from "./planTexts";

describe("words of a plan", () => {
  const offer = { spring: "s", mark: "N-2", heightIn: 1.95, hours: 0 };
  it("counts in the singular and the plural", () => {
    expect(itemText("LOCKS", 1)).toBe("1 lock");
    expect(itemText("RAGS", 2)).toBe("2 rags");
    expect(itemText("SEALS", 0)).toBe("0 seals");
  });
  it("tells a spring from stock in the units on screen", () => {
    expect(offerText({ ...offer, loadLbf: 216, hours: 2.25, playIn: 0.012 }, "thou")).toBe(
      "216 lbf at 1.950 in, 2.3 h run, 0.012 in of play in the pocket",
    );
    expect(offerText({ ...offer, loadLbf: 216, playIn: -0.01 }, "mm")).toBe(
      "961 N at 49.53 mm, new, 0.25 mm too wide for the pocket",
    );
    expect(offerText({ ...offer, playIn: 0 }, "thou")).toBe("new");
  });
  it("names what comes off with its cylinder", () => {
    expect(comesOffText({ part: "COVERS" })).toBe("valve covers");
    expect(comesOffText({ part: "ROCKERS_AND_PUSHRODS", cylinder: 3 })).toBe(
      "rockers and pushrods of cylinder 3",
    );
  });
});
