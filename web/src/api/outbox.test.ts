import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { ApiProblem } from "./client";
import { deliver, post, type RoundParcel, waiting } from "./outbox";

const parcel = (readingId: string, figure: number): RoundParcel => ({
  kind: "reading",
  roundId: "r",
  readingId,
  body: { valve: "1I", phase: "FOUND", form: "FIGURE", figure, typed: String(figure), hand: "KV" },
});

function answer(status: number, body: unknown) {
  vi.stubGlobal(
    "fetch",
    vi.fn(
      async () =>
        new Response(JSON.stringify(body), { status, headers: { "Content-Type": "application/json" } }),
    ),
  );
}

beforeEach(() => {
  const kept = new Map<string, string>();
  vi.stubGlobal("localStorage", {
    getItem: (k: string) => kept.get(k) ?? null,
    setItem: (k: string, v: string) => kept.set(k, v),
  });
});
afterEach(() => vi.unstubAllGlobals());

describe("the outbox", () => {
  it("keeps one parcel a reading: the latest", () => {
    post(parcel("a", 0.018));
    post(parcel("b", 0.02));
    post(parcel("a", 0.019));
    expect(waiting().map((p) => p.kind === "reading" && p.body.figure)).toEqual([0.02, 0.019]);
  });

  it("lets go of what Shim has", async () => {
    answer(200, { id: "r" });
    await expect(deliver(parcel("a", 0.018))).resolves.toMatchObject({ id: "r" });
    expect(waiting()).toEqual([]);
  });

  it("keeps what Shim did not answer", async () => {
    vi.stubGlobal(
      "fetch",
      vi.fn(async () => Promise.reject(new TypeError("failed"))),
    );
    await expect(deliver(parcel("a", 0.018))).rejects.toMatchObject({ offline: true });
    expect(waiting()).toHaveLength(1);
  });

  it("gives back what Shim refused, with its words and fields", async () => {
    answer(422, { detail: "no", errors: [{ field: "figure", message: "a lash of 2 in cannot be" }] });
    const refused = (await deliver(parcel("a", 2)).catch((e) => e)) as ApiProblem;
    expect(refused.errors[0].message).toContain("cannot be");
    expect(refused.conflict).toBe(false);
    expect(waiting()).toEqual([]);
  });

  it("tells a conflict apart", async () => {
    answer(409, { detail: "1I already has a figure", errors: [] });
    const refused = (await deliver(parcel("a", 0.02)).catch((e) => e)) as ApiProblem;
    expect(refused.conflict).toBe(true);
    expect(refused.message).toContain("already has a figure");
  });
});
