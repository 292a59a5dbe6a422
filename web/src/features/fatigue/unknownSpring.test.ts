import { describe, expect, it } from "vitest";
import { worstFirst } from "../spring/worstFirst";
import { hoursLeftText, type SpringAt, springFigure } from "./springFaces";

const spring = (part: Partial<SpringAt>): SpringAt =>
  ({
    position: "1I",
    hours: 0,
    fit: {},
    losses: [],
    said: {
      verdict: "NOT_TESTED",
    },
    ...part,
  }) as SpringAt;

describe("a spring of which little is known", () => {
  it("shows a dash instead of a made-up figure", () => {
    const s = spring({});
    expect(springFigure(s, "load", "thou")).toBe("–");
    expect(springFigure(s, "height", "thou")).toBe("–");
    expect(springFigure(s, "bind", "mm")).toBe("–");
    expect(springFigure(s, "loss", "thou")).toBe("–");
    expect(springFigure(s, "next", "thou")).toBe("–");
    expect(hoursLeftText(s.said.outlook?.hoursLeft)).toBe("–");
  });
  it("keeps the given list as it was when sorting", () => {
    const list = [spring({ position: "1I" }), spring({ position: "1E" })];
    worstFirst(list);
    expect(list.map((s) => s.position)).toEqual(["1I", "1E"]);
  });
});
