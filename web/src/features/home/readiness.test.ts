import { describe, expect, it } from "vitest";
import { readiness } from "./readiness";

const round = (engineHours: number, signedBy?: string) => ({
  id: "r",
  state: "HOT" as const,
  hand: "KV",
  engineHours,
  startedAt: "",
  read: 3,
  valves: 8,
  signedBy,
});
const event = (date: string, runHours?: number) => ({
  id: date,
  name: "Hill",
  date,
  plannedHours: 1,
  runHours,
});
const today = new Date("2026-06-01T12:00:00");

describe("what stands before the next event", () => {
  it("is an open round first", () => {
    const r = readiness([round(2)], [event("2026-06-03")], undefined, today);
    expect(r.words).toBe("Lash round open: 3 of 8 valves done");
    expect(r.days).toBe("in 2 days");
  });
  it("is running since the last round", () => {
    const r = readiness(
      [round(2, "KV")],
      [event("2026-05-01", 2.9), event("2026-06-02")],
      { ranHours: 0.9, stands: false },
      today,
    );
    expect(r.done).toBe(false);
    expect(r.words).toContain("0.9 h run since");
    expect(r.days).toBe("tomorrow");
  });
  it("is nothing after a signed round", () => {
    expect(
      readiness([round(2, "KV")], [event("2026-05-01", 2)], { ranHours: 0.2, stands: true }, today).done,
    ).toBe(true);
  });
});
