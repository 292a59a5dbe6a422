import { describe, expect, it } from "vitest";
import {
  boxText,
  figure,
  height,
  load,
  measured,
  needed,
  readSeconds,
  secondsText,
  several,
  words,
} from "./boxes";
import { readNumber } from "./load";

const wrong = (read: { success: boolean; error?: { issues: { message: string }[] } }) =>
  read.error?.issues[0]?.message;

describe("a box of a form", () => {
  it("says nothing when blank", () => {
    expect(figure().parse(" ")).toBeUndefined();
    expect(words().parse(" ")).toBeUndefined();
    expect(several(readNumber).parse("")).toEqual([]);
  });

  it("is read in the person's unit", () => {
    expect(height("thou").parse("1.95")).toBe(1.95);
    expect(height("mm").parse("49,53")).toBeCloseTo(1.95, 4);
    expect(load("mm").parse("954")).toBeCloseTo(214.47, 2);
    expect(figure().parse("12,5")).toBe(12.5);
  });

  it("names what it cannot read", () => {
    expect(wrong(figure().safeParse("12h"))).toBe('"12h" cannot be read');
    expect(wrong(figure().safeParse("1e999"))).toBe('"1e999" cannot be read');
    expect(wrong(height("mm").safeParse("tall"))).toBe('"tall" cannot be read');
    expect(wrong(several(readNumber).safeParse("20 4o 60"))).toBe('"4o" cannot be read');
  });

  it("asks for what has to be there", () => {
    expect(wrong(needed("a number of hours").safeParse(""))).toBe("a number of hours");
    expect(wrong(needed("a number of hours").safeParse("ten"))).toBe('"ten" cannot be read');
    expect(needed("a number of hours").parse("0")).toBe(0);
  });

  it("reads several, with blanks or semicolons between", () => {
    expect(several(readNumber).parse("20 40; 60")).toEqual([20, 40, 60]);
  });

  it("begins with what is known", () => {
    expect(boxText(undefined)).toBe("");
    expect(boxText(1.95, (n) => n.toFixed(3))).toBe("1.950");
  });
});

describe("a box that nobody touched", () => {
  it("says what it said before, to the last digit", () => {
    expect(height("mm", 0.005).parse("0.13")).toBe(0.005);
    expect(height("mm", 0.005).parse("0.14")).toBeCloseTo(0.00551, 5);
    expect(measured("torque", "mm", 22).parse("29.8")).toBe(22);
    expect(load("mm", 185).parse("823")).toBe(185);
    const shims = several(
      (t) => Number(t) / 25.4,
      [0.015, 0.03],
      (n) => (n * 25.4).toFixed(2),
    );
    expect(shims.parse("0.38 0.76")).toEqual([0.015, 0.03]);
    expect(shims.parse("0.38")).toEqual([0.38 / 25.4]);
  });
});

describe("a time of a lap or a climb", () => {
  it("is read as people write it and written the same way", () => {
    expect(readSeconds("1:52.3")).toBe(112.3);
    expect(readSeconds("71,84")).toBe(71.84);
    expect(readSeconds("1:60")).toBeUndefined();
    expect(readSeconds("fast")).toBeUndefined();
    expect(secondsText(112.3)).toBe("1:52.3");
    expect(secondsText(65.04)).toBe("1:05.04");
    expect(secondsText(59.9)).toBe("59.9");
    expect(readSeconds(secondsText(61.007))).toBe(61.007);
  });
});
