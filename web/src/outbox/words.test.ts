import { describe, expect, it } from "vitest";
import { type Contents, nameOf, streamOf } from "./parcel";
import { homeOf, wordsFor } from "./words";

const entry = { hand: "KV" };
const all: [Contents, string, string, string][] = [
  [
    { kind: "unread", roundId: "r", readingId: "a", valve: "1E", hand: "KV", known: true },
    "1E: a figure taken back",
    "/rounds/$id",
    "round/r/1E",
  ],
  [
    { kind: "crank", roundId: "r", body: { crankDeg: 89.6, by: "KV" } },
    "crank at 90°",
    "/rounds/$id",
    "round/r",
  ],
  [
    {
      kind: "load",
      testId: "t",
      readingId: "a",
      body: {
        ...entry,
        valve: "3I",
        heightIn: 1.95,
        loadLbf: 214,
        typed: "214",
        member: "WHOLE",
        again: false,
      },
    },
    "3I reads 214",
    "/tests/$id",
    "test/t/3I",
  ],
  [
    { kind: "unload", testId: "t", readingId: "a", valve: "3I", hand: "KV", known: false },
    "3I: a load taken back",
    "/tests/$id",
    "test/t/3I",
  ],
  [
    {
      kind: "check",
      testId: "t",
      checkId: "c",
      body: { ...entry, name: "one", knownLbf: 215, loadLbf: 213, side: "START" },
    },
    "check spring reads 213",
    "/tests/$id",
    "check/c",
  ],
  [
    {
      kind: "seen",
      findingId: "f",
      body: { ...entry, engineId: "e", cylinder: 3, look: "SEAT_LEAK", figure: 12, engineHours: 1 },
    },
    "cylinder 3: 12",
    "/engines/$id/lifters",
    "finding/f",
  ],
  [
    { kind: "unsee", findingId: "f", engineId: "e", known: true },
    "a finding taken back",
    "/engines/$id/lifters",
    "finding/f",
  ],
  [{ kind: "photo", findingId: "f", engineId: "e" }, "a photo", "/engines/$id/lifters", "finding/f"],
  [
    { kind: "act", jobId: "j", actId: "a", body: { ...entry, act: "SPRING_OUT", valve: "3E", basedOn: 4 } },
    "a step: spring out at 3E",
    "/jobs/$id",
    "job/j",
  ],
  [
    { kind: "found", jobId: "j", findingId: "f", body: { ...entry, what: "STEM_TIP", grade: "WORN" } },
    "a finding: stem tip",
    "/jobs/$id",
    "job/j/f",
  ],
  [{ kind: "foundPhoto", jobId: "j", findingId: "f" }, "a photo", "/jobs/$id", "job/j/f"],
  [
    {
      kind: "camFigure",
      engineId: "e",
      sittingId: "s",
      figureId: "g",
      page: "clearance",
      body: { ...entry, what: "GAP", valve: "6I", at: 10, figure: 0.098, touched: true },
    },
    "6I: a figure of the bench, 0.098",
    "/engines/$id/cam/clearance",
    "sitting/s",
  ],
];

describe("each kind of thing that waits", () => {
  it.each(all)("%o", (contents, words, home, stream) => {
    expect(wordsFor(contents)).toBe(words);
    expect(homeOf(contents).to).toBe(home);
    expect(streamOf(contents)).toBe(stream);
  });
  it("has a name of its own", () => {
    expect(new Set(all.map(([c]) => nameOf(c))).size).toBe(all.length);
  });
});
