import { afterEach, expect, it, vi } from "vitest";
import { answered, api } from "./client";

afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
});

it("gives up a question that hangs, and says that Shim does not answer", async () => {
  const given = new AbortController();
  const patience = vi.spyOn(AbortSignal, "timeout").mockReturnValue(given.signal);
  vi.stubGlobal("fetch", (_: Request, how?: RequestInit) => {
    return new Promise((_done, fail) => how?.signal?.addEventListener("abort", () => fail(new TypeError())));
  });
  const asked = answered(api.GET("/api/danger"));
  await vi.waitFor(() => expect(patience).toHaveBeenCalledWith(30_000));
  given.abort();
  await expect(asked).rejects.toMatchObject({
    offline: true,
    message: expect.stringContaining("not answer"),
  });
});
