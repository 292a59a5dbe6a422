import { describe, expect, it } from "vitest";
import { hoursNow, spans } from "./HoursRail";

const event = (name: string, plannedHours: number, runHours?: number) => ({
  id: name,
  name,
  date: "2026-05-01",
  plannedHours,
  runHours,
});

describe("the hours rail", () => {
  it("lays run events end to end and plans the coming ones from now", () => {
    const events = [event("a", 1, 1.2), event("b", 1, 0.8), event("c", 1.5)];
    const rounds = [{ engineHours: 2.4 }] as Parameters<typeof hoursNow>[0]["rounds"];
    const now = hoursNow({ events, rounds });
    expect(now).toBe(2.4);
    expect(spans(events, now)).toEqual([
      { name: "a", from: 0, to: 1.2, planned: false },
      { name: "b", from: 1.2, to: 2, planned: false },
      { name: "c", from: 2.4, to: 3.9, planned: true },
    ]);
  });
});
