import type { Parcel, ParcelOf } from "../../outbox/parcel";
import type { SpringTest, TestValve } from "./useSpringTest";

export type TestParcel = ParcelOf<"load" | "unload" | "check">;

export const ofTest = (box: readonly Parcel[], testId: string): TestParcel[] =>
  box.filter(
    (p): p is TestParcel =>
      (p.kind === "load" || p.kind === "unload" || p.kind === "check") && p.testId === testId,
  );

/** A figure that looks like another unit or point, by Shim's own bounds. */
export const isSlip = (valve: TestValve, loadLbf: number): boolean =>
  valve.slips.some((s) => loadLbf > s.fromLbf && loadLbf < s.toLbf);

/** The test as it stands for whoever reads: Shim's last answer and, over it, what still waits. */
export function testWithWaiting(test: SpringTest, parcels: readonly TestParcel[]): SpringTest {
  const now = parcels.reduce(over, test);
  return now === test ? test : { ...now, done: now.valves.filter((v) => v.more === 0).length };
}

function over(test: SpringTest, p: TestParcel): SpringTest {
  if (p.held) return test;
  switch (p.kind) {
    case "check": {
      if (test.checks.some((c) => c.id === p.checkId)) return test;
      const { name, knownLbf, loadLbf, side, hand } = p.body;
      return { ...test, checks: [...test.checks, { id: p.checkId, name, knownLbf, loadLbf, side, hand }] };
    }
    case "load":
      return at(test, p.body.valve, (v) => read(v, p));
    case "unload":
      return at(test, p.valve, (v) => unread(v, p.readingId));
  }
}

function at(test: SpringTest, valve: string | undefined, change: (v: TestValve) => TestValve): SpringTest {
  return { ...test, valves: test.valves.map((v) => (v.position === valve ? change(v) : v)) };
}

/** What Shim reckoned from the readings before says nothing of these. */
const NOT_RECKONED = {
  ask: undefined,
  correctedLbf: undefined,
  loss: undefined,
  againstSet: undefined,
  againstLast: undefined,
};

function read(v: TestValve, p: ParcelOf<"load">): TestValve {
  if (v.readings.some((r) => r.id === p.readingId)) return v;
  const { body } = p;
  const reading = { id: p.readingId, springId: v.springId, ...body };
  const first = v.readings.length === 0;
  const asked = first && !(body.loadLbf > v.plainFromLbf && body.loadLbf < v.plainToLbf);
  const wanted = Math.max(0, v.more - 1);
  return {
    ...v,
    readings: [...v.readings, reading],
    ...NOT_RECKONED,
    ask: asked && !body.again ? askOf(v, body.loadLbf) : undefined,
    more: asked && !body.again ? Math.max(1, wanted) : wanted,
  };
}

/** Shim's own question comes with its answer; until then the plainest that fits. */
const askOf = (v: TestValve, readLbf: number): TestValve["ask"] => ({
  code: "READ_AGAIN",
  readLbf,
  expectedLbf: v.expectedLbf,
});

function unread(v: TestValve, readingId: string): TestValve {
  if (!v.readings.some((r) => r.id === readingId)) return v;
  return {
    ...v,
    readings: v.readings.filter((r) => r.id !== readingId),
    ...NOT_RECKONED,
    more: Math.max(1, v.more),
  };
}
