import { describe, expect, it } from "vitest";
import type { Schemas } from "../../api/client";
import { setTo } from "./ResultsPart";

type Round = Schemas["RoundLine"];

const round = (startedAt: string, engineHours: number, signedBy?: string): Round => ({
  id: startedAt,
  state: "HOT",
  hand: "KV",
  engineHours,
  startedAt: `${startedAt}T10:00:00Z`,
  read: 2,
  valves: 2,
  ...(signedBy && { signedBy }),
});

const valve = (position: string, ...left: [number, number][]) =>
  ({
    position,
    points: left.map(([engineHours, leftIn]) => ({ engineHours, leftIn, state: "HOT", at: "" })),
  }) as Schemas["ValveLash"];

const LASH = {
  valves: [valve("1I", [1, 0.018], [2, 0.016]), valve("1E", [1, 0.02], [2, 0.022])],
  changes: [
    {
      id: "c",
      part: "CAM",
      valves: [],
      engineHours: 1.5,
      at: "2026-11-10T09:00:00Z",
      hand: "KV",
      note: "266",
    },
  ] as Schemas["ChangeLine"][],
};

describe("what a run was set to", () => {
  const rounds = [round("2026-11-01", 1, "KV"), round("2026-11-15", 2, "KV"), round("2026-11-20", 3)];

  it("is the last signed round before it and the cam that was in", () => {
    expect(setTo("2026-11-05", rounds, LASH, "thou")).toBe("lash 18 / 20 hot");
    expect(setTo("2026-11-15", rounds, LASH, "thou")).toBe("lash 16 / 22 hot; cam of Tue 10 Nov (266)");
    expect(setTo("2026-11-25", rounds, LASH, "mm")).toContain("lash 0.41 / 0.56 hot");
  });

  it("is nothing where nothing was set before", () => {
    expect(setTo("2026-10-01", rounds, LASH, "thou")).toBe("");
  });
});
