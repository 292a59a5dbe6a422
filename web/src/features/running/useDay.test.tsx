import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, renderHook } from "@testing-library/react";
import type { ReactNode } from "react";
import { describe, expect, it } from "vitest";
import { SettingsProvider } from "../../shell/settings";
import { useDay } from "./useDay";

const wrapper = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={new QueryClient()}>
    <SettingsProvider>{children}</SettingsProvider>
  </QueryClientProvider>
);

const EVENTS = [
  { id: "ran", name: "ran", date: "2026-05-01", plannedHours: 1, runHours: 1.2 },
  { id: "next", name: "next", date: "2026-06-01", plannedHours: 1 },
] as Parameters<typeof useDay>[1];

const day = () => renderHook(() => useDay("e", EVENTS, () => undefined), { wrapper });

describe("a day's runs", () => {
  it("begin with the event that is coming and a blank line", () => {
    const { result } = day();
    expect(result.current.entry.form.getValues("eventId")).toBe("next");
    expect(result.current.lines.map((l) => l.minutes)).toEqual([""]);
    expect(result.current.filled).toBe(0);
  });

  it("always have one more line, and never two blank ones", () => {
    const { result } = day();
    act(() => {
      result.current.entry.form.setValue("lines.0.minutes", "12");
      result.current.goOn();
    });
    expect(result.current.lines.map((l) => l.minutes)).toEqual(["12", ""]);
    act(() => result.current.goOn());
    expect(result.current.lines).toHaveLength(2);
    expect(result.current.filled).toBe(1);
  });

  it("take a logger's file as their last line", () => {
    const { result } = day();
    const sum = { hours: 0.21, topRpm: 7412.4, overRevs: 1, cycles: 5000, hottest: 210 };
    act(() => result.current.logged(sum as Parameters<typeof result.current.logged>[0]));
    expect(result.current.lines[0]).toMatchObject({
      minutes: "12.6",
      topRpm: "7412",
      overRevs: "1",
      logged: sum,
    });
    expect(result.current.lines).toHaveLength(2);
  });
});
