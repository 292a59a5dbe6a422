import type { Contents } from "../../outbox/parcel";
import type { LashUnit } from "../../units/lash";
import { loadUnit, readHeight, readLoad } from "../../units/load";
import { isSlip } from "./testOverlay";
import type { SpringTest, TestValve } from "./useSpringTest";

/** Reading one spring as a pure machine: what was typed goes in, what is to be kept comes out. */
export interface Typed {
  /** The load as typed, or as the tester showed it. */
  text: string;
  height: string;
  unit: LashUnit;
}

export interface ReadGround {
  hand: string;
  newId: () => string;
  /** Shim has this reading for certain. */
  known: (readingId: string) => boolean;
}

/** Why it cannot be kept, in words, or what is kept. */
export type Read = { trouble: string } | { keep: Contents[] };

/** Keeps a load at a spring; a slip asked about before is put right, a surprise stays beside the next. */
export function readSpring(
  test: SpringTest,
  valve: TestValve,
  again: boolean,
  typed: Typed,
  loadLbf: number | undefined,
  ground: ReadGround,
): Read {
  const heightIn = readHeight(typed.height, typed.unit);
  if (heightIn === undefined) return { trouble: `"${typed.height}" is no height: 1.950` };
  const load = loadLbf ?? readLoad(typed.text, typed.unit);
  if (load === undefined) {
    return { trouble: `"${typed.text}" is no load in ${loadUnit(typed.unit)}: 214.5, or 954 N` };
  }
  if (!(load > 0 && load <= 5000)) return { trouble: "a load lies above zero and up to 5000 lbf" };
  const last = again ? valve.readings.at(-1) : undefined;
  const slip = last && isSlip(valve, last.loadLbf) ? last : undefined;
  const reading: Contents = {
    kind: "load",
    testId: test.id,
    readingId: ground.newId(),
    body: {
      valve: valve.position,
      heightIn,
      loadLbf: load,
      member: "WHOLE",
      typed: typed.text,
      again: again && !slip,
      hand: ground.hand,
    },
  };
  return { keep: slip ? [unload(test, valve, slip.id, ground), reading] : [reading] };
}

/** Takes the last reading of a spring back. */
export function takeBack(test: SpringTest, valve: TestValve, ground: ReadGround): Contents[] {
  const last = valve.readings.at(-1);
  return last ? [unload(test, valve, last.id, ground)] : [];
}

const unload = (test: SpringTest, valve: TestValve, readingId: string, ground: ReadGround): Contents => ({
  kind: "unload",
  testId: test.id,
  readingId,
  valve: valve.position,
  hand: ground.hand,
  known: ground.known(readingId),
});
