import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { heardIn, judge, judgePreload, plain } from "./gauge";

type Target = Schemas["PreloadTarget"];

const STEP_IN = 0.001;
const lines = readFileSync("../core/src/test/resources/gauge-cases.csv", "utf8").trim().split("\n").slice(1);
const number = (text = "") => (text === "" ? undefined : Number(text));

describe("a figure whose answer is still on its way", () => {
  it.each(lines)("is judged as core judges it: %s", (line) => {
    const [form, figure, second, feel, target, tolerance, floor, verdict, asked] = line.split(",");
    const entry = {
      form: form as "FIGURE",
      figure: number(figure),
      secondFigure: number(second),
      feel: (feel || undefined) as "SNUG" | undefined,
    };
    const round = (inch: number) => Math.round(inch * 1e7) / 1e7;
    // Bounds come from Shim as decimals; for these cases they are made here.
    const gauge = {
      inFromIn: round(Number(target) - Number(tolerance)),
      inToIn: round(Number(target) + Number(tolerance)),
      floorIn: number(floor),
      plainFromIn: 0.0027,
      plainToIn: 0.045,
    };
    const heard = heardIn(entry, STEP_IN);
    expect(heard).toBeDefined();
    expect(judge(gauge, heard ?? 0)).toBe(verdict);
    if (target === "0.018") expect(plain(gauge, heard ?? 0)).toBe(asked === "false");
  });
  it("turns and what is untouched have no gap of their own", () => {
    expect(heardIn({ form: "TURNS", figure: 0.5 }, STEP_IN)).toBeUndefined();
    expect(heardIn({ form: "SAME" }, STEP_IN)).toBeUndefined();
  });
});

const preloads = readFileSync("../core/src/test/resources/preload-cases.csv", "utf8")
  .trim()
  .split("\n")
  .slice(1);

describe("a preload whose answer is still on its way", () => {
  const target = (from: string, to: string, bottom: string, aboveZero: string) =>
    ({
      from: Number(from),
      to: Number(to),
      bottom: Number(bottom),
      aboveZero: aboveZero === "true",
    }) as Target;
  it.each(preloads)("is judged as core judges it: %s", (line) => {
    const [from = "", to = "", bottom = "", aboveZero = "", preload, verdict] = line.split(",");
    expect(judgePreload(target(from, to, bottom, aboveZero), Number(preload))).toBe(verdict);
  });
});
