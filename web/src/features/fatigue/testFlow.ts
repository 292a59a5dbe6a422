import { nth } from "../../ui/nth";
import type { SpringTest, TestValve } from "./useSpringTest";

/** What is asked of a person now. */
export type TestStep = "CHECK_START" | "READ" | "AGAIN" | "CHECK_END" | "DONE";

/** The check spring comes first and, when all are read, once more; either may be passed over. */
export function stepOf(test: SpringTest, at: TestValve | undefined, passed: ReadonlySet<string>): TestStep {
  const has = (side: "START" | "END") => test.checks.some((c) => c.side === side) || passed.has(side);
  const started = test.valves.some((v) => v.readings.length > 0);
  if (!has("START") && !started) return "CHECK_START";
  if (at) return at.ask && at.readings.length > 0 ? "AGAIN" : "READ";
  return has("END") ? "DONE" : "CHECK_END";
}

/** The next spring in working order that still wants a reading; undefined when none does. */
export function nextSpring(test: SpringTest, after: number): number | undefined {
  const n = test.valves.length;
  for (let k = 1; k <= n; k++) {
    const i = (after + k) % n;
    if (nth(test.valves, i).more > 0) return i;
  }
  return undefined;
}

/** Stay while this spring wants more readings, else go on. */
export function goOn(test: SpringTest, at: number): number | undefined {
  return nth(test.valves, at)?.more > 0 ? at : nextSpring(test, at);
}
