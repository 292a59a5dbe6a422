import { describe, expect, it } from "vitest";
import { worstFirst } from "../spring/worstFirst";
import { hoursLeftText, lossFacesAt, type SpringAt, springFaces } from "./springFaces";

const at = (position: string, verdict: "RUN" | "WATCH" | "CHANGE", under: number, loss: number) =>
  ({
    position,
    hours: 10.1,
    heightIn: 1.95,
    lastLbf: 201.24,
    losses: [
      { hours: 2, loss: 0.01 },
      { hours: 8, loss: 0.05 },
    ],
    predicted: [
      { hours: 14, loss: 0.06 },
      { hours: 17, loss: 0.08 },
    ],
    fit: { bindClearanceIn: 0.082 },
    said: {
      verdict,
      outlook: {
        underAtNext: under,
        lossNow: { low: 0, mid: loss, high: 1 },
        lossAtNext: { low: 0, mid: loss + 0.01, high: 1 },
      },
    },
  }) as SpringAt;

describe("springs on the plan", () => {
  const springs = [at("1I", "RUN", 0, 0.03), at("3E", "CHANGE", 0.9, 0.089), at("5I", "WATCH", 0.1, 0.06)];
  it("puts the worst first", () => {
    expect(worstFirst(springs).map((s) => s.position)).toEqual(["3E", "5I", "1I"]);
  });
  it("shows the chosen figure with the verdict's mark", () => {
    expect(springFaces(springs, "loss", "thou")["3E"]).toEqual({ text: "8.9", mark: "CHANGE" });
    expect(springFaces(springs, "load", "thou")["1I"]?.text).toBe("201");
    expect(springFaces(springs, "bind", "thou")["1I"]?.text).toBe(".082");
    expect(springFaces(springs, "height", "mm")["1I"]?.text).toBe("49.53");
    expect(springFaces(springs, "hours", "mm")["1I"]?.text).toBe("10.1");
    expect(springFaces(springs, "next", "mm")["3E"]?.text).toBe("9.9");
  });
  it("goes back to the loss as it was at an hour", () => {
    expect(lossFacesAt(springs, 7, 10.1)["1I"]?.text).toBe("1.0");
    expect(lossFacesAt(springs, 8, 10.1)["1I"]?.text).toBe("5.0");
    expect(lossFacesAt(springs, 1, 10.1)["1I"]?.text).toBe("–");
    // Put in at 5 engine hours: eight of its own are thirteen of the engine's.
    expect(lossFacesAt(springs, 12, 15.1)["1I"]?.text).toBe("1.0");
  });
  it("looks ahead to the end of a planned event", () => {
    expect(lossFacesAt(springs, 14, 10.1)["1I"]?.text).toBe("6.0");
    expect(lossFacesAt(springs, 17, 10.1)["1I"]?.text).toBe("8.0");
  });
  it("words the hours left", () => {
    expect(hoursLeftText({ low: 0.19, mid: 0.6, high: 1.41 })).toBe("0.2 to 1.4 h");
    expect(hoursLeftText({ low: 5, mid: 9 })).toBe("5.0 h and more");
    expect(hoursLeftText({})).toBe("over 1000 h");
    expect(hoursLeftText({ low: 19.9, mid: 19.9, high: 19.9 })).toBe("19.9 h");
  });
});
