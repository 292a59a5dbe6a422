import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { deliver, post, type SeenParcel, waiting, waitingRounds, waitingSeen, waitingTests } from "./outbox";

const seen = (findingId: string, grade = "rough"): SeenParcel => ({
  kind: "seen",
  findingId,
  body: { engineId: "e", valve: "1I", look: "WHEEL", grade, engineHours: 3, hand: "KV" },
});

beforeEach(() => {
  const kept = new Map<string, string>();
  vi.stubGlobal("localStorage", {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => kept.set(k, v),
  });
});
afterEach(() => vi.unstubAllGlobals());

const answers = (status: number, body?: unknown) =>
  vi.stubGlobal(
    "fetch",
    vi.fn(async () => new Response(body ? JSON.stringify(body) : null, { status })),
  );

describe("findings on their way", () => {
  it("wait apart from rounds and tests", () => {
    post(seen("a"));
    expect(waitingSeen()).toHaveLength(1);
    expect(waitingRounds()).toEqual([]);
    expect(waitingTests()).toEqual([]);
  });

  it("stay when Shim does not answer, each by its own id", async () => {
    vi.stubGlobal(
      "fetch",
      vi.fn(async () => Promise.reject(new TypeError("failed"))),
    );
    await expect(deliver(seen("a"))).rejects.toMatchObject({ offline: true });
    await expect(deliver(seen("b"))).rejects.toMatchObject({ offline: true });
    await expect(deliver(seen("a", "pitted"))).rejects.toMatchObject({ offline: true });
    expect(waitingSeen().map((p) => p.body.grade)).toEqual(["rough", "pitted"]);
  });

  it("go when Shim has them", async () => {
    answers(204);
    await deliver(seen("a"));
    expect(waiting()).toEqual([]);
  });

  it("go when Shim says why it cannot take them", async () => {
    answers(422, { detail: "say what was seen" });
    await expect(deliver(seen("a"))).rejects.toMatchObject({ message: "say what was seen" });
    expect(waiting()).toEqual([]);
  });
});
