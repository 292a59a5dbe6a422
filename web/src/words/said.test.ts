import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { say, sayOf } from "./said";

const CODES = readFileSync("../core/src/test/resources/said.csv", "utf8")
  .trim()
  .split("\n")
  .map((line) => {
    const [code = "", figures = ""] = line.split(";");
    return { code, names: figures.split(" ").filter(Boolean) };
  });

const said = (code: string, figures: Record<string, number> = {}, name = "") => ({ code, figures, name });

/** A figure no other figure of the same saying is shown like. */
const figure = (i: number) => 0.013 + 0.0271 * i;

describe("what core can say", () => {
  it.each(CODES)("is a sentence with every figure in it: $code", ({ code, names }) => {
    const figures = Object.fromEntries(names.map((n, i) => [n, figure(i)]));
    const words = say(said(code, figures, "what was seen"), "thou");
    expect(words).not.toBe(code);
    expect(words).not.toContain("–");
    expect(words).not.toMatch(/undefined|NaN/);
    for (const n of names) {
      const { [n]: _, ...others } = figures;
      const without = say(said(code, others, "what was seen"), "thou");
      expect(without, `${n} changes nothing`).not.toBe(words);
    }
  });

  it("is said in the person's unit", () => {
    const near = said("FIT.CLOSE_TO_BIND", { clearanceIn: 0.055, leastIn: 0.06 });
    expect(say(near, "thou")).toBe("0.055 in from bind at full lift: 0.060 in is wanted");
    expect(say(near, "mm")).toBe("1.40 mm from bind at full lift: 1.52 mm is wanted");
    const heavy = said("LIFTER.OPEN_LOAD", { loadLbf: 900, usualLbf: 850 });
    expect(say(heavy, "mm")).toBe("carries 4003 N open; over 3781 N is much for its kind");
    const short = said("LOBE.SHORT_LASH_AGREES", { shortThou: 7, openedThou: 6 }, "worn");
    expect(say(short, "thou")).toBe("7 thou short: worn; its lash opened 6 thou, the same story");
    expect(say(short, "mm")).toBe("0.18 mm short: worn; its lash opened 0.15 mm, the same story");
  });

  it("asks about a lash in the unit it was typed in", () => {
    const ten = said("ASK.TEN_TIMES", { lashIn: 0.18, targetIn: 0.018, meantIn: 0.018 });
    expect(say(ten, "thou")).toBe("180 is ten times the target 18: 18?");
    expect(say(ten, "mm")).toBe("4.57 is ten times the target 0.46: 0.46?");
    const slip = said("ASK.MILLIMETRE", { lashIn: 0.45, targetIn: 0.018, meantIn: 0.45 / 25.4 });
    expect(say(slip, "thou")).toContain("was it mm?");
    expect(say(slip, "mm")).toMatch(/^11.43 is far over the target 0.46: did the crank/);
  });

  it("gives loss as a share and chances without claiming the ends", () => {
    const loss = { now: 0.031, next: 0.045, nextLow: 0.04, nextHigh: 0.05, chance: 0.001, limit: 0.1 };
    expect(say(said("SPRING.LOSS", loss), "mm")).toBe(
      "loss 3.1 % now; at the end of the next event 4.5 % (4.0 % to 5.0 %), under 1 % chance of more than the 10.0 % limit",
    );
    expect(say(said("SPRING.OWN_WAY", { chance: 0.999 }), "mm")).toContain("over 99 %");
  });

  it("counts tests in words", () => {
    const tests = (n: number) => say(said("SPRING.LITTLE_KNOWN", { tests: n }), "thou");
    expect(tests(0)).toMatch(/^no test so far/);
    expect(tests(1)).toMatch(/^one test so far/);
    expect(tests(2)).toMatch(/^2 tests so far/);
  });

  it("calls a drift perhaps until it is sure, and says what to look at first", () => {
    const figures = {
      sure: 0,
      thouPerHour: 2.1,
      sinceHours: 6.4,
      fromHours: 5.5,
      toHours: 7.1,
      movedThou: 2.6,
    };
    expect(sayOf("5E", said("LASH.OPENING", figures, "jam nut"), "thou")).toBe(
      "5E perhaps opening 2.1 thou an hour since about 6.4 h (5.5 to 7.1), 2.6 thou in all; look first: jam nut",
    );
    expect(say(said("LASH.OPENING", { ...figures, sure: 1 }), "thou")).toMatch(/^opening/);
  });

  it("says which way all valves or a round went", () => {
    const exhausts = (thouPerHour: number) => say(said("COMMON.EXHAUSTS_MOVE", { thouPerHour }), "thou");
    expect(exhausts(-0.35)).toBe(
      "the exhausts against the intakes close 0.35 thou an hour: exhaust seats sinking, if it goes on",
    );
    expect(exhausts(0.35)).toContain("open 0.35 thou an hour: intake seats, or heat");
    expect(say(said("COMMON.ROUND_READ_OFF", { atHours: 5, thou: -3.2 }), "thou")).toContain(
      "read 3.2 thou tight at every valve",
    );
  });

  it("names the valve, except in words that were kept with it", () => {
    expect(sayOf("2I", said("ROUND.UNDER_FLOOR", { leftIn: 0.013, floorIn: 0.014 }), "thou")).toBe(
      "2I left at 13, under the lowest allowed 14 thou",
    );
    expect(sayOf("2I", said("ROUND.SEEN", {}, "spring broken"), "thou")).toBe("2I: spring broken");
    expect(sayOf("2I", said("KEPT", {}, "2I left at 0.0130"), "mm")).toBe("2I left at 0.0130");
    expect(sayOf(undefined, said("ROUND.EXHAUSTS_CLOSED", { thou: 2 }), "thou")).toMatch(/^the exhausts/);
  });

  it("shows the code of something a later Shim says", () => {
    expect(say(said("SPRING.NEW_THING"), "thou")).toBe("SPRING.NEW_THING");
  });
});
