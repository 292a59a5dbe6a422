import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type Box, due, put, refused, sent, taken } from "../../outbox/box";
import type { Contents, Parcel } from "../../outbox/parcel";
import { nth } from "../../ui/nth";
import { readSpring, takeBack } from "./readFlow";
import { goOn, stepOf } from "./testFlow";
import { ofTest, testWithWaiting } from "./testOverlay";
import type { SpringTest, TestValve } from "./useSpringTest";

type Load = TestValve["readings"][number];

/** Shim's side of a spring test: every reading stands beside the others. */
class FakeTest {
  private kept = new Map<string, Load[]>();
  private changes = 0;
  constructor(private names: string[]) {
    for (const n of names) this.kept.set(n, []);
  }
  take(p: Contents): SpringTest {
    if (p.kind === "load") {
      const all = this.kept.get(p.body.valve ?? "") ?? [];
      if (!all.some((r) => r.id === p.readingId)) all.push({ id: p.readingId, springId: "s", ...p.body });
    }
    if (p.kind === "unload") {
      for (const [n, all] of this.kept)
        this.kept.set(
          n,
          all.filter((r) => r.id !== p.readingId),
        );
    }
    this.changes++;
    return this.view();
  }
  view(): SpringTest {
    const valves = this.names.map((position): TestValve => {
      const readings = [...(this.kept.get(position) ?? [])];
      const last = readings.at(-1);
      const again = readings.some((r) => r.again);
      const ask =
        last && !again && !(last.loadLbf > 200 && last.loadLbf < 240)
          ? { code: "READ_AGAIN" as const, readLbf: last.loadLbf, expectedLbf: 220 }
          : undefined;
      const wanted = Math.max(0, 1 - readings.length);
      return {
        position,
        springId: "s",
        mark: "",
        hours: 1,
        heightIn: 1.95,
        expectedLbf: 220,
        readings,
        repeatability: 0.02,
        ask,
        more: ask ? Math.max(1, wanted) : wanted,
        plainFromLbf: 200,
        plainToLbf: 240,
        slips: [{ fromLbf: 1870, toLbf: 2530 }],
      };
    });
    return {
      id: "t",
      changes: this.changes,
      valves,
      checks: [{ side: "START" }],
      done: 0,
    } as unknown as SpringTest;
  }
  record(): string {
    return this.names
      .map(
        (n) =>
          `${n} ${(this.kept.get(n) ?? []).map((r) => `${r.typed}${r.again ? " again" : ""}`).join("+") || "-"}`,
      )
      .join(" | ");
  }
}

class Bench {
  shim = new FakeTest(["1I", "1E", "2I"]);
  private answered = this.shim.view();
  private box: Box = [];
  private ids = 0;
  private at: number | undefined = 0;

  private seen(): SpringTest {
    return testWithWaiting(this.answered, ofTest(this.box, "t"));
  }
  figure(text: string) {
    const test = this.seen();
    const valve = this.at === undefined ? undefined : test.valves[this.at];
    if (!valve || this.at === undefined) return;
    const known = (id: string) => this.answered.valves.some((v) => v.readings.some((r) => r.id === id));
    const ground = { hand: "KV", newId: () => `r${++this.ids}`, known };
    if (text === "U") return this.keep(takeBack(test, valve, ground));
    const again = stepOf(test, valve, new Set()) === "AGAIN";
    const out = readSpring(test, valve, again, { text, height: "1.950", unit: "thou" }, undefined, ground);
    if ("trouble" in out) return;
    this.keep(out.keep);
    this.at = goOn(this.seen(), this.at);
  }
  private keep(all: Contents[]) {
    for (const c of all)
      this.box = put(
        this.box,
        { ...c, key: `k${++this.ids}`, at: "", tried: 0, held: false } as Parcel,
        new Set(),
      );
  }
  /** Sends one; by the number the way there or the way back loses it. */
  line(choice: number) {
    const [p] = due(this.box, new Set());
    if (!p) return;
    this.box = sent(this.box, p.key);
    const lost = { status: 0, words: "no answer" };
    if (choice % 5 === 1) this.box = refused(this.box, p.key, lost);
    else {
      const answer = this.shim.take(p);
      if (choice % 5 === 2) this.box = refused(this.box, p.key, lost);
      else {
        this.answered = answer;
        this.box = taken(this.box, p.key, () => undefined);
      }
    }
  }
  settle() {
    while (this.box.length > 0) this.line(0);
    return this;
  }
}

function fast(work: string[]): string {
  const bench = new Bench();
  for (const w of work) {
    bench.figure(w);
    bench.settle();
  }
  return bench.shim.record();
}

describe("a spring test on any line", () => {
  it("makes the record the fingers entered", () => {
    const words = fc.array(fc.constantFrom("214", "219.5", "150", "2200", "U", "x"), { maxLength: 14 });
    fc.assert(
      fc.property(words, fc.array(fc.nat(99), { minLength: 5, maxLength: 40 }), (work, choices) => {
        const bench = new Bench();
        let c = 0;
        for (const w of work) {
          bench.figure(w);
          for (let i = 0; i < nth(choices, c % choices.length) % 3; i++)
            bench.line(nth(choices, c++ % choices.length));
          c++;
        }
        expect(bench.settle().shim.record()).toBe(fast(work));
      }),
      { numRuns: 1500, seed: 1127 },
    );
  });
  it("puts a slip of the point right, and keeps a surprise beside the next", () => {
    expect(fast(["2200", "219", "214"])).toBe("1I 219 | 1E 214 | 2I -");
    expect(fast(["150", "152", "214"])).toBe("1I 150+152 again | 1E 214 | 2I -");
  });
});
