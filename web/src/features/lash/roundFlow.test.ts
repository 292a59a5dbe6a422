import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { newest, type RoundChange, withChange } from "../../api/roundChange";
import { type Box, due, put, refused, sent, taken } from "../../outbox/box";
import type { Contents, Parcel } from "../../outbox/parcel";
import { nth } from "../../ui/nth";
import { ofRound, withWaiting } from "./overlay";
import { type Act, askedNow, EMPTY_HAND, type Ground, type Hand, step } from "./roundFlow";
import { FakeRound, GAUGE } from "./testRound";
import type { Round, ValveView } from "./useRound";

/**
 * A person, the outbox and a line that delays, loses and doubles; time is the order of what happens.
 */
class Bench {
  readonly shim: FakeRound;
  private round: Round;
  private box: Box = [];
  private onTheWay = new Map<string, Parcel>();
  private answers: (() => void)[] = [];
  private ids = 0;
  hand: Hand = EMPTY_HAND;
  ended = false;

  constructor(
    valves: number,
    leavesWhatIsIn = false,
    private name = "KV",
  ) {
    this.shim = new FakeRound(valves, leavesWhatIsIn);
    this.round = this.shim.view();
  }

  private ground(): Ground {
    return { hand: this.name, unit: "thou", newId: () => `${this.name}${++this.ids}`, now: () => "" };
  }

  seen(): Round {
    return withWaiting(this.round, ofRound(this.box, "r"));
  }

  act(act: Act) {
    if (this.ended) return;
    const out = step(this.hand, act, this.seen(), this.ground());
    for (const c of out.keep) this.box = put(this.box, this.parcel(c), new Set(this.onTheWay.keys()));
    this.hand = out.hand;
    this.ended = out.goes === "END";
  }

  keys(text: string) {
    for (const word of text.split(" ")) this.figure(word);
  }

  /** One entry: a figure or a letter; a dot stands for Enter alone. */
  figure(word: string) {
    if (word === "K") return this.act({ do: "skip" });
    if (word === "U") return this.act({ do: "takeBack" });
    if (word !== ".") for (let i = 1; i <= word.length; i++) this.act({ do: "type", text: word.slice(0, i) });
    this.act({ do: "enter" });
  }

  private parcel(c: Contents): Parcel {
    return { ...c, key: `k${++this.ids}`, at: "", tried: 0, held: false };
  }

  /** Sends what is due; what becomes of it is decided later. */
  send() {
    for (const p of due(this.box, new Set(this.onTheWay.keys()))) {
      this.box = sent(this.box, p.key);
      this.onTheWay.set(p.key, p);
    }
  }

  get open() {
    return this.onTheWay.size + this.answers.length + this.box.filter((p) => !p.held).length;
  }

  /** One thing happens on the line, chosen by a number: arrives, is lost on the way there or back. */
  line(choice: number) {
    const underway = [...this.onTheWay.values()];
    // The page asks for the round every two seconds; that answer may be late too.
    if (choice % 7 === 5) {
      const seen = this.shim.view();
      this.answers.push(() => this.take(seen));
    }
    if (this.answers.length > 0 && choice % 3 === 0) {
      this.answers.splice(choice % this.answers.length, 1)[0]?.();
    } else if (underway.length > 0) {
      const p = nth(underway, choice % underway.length);
      this.onTheWay.delete(p.key);
      this.fate(p, choice % 10);
    } else this.send();
  }

  private fate(p: Parcel, fate: number) {
    const lost = { status: 0, words: "no answer" };
    if (fate === 1) {
      this.box = refused(this.box, p.key, lost);
      return;
    }
    const answer = this.shim.take(p);
    if (fate === 2) {
      // Taken, but the answer is lost: it is sent again.
      this.box = refused(this.box, p.key, lost);
      return;
    }
    if (fate === 3) this.shim.take(p);
    this.onTheWay.set(p.key, p);
    this.answers.push(() => {
      this.onTheWay.delete(p.key);
      if ("words" in answer) {
        this.box = refused(this.box, p.key, answer);
        return;
      }
      this.round = withChange(this.round, answer);
      this.box = taken(this.box, p.key, (id) => version(answer, id));
    });
  }

  private take(answer: Round) {
    this.round = newest(this.round, answer);
  }

  /** Until all is with Shim. */
  settle(choices: readonly number[] = []) {
    for (let i = 0; i < 2000 && this.open > 0; i++)
      this.line(i < 300 ? (choices[i % choices.length] ?? 0) : 0);
    return this;
  }

  get refusals() {
    return this.box.filter((p) => p.held);
  }
}

const version = (round: RoundChange, id: string) =>
  round.valves.flatMap((v) => [v.found, v.left]).find((r) => r?.id === id)?.version;

/** On a line that answers everything at once. */
function fast(work: string, leaves = false): string {
  const bench = new Bench(4, leaves);
  for (const word of work.split(" ")) {
    bench.figure(word);
    bench.settle();
  }
  expect(bench.refusals).toEqual([]);
  return bench.shim.record();
}

describe("a round on any line makes the record the fingers entered", () => {
  const word = fc.constantFrom("18", "22", "17", "180", "18/19", "18-", "18*", ".", "K", "U", "x");
  const words = fc.array(word, { minLength: 1, maxLength: 26 }).map((w) => w.join(" "));
  const line = fc.array(fc.nat(9999), { minLength: 12, maxLength: 60 });

  it("whatever is delayed, lost, doubled or answered out of order", () => {
    fc.assert(
      fc.property(words, line, fc.boolean(), (work, choices, leaves) => {
        const bench = new Bench(4, leaves);
        let c = 0;
        for (const w of work.split(" ")) {
          bench.figure(w);
          for (let i = 0; i < nth(choices, c % choices.length) % 4; i++)
            bench.line(nth(choices, c++ % choices.length));
          c++;
        }
        bench.settle(choices);
        expect(bench.refusals).toEqual([]);
        expect(bench.shim.record()).toBe(fast(work, leaves));
      }),
      { numRuns: 1500, seed: 1127 },
    );
  });

  it("also when nothing is sent until all is typed", () => {
    fc.assert(
      fc.property(words, (work) => {
        const bench = new Bench(4);
        bench.keys(work);
        bench.settle();
        expect(bench.refusals).toEqual([]);
        expect(bench.shim.record()).toBe(fast(work));
      }),
      { numRuns: 200, seed: 1128 },
    );
  });
});

describe("what waits over what Shim has", () => {
  const parcel = (key: string, typed: string, over: Partial<Parcel> = {}): Parcel =>
    ({
      kind: "reading",
      roundId: "r",
      readingId: "a",
      body: { valve: "1I", phase: "FOUND", form: "FIGURE", figure: Number(typed) / 1000, typed, hand: "KV" },
      key,
      at: "",
      tried: 0,
      held: false,
      ...over,
    }) as Parcel;
  const unread = { ...parcel("u", "0"), kind: "unread", valve: "1I", hand: "KV", known: false } as Parcel;

  it("a reading whose answer was lost, but was seen since, keeps Shim's version", () => {
    const shim = new FakeRound(1, false);
    shim.take(parcel("k", "22"));
    const shown = withWaiting(shim.view(), ofRound([parcel("k", "22", { tried: 1 })], "r"));
    expect(nth(shown.valves, 0).found?.version).toBe(0);
    const corrected = withWaiting(shim.view(), ofRound([parcel("k", "21", { tried: 1 })], "r"));
    expect(nth(corrected.valves, 0).found?.version).toBe(-1);
  });

  it("taking back a correction that never left takes back what it corrected too", () => {
    const correction = parcel("k", "21");
    if (correction.kind === "reading") correction.body.basedOn = 0;
    expect(put([correction], unread, new Set()).map((p) => p.kind)).toEqual(["unread"]);
    expect(put([parcel("k", "21")], unread, new Set())).toEqual([]);
    expect(put([parcel("k", "21", { tried: 1 })], unread, new Set()).map((p) => p.kind)).toEqual([
      "reading",
      "unread",
    ]);
  });
});

describe("the keys at a valve", () => {
  it("found, left, next; the crank first", () => {
    expect(fast(". 22 18 18 .")).toBe("1I 22/18 | 1E 18/same | 2I - | 2E -");
  });
  it("take a figure back and enter another at once: found stays before left", () => {
    const bench = new Bench(4);
    bench.keys(". 22 U 21 18");
    expect(bench.settle().shim.record()).toBe("1I 21/18 | 1E - | 2I - | 2E -");
  });
  it("skip a valve, and what follows goes to the next one", () => {
    const bench = new Bench(4);
    bench.keys("K 18");
    expect(bench.settle().shim.record()).toBe("1I - put off | 1E 18/- | 2I - | 2E -");
  });
  it("at a fresh valve U takes the valve before back, one Enter's worth", () => {
    expect(fast("22 18 U")).toBe("1I 22/- | 1E - | 2I - | 2E -");
  });
  it("a figure out of tolerance is left so only by a second Enter", () => {
    expect(fast(". 25 .")).toBe("1I 25/- | 1E - | 2I - | 2E -");
    expect(fast(". 25 . .")).toBe("1I 25/same | 1E - | 2I - | 2E -");
  });
  it("a figure that looks like a slip is asked about, and the next one stands in its place", () => {
    expect(fast(". 180 18 18")).toBe("1I 18/18 | 1E - | 2I - | 2E -");
    expect(fast(". 180 .")).toBe("1I 180 it is so/- | 1E - | 2I - | 2E -");
  });
  it("what is no reading stays in the box with its reason", () => {
    const bench = new Bench(4);
    bench.figure("19/18");
    expect(bench.hand.text).toBe("19/18");
    expect(bench.hand.trouble).toContain("thinner");
  });
});

describe("the house rule that leaves alone what is in", () => {
  it("passes a valve by one figure: as many figures as valves", () => {
    expect(fast("18 18 19 17", true)).toBe("1I 18/same | 1E 18/same | 2I 19/same | 2E 17/same");
  });
  it("asks for as left where it is out", () => {
    expect(fast("22 18 18", true)).toBe("1I 22/18 | 1E 18/same | 2I - | 2E -");
  });
  it("sets it anyway by one key, before or after", () => {
    const before = new Bench(4, true);
    before.act({ do: "type", text: "18" });
    before.act({ do: "setAnyway" });
    before.figure("17");
    expect(before.settle().shim.record()).toBe("1I 18/17 | 1E - | 2I - | 2E -");
    const after = new Bench(4, true);
    after.figure("18");
    expect(after.hand.passed).toEqual({ valve: "1I", found: "18" });
    after.act({ do: "setAnyway" });
    after.figure("17");
    expect(after.settle().shim.record()).toBe("1I 18/17 | 1E - | 2I - | 2E -");
  });
  it("U takes the whole passed valve back", () => {
    expect(fast("18 18 U", true)).toBe("1I 18/same | 1E - | 2I - | 2E -");
  });
});

const TURNED: NonNullable<ValveView["preloadTarget"]> = {
  kind: "INTAKE",
  unit: "TURNS",
  from: 0.375,
  to: 0.625,
  aim: 0.5,
  bottom: 1.1,
  perUnitIn: 0.07,
  aboveZero: true,
  ruled: true,
};

describe("hydraulic lifters", () => {
  it("a turn that would bottom the plunger is refused before it is kept", () => {
    const shim = new FakeRound(2, false);
    const view = shim.view();
    const round = { ...view, hydraulic: true } as Round;
    const found = { id: "f", form: "TURNS" as const, turns: 0.25, hand: "KV", takenAt: "", version: 0 };
    round.valves = [
      { ...nth(round.valves, 0), gauge: undefined, found, preloadTarget: TURNED },
      nth(round.valves, 1),
    ];
    const ground = { hand: "KV", unit: "thou" as const, newId: () => "n", now: () => "" };
    const typed = (text: string) =>
      step(step(EMPTY_HAND, { do: "type", text }, round, ground).hand, { do: "enter" }, round, ground);
    expect(typed("2").hand.trouble).toContain("bottom the plunger");
    expect(typed("0").hand.trouble).toContain("above zero");
    expect(typed("2").keep).toEqual([]);
    expect(typed("1/2").keep).toMatchObject([{ body: { form: "TURNS", figure: 0.5, phase: "LEFT" } }]);
  });
});

describe("a hydraulic valve where nothing turns", () => {
  const shim = new FakeRound(2, false);
  const view = { ...shim.view(), hydraulic: true, adjuster: "PUSHROD_LENGTH" } as Round;
  const target = { ...TURNED, unit: "INCH" as const, from: 0.025, to: 0.06, bottom: 0.08, perUnitIn: 1 };
  const first = { ...nth(view.valves, 0), gauge: undefined, target: undefined, preloadTarget: target };
  const ground = { hand: "KV", unit: "mm" as const, newId: () => "n", now: () => "" };
  const typed = (text: string, valve: ValveView) => {
    const round = { ...view, valves: [valve, nth(view.valves, 1)] };
    const hand = step(EMPTY_HAND, { do: "type", text }, round, ground).hand;
    return step(hand, { do: "enter" }, round, ground);
  };
  const found = {
    id: "f",
    form: "LENGTH" as const,
    zeroLashIn: 7.85,
    hand: "KV",
    takenAt: "",
    version: 0,
  };

  it("is measured as a length at zero lash", () => {
    const { keep } = typed("199,39", first);
    expect(keep).toMatchObject([{ body: { form: "LENGTH", phase: "FOUND", typed: "199,39" } }]);
    expect((nth(keep, 0) as { body: { figure: number } }).body.figure).toBeCloseTo(7.85, 4);
    expect(typed("1/2", first).hand.trouble).toContain("no length at zero lash");
  });

  it("is left with the part that went in, whatever was measured", () => {
    const left = typed("200.66", { ...first, found, foundVerdict: "SHALLOW", status: "FOUND" });
    expect(left.keep).toMatchObject([{ body: { form: "LENGTH", phase: "LEFT", figure: 7.85 } }]);
    expect((nth(left.keep, 0) as { body: { partSizeIn: number } }).body.partSizeIn).toBeCloseTo(7.9, 4);
  });

  it("is not left with a size to hand that would bottom the plunger", () => {
    const sizes = [{ sizeIn: 7.95, travelIn: 0.1, verdict: "BOTTOMED" as const }];
    const preload = { parts: { sizes } } as unknown as ValveView["preload"];
    const left = typed("201.93", { ...first, found, preload, foundVerdict: "SHALLOW", status: "FOUND" });
    expect(left.hand.trouble).toContain("bottom the plunger");
    expect(left.keep).toEqual([]);
  });

  it("is not left as found where the plunger is at its end", () => {
    const round = {
      ...view,
      crankDeg: nth(view.plan.stops, 0).crankDeg,
      valves: [{ ...first, found, foundVerdict: "BOTTOMED" as const, status: "FOUND" as const }],
    };
    expect(step(EMPTY_HAND, { do: "enter" }, round, ground).hand.trouble).toContain("bottom the plunger");
  });
});

describe("two hands at one valve", () => {
  it("a figure begun before the other's arrived is not written over it unseen", () => {
    const mine = new Bench(2);
    mine.act({ do: "type", text: "2" });
    mine.shim.other("1I", 0.022, "MO");
    mine.line(0);
    const seen = mine.seen();
    expect(askedNow(mine.hand, nth(seen.valves, 0))).toBe("FOUND");
    mine.act({ do: "type", text: "20" });
    mine.act({ do: "enter" });
    mine.settle();
    expect(mine.refusals.map((p) => p.last?.status)).toEqual([409]);
    expect(mine.shim.record()).toBe("1I 22/- | 1E -");
  });
  it("bounds come from Shim", () => {
    expect(GAUGE.inFromIn).toBeLessThan(GAUGE.inToIn);
  });
});
