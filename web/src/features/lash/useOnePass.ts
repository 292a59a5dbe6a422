import { useState } from "react";
import { stepOf } from "../fatigue/testFlow";
import type { SpringTest, TestValve, useSpringTest } from "../fatigue/useSpringTest";

/** The spring test made stop by stop with a lash round. */
export interface OnePass {
  test: SpringTest;
  work: ReturnType<typeof useSpringTest>;
  /** The spring being read now, in place of its valve's lash. */
  spring?: TestValve;
  /** The check spring is asked for before the first valve. */
  wantsCheck: boolean;
  passCheck: () => void;
  wants: (position: string, now?: SpringTest) => boolean;
  /** To the spring of this valve, or, with nothing, back to the lash. */
  turnTo: (position?: string) => void;
  /** No more springs in this pass; what is left unread can be read in the test itself. */
  stop: () => void;
}

const NONE: ReadonlySet<string> = new Set();
const START: ReadonlySet<string> = new Set(["START"]);

export function useOnePass(work?: ReturnType<typeof useSpringTest>): OnePass | undefined {
  const [at, setAt] = useState<string>();
  const [checkPassed, setCheckPassed] = useState(false);
  const [stopped, setStopped] = useState(false);
  const test = work?.test;
  if (!work || !test) return undefined;
  return {
    test,
    work,
    spring: test.valves.find((v) => v.position === at),
    wantsCheck: !test.endedAt && stepOf(test, undefined, checkPassed ? START : NONE) === "CHECK_START",
    passCheck: () => setCheckPassed(true),
    wants: (position, now = test) =>
      !stopped && !now.endedAt && now.valves.some((v) => v.position === position && v.more > 0),
    turnTo: setAt,
    stop: () => setStopped(true),
  };
}
