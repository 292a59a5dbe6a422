import { describe, expect, it } from "vitest";
import { goOn, nextSpring, stepOf } from "./testFlow";
import type { SpringTest, TestValve } from "./useSpringTest";

const valve = (more: number, readings = 0, ask?: string) =>
  ({ more, ask, readings: Array.from({ length: readings }, () => ({})) }) as unknown as TestValve;
const test = (valves: TestValve[], sides: string[] = []) =>
  ({ valves, checks: sides.map((side) => ({ side })) }) as unknown as SpringTest;

describe("the order of a spring test", () => {
  it("begins with the check spring unless it is passed over or reading has begun", () => {
    const fresh = test([valve(1)]);
    expect(stepOf(fresh, fresh.valves[0], new Set())).toBe("CHECK_START");
    expect(stepOf(fresh, fresh.valves[0], new Set(["START"]))).toBe("READ");
    const begun = test([valve(1, 1), valve(1)]);
    expect(stepOf(begun, begun.valves[1], new Set())).toBe("READ");
  });
  it("asks again at a surprising figure", () => {
    const t = test([valve(1, 1, "read it again")], ["START"]);
    expect(stepOf(t, t.valves[0], new Set())).toBe("AGAIN");
    expect(goOn(t, 0)).toBe(0);
  });
  it("goes on to the next spring that wants a reading, and ends with the check spring", () => {
    const t = test([valve(0, 1), valve(0, 1), valve(1)], ["START"]);
    expect(goOn(t, 0)).toBe(2);
    expect(nextSpring(t, 2)).toBe(2);
    const done = test([valve(0, 1)], ["START"]);
    expect(goOn(done, 0)).toBeUndefined();
    expect(stepOf(done, undefined, new Set())).toBe("CHECK_END");
    expect(stepOf(test([valve(0, 1)], ["START", "END"]), undefined, new Set())).toBe("DONE");
  });
});
