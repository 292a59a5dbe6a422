import { describe, expect, it } from "vitest";
import { worstFirst } from "../spring/worstFirst";
import { type SpringAt, springFigure } from "./springFaces";

const spring = (part: Partial<SpringAt>): SpringAt =>
  ({
    position: "1I",
    hours: 0,
    fit: {},
    losses: [],
    said: {
      verdict: "RUN",
      underAtNext: 0,
      lossNow: { low: 0, mid: 0, high: 0 },
      lossAtNext: { low: 0, mid: 0, high: 0 },
    },
    ...part,
  }) as SpringAt;

describe("a spring of which little is known", () => {
  it("shows a dash instead of a made-up figure", () => {
    const s = spring({});
    expect(springFigure(s, "load", "thou")).toBe("–");
    expect(springFigure(s, "height", "thou")).toBe("–");
    expect(springFigure(s, "bind", "mm")).toBe("–");
    expect(springFigure(s, "loss", "thou")).toBe("0.0");
  });
  it("keeps the given list as it was when sorting", () => {
    const list = [spring({ position: "1I" }), spring({ position: "1E" })];
    worstFirst(list);
    expect(list.map((s) => s.position)).toEqual(["1I", "1E"]);
  });
});
