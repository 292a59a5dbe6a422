import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { deliver, post, type TestParcel, waiting, waitingRounds, waitingTests } from "./outbox";

const load = (readingId: string, loadLbf: number): TestParcel => ({
  kind: "load",
  testId: "t",
  readingId,
  body: { valve: "1I", heightIn: 1.95, loadLbf, member: "WHOLE", again: false, hand: "KV" },
});

beforeEach(() => {
  const kept = new Map<string, string>();
  vi.stubGlobal("localStorage", {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => kept.set(k, v),
  });
});
afterEach(() => vi.unstubAllGlobals());

describe("readings of a spring test on their way", () => {
  it("wait apart from those of a lash round", () => {
    post(load("a", 214));
    post({
      kind: "look",
      roundId: "r",
      valve: "1I",
      body: { skipped: true, hand: "KV" },
    });
    expect(waiting()).toHaveLength(2);
    expect(waitingTests().map((p) => p.readingId)).toEqual(["a"]);
    expect(waitingRounds().map((p) => p.kind)).toEqual(["look"]);
  });

  it("stay when Shim does not answer and go when it does", async () => {
    vi.stubGlobal(
      "fetch",
      vi.fn(async () => Promise.reject(new TypeError("failed"))),
    );
    await expect(deliver(load("a", 214))).rejects.toMatchObject({ offline: true });
    expect(waitingTests()).toHaveLength(1);
    vi.stubGlobal(
      "fetch",
      vi.fn(
        async () =>
          new Response(JSON.stringify({ id: "t" }), {
            status: 200,
            headers: { "Content-Type": "application/json" },
          }),
      ),
    );
    await expect(deliver(load("a", 214))).resolves.toMatchObject({ id: "t" });
    expect(waitingTests()).toHaveLength(0);
  });

  it("keep each repeat of a spring apart", () => {
    post(load("a", 214));
    post(load("b", 215));
    post(load("a", 213));
    expect(waitingTests().map((p) => [p.readingId, p.body.loadLbf])).toEqual([
      ["b", 215],
      ["a", 213],
    ]);
  });
});
