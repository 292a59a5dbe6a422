// @vitest-environment happy-dom

import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { act, cleanup, renderHook, waitFor } from "@testing-library/react";
import type { ReactNode } from "react";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { job as jobQuery } from "../../api/queries";
import { reopen, waiting } from "../../outbox/outbox";
import { SettingsProvider } from "../../shell/settings";
import { nth } from "../../ui/nth";
import { useJob } from "./useJob";

vi.mock("idb-keyval", () => ({ get: async () => undefined, set: async () => {}, del: async () => {} }));

const view = (acts: number, changes: number) => ({
  id: "j",
  hand: "KV",
  changes,
  endedAt: "2026-05-01T10:00:00Z",
  state: { acts },
});

let queries: QueryClient;
const wrapper = ({ children }: { children: ReactNode }) => (
  <SettingsProvider>
    <QueryClientProvider client={queries}>{children}</QueryClientProvider>
  </SettingsProvider>
);

let answers: (status: number) => void;

beforeEach(() => {
  localStorage.clear();
  reopen();
  vi.stubGlobal("matchMedia", () => ({ matches: false }));
  queries = new QueryClient({ defaultOptions: { queries: { retry: false, staleTime: Infinity } } });
  queries.setQueryData(jobQuery("j").queryKey, view(4, 4) as never);
  let status = 0;
  answers = (s) => {
    status = s;
  };
  vi.stubGlobal("fetch", async () => {
    if (status === 0) throw new TypeError("failed");
    const body = status === 200 ? view(5, 5) : { detail: "somebody went on with this job meanwhile" };
    return new Response(JSON.stringify(body), {
      status,
      headers: { "Content-Type": "application/json" },
    });
  });
});
afterEach(() => {
  cleanup();
  vi.unstubAllGlobals();
});

const acts = () => waiting().flatMap((p) => (p.kind === "act" ? [[p.body.act, p.body.basedOn, p.held]] : []));

describe("a step of a walk on its way", () => {
  it("waits on this device, and the walk waits for its answer", async () => {
    const { result } = renderHook(() => useJob("j"), { wrapper });
    act(() => result.current.once({ act: "TICK", step: "a" }));
    expect(result.current.onItsWay).toBe(true);
    await waitFor(() => expect(nth(waiting(), 0).last?.status).toBe(0));
    expect(acts()).toEqual([["TICK", 4, false]]);
  });

  it("an emergency behind it stands on what went before", async () => {
    const { result } = renderHook(() => useJob("j"), { wrapper });
    act(() => result.current.once({ act: "TICK", step: "a" }));
    act(() => result.current.once({ act: "AIR_LOST", cylinder: 3 }));
    expect(acts()).toEqual([
      ["TICK", 4, false],
      ["AIR_LOST", 5, false],
    ]);
  });

  it("that was refused is told, stays, and gives way to what is done next", async () => {
    answers(409);
    const { result } = renderHook(() => useJob("j"), { wrapper });
    act(() => result.current.once({ act: "TICK", step: "a" }));
    await waitFor(() => expect(result.current.refused).toContain("somebody went on"));
    expect(result.current.onItsWay).toBe(false);
    expect(acts()).toEqual([["TICK", 4, true]]);
    answers(200);
    act(() => result.current.once({ act: "TICK", step: "b" }));
    await waitFor(() => expect(waiting()).toEqual([]));
    expect(result.current.refused).toBeUndefined();
  });

  it("pressed again before its answer is on the page is done once; an emergency always counts", () => {
    const { result } = renderHook(() => useJob("j"), { wrapper });
    // Answered, and not drawn yet: the hook still holds what the page shows.
    const shown = result.current;
    queries.setQueryData(jobQuery("j").queryKey, view(5, 5) as never);
    shown.once({ act: "TICK", step: "a" });
    expect(acts()).toEqual([]);
    shown.once({ act: "AIR_LOST", cylinder: 3 });
    expect(acts()).toEqual([["AIR_LOST", 5, false]]);
  });
});

describe("two answers to one job", () => {
  it("the one that has seen more counts, in whatever order they come", async () => {
    const { result } = renderHook(() => useJob("j"), { wrapper });
    const put = (acts: number, changes: number) =>
      act(() => void queries.setQueryData(jobQuery("j").queryKey, view(acts, changes) as never));
    put(6, 6);
    put(5, 5);
    await waitFor(() => expect(result.current.job?.state.acts).toBe(6));
    put(7, 7);
    await waitFor(() => expect(result.current.job?.state.acts).toBe(7));
  });
});
