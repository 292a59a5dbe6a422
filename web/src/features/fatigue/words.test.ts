import { expect, it } from "vitest";
import { adviceTexts, askText, dayText, habitText } from "./words";

it("asks about a reading in the units on screen", () => {
  const ask = { code: "TEN_TIMES" as const, readLbf: 2140, expectedLbf: 220, meantLbf: 214 };
  expect(askText(ask, "thou")).toBe("2140.0 lbf is ten times the 220 lbf expected: 214.0 lbf?");
  expect(askText({ ...ask, code: "NEWTON" }, "thou")).toContain("as newtons it is 214.0 lbf: was it N?");
  expect(askText({ code: "READ_AGAIN", readLbf: 200, expectedLbf: 220 }, "mm")).toBe(
    "890 N where 979 N was predicted: set it up once more, measure the height, and read again",
  );
  expect(askText({ code: "ELSE", readLbf: 60, expectedLbf: 220 }, "thou")).toContain("the right valve");
});

it("says which way the tester moved", () => {
  expect(habitText({ kind: "WITHIN_THE_TEST", percent: -1.5, habitPercent: 0 })).toContain("moved −1.5 %");
  expect(habitText({ kind: "SINCE_BEFORE", percent: -2.08, habitPercent: 0.8 })).toBe(
    "The tester reads 2.1 % lower than it usually does (its habit is ±0.8 %); the check spring takes that out",
  );
  expect(dayText({ percent: 1, sdPercent: 0.3, correction: 0.99 })).toBe(
    "The tester reads 1.0 % high today (±0.3): readings are multiplied by 0.9900",
  );
});

it("advises one spring or the set, and names the other school", () => {
  const advice = {
    school: "MATCHED_SINGLE" as const,
    wholeSet: false,
    change: ["1I", "1E"],
    soon: 2,
    of: 16,
    spreadNow: 0.06,
    spreadAfter: 0.01,
  };
  expect(adviceTexts(advice)).toEqual([
    "Change 1I 1E, matched from stock: 2 of 16 are due inside the next two events.",
    "Spread of loss in the set 6.0 points now, 1.0 with 1I 1E renewed.",
    "Your school: a matched single. The other: the whole set, so that all age together and none is opened twice.",
  ]);
  const whole = adviceTexts({ ...advice, wholeSet: true, school: "WHOLE_SET" });
  expect(whole[0]).toMatch(/^Change the set: 2 of 16/);
  expect(whole[2]).toContain("costs less");
});
