import { describe, expect, it } from "vitest";
import { nth } from "../../ui/nth";
import { answer, graded, nextPlace, PASSES, placeOf, questions, readFigure } from "./inspectFlow";
import type { Look } from "./useSeen";

const grade = (word: string) => ({ word, level: "GOOD" as const, means: "", todo: "" });
const look = (id: Look["look"], where: Look["where"], unit = ""): Look => ({
  look: id,
  title: id.toLowerCase(),
  where,
  minutes: 1,
  how: "",
  unit,
  ofTheLifter: false,
  grades: [grade("smooth"), grade("rough"), grade("pitted")],
});

const LOOKS = [
  look("WHEEL", "VALVE"),
  look("AXLE_PLAY", "VALVE"),
  look("BODY", "VALVE"),
  look("PLUNGER", "VALVE"),
  look("LEAK_DOWN_TIME", "VALVE", "s"),
  look("SEAT_LEAK", "CYLINDER", "%"),
  look("SEAT_FLUID", "CYLINDER"),
  look("OIL", "ENGINE"),
];
const VALVES = ["1E", "1I", "2I", "2E"];
const pass = (id: string) => PASSES.find((p) => p.id === id) ?? nth(PASSES, 0);

describe("an inspection round", () => {
  it("asks place by place, a place's looks together", () => {
    const all = questions(pass("lifters"), LOOKS, VALVES, false);
    expect(all.map((q) => `${placeOf(q)} ${q.look.look}`).slice(0, 4)).toEqual([
      "1E WHEEL",
      "1E AXLE_PLAY",
      "1E BODY",
      "1I WHEEL",
    ]);
    expect(all).toHaveLength(12);
  });

  it("asks for plungers only where there are any", () => {
    expect(questions(pass("lifters"), LOOKS, VALVES, true)).toHaveLength(20);
  });

  it("asks once a cylinder, and once of the engine", () => {
    expect(questions(pass("cylinders"), LOOKS, VALVES, false).map(placeOf)).toEqual([
      "Cylinder 1",
      "Cylinder 1",
      "Cylinder 2",
      "Cylinder 2",
    ]);
    expect(questions(pass("oil"), LOOKS, VALVES, false).map(placeOf)).toEqual(["Engine"]);
  });

  it("moves from place to place and stays at the ends", () => {
    const all = questions(pass("lifters"), LOOKS, VALVES, false);
    expect(nextPlace(all, 1, 1)).toBe(3);
    expect(nextPlace(all, 4, -1)).toBe(0);
    expect(nextPlace(all, 0, -1)).toBe(0);
    expect(nextPlace(all, 11, 1)).toBe(11);
  });

  it("takes a grade by one key", () => {
    expect(graded(nth(LOOKS, 0), "Enter")).toBe("smooth");
    expect(graded(nth(LOOKS, 0), "3")).toBe("pitted");
    expect(graded(nth(LOOKS, 0), "4")).toBeUndefined();
    expect(graded(nth(LOOKS, 0), "x")).toBeUndefined();
  });

  it("reads one gap or two, and a lift in any way it is said", () => {
    const gap = look("GUIDE_GAP", "VALVE", "thou");
    const lift = look("LOBE_LIFT", "VALVE", "thou");
    expect(readFigure(gap, "5/6", false)).toEqual({ seen: { figure: 5, otherSide: 6 } });
    expect(readFigure(gap, "0.127/0.1524", true)).toEqual({ seen: { figure: 5, otherSide: 6 } });
    expect(readFigure(gap, "0.127 mm", false)).toEqual({ seen: { figure: 5, otherSide: undefined } });
    expect(readFigure(lift, "0.5925 in", true)).toEqual({ seen: { liftIn: 0.5925 } });
    expect(readFigure(gap, "5/6/7", false)).toHaveProperty("unclear");
    expect(readFigure(lift, "0.5925", false)).toEqual({ seen: { liftIn: 0.5925 } });
    expect(readFigure(lift, "592.5", false)).toEqual({ seen: { liftIn: 0.5925 } });
    expect(readFigure(lift, "12,7", true)).toEqual({ seen: { liftIn: 0.5 } });
    expect(readFigure(lift, "much", false)).toHaveProperty("unclear");
  });

  it("knows what was answered since the round began", () => {
    const q = { look: nth(LOOKS, 0), valve: "1E" };
    const seen = { look: "WHEEL", valve: "1E", seenAt: "2026-05-01T10:00:00Z" } as Parameters<
      typeof answer
    >[1][number];
    expect(answer(q, [seen], "2026-05-01T09:00:00Z")).toBe(seen);
    expect(answer(q, [seen], "2026-05-01T11:00:00Z")).toBeUndefined();
  });
});
