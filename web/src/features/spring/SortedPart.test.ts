import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { whyNot } from "./SortedPart";

const placed = (over: Partial<Schemas["Placed"]>) =>
  ({
    position: "1I",
    mark: "a",
    heightIn: 1.86,
    shimsIn: [],
    seatLbf: 220,
    offIn: -0.04,
    cutIn: 0,
    fits: false,
    ...over,
  }) as Schemas["Placed"];

describe("a spring that does not fit where it would stand", () => {
  it("is shown as short as it is, and the cut is only offered", () => {
    expect(whyNot(placed({ cutIn: 0.04 }), "thou")).toBe(
      "0.040 in too short; machining 0.040 off the pocket would mend it",
    );
    expect(whyNot(placed({ offIn: 0.007 }), "mm")).toBe("0.18 mm too tall with the shims to hand");
  });

  it("is named by its play where that is wrong", () => {
    expect(whyNot(placed({ play: "WRONG" }), "thou")).toContain("far too much play");
    expect(whyNot(placed({ play: "SNUG" }), "thou")).toContain("too snug");
    expect(whyNot(placed({ play: "MUCH", offIn: 0.007 }), "thou")).toContain("too tall");
  });
});
