import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import {
  deliver,
  post,
  postPhoto,
  type SeenParcel,
  waiting,
  waitingRounds,
  waitingSeen,
  waitingTests,
} from "./outbox";

/** Stands for the browser's database. */
const pictures = new Map<string, Blob>();
vi.mock("idb-keyval", () => ({
  get: async (k: string) => pictures.get(k),
  set: async (k: string, v: Blob) => void pictures.set(k, v),
  del: async (k: string) => void pictures.delete(k),
}));

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
    expect(waitingSeen().map((p) => (p.kind === "seen" ? p.body.grade : p.kind))).toEqual([
      "rough",
      "pitted",
    ]);
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

  it("take their photos after them, which wait as long as they do", async () => {
    vi.stubGlobal(
      "fetch",
      vi.fn(async () => Promise.reject(new TypeError("failed"))),
    );
    await expect(deliver(seen("a"))).rejects.toMatchObject({ offline: true });
    const photo = await postPhoto("a", new Blob(["picture"]));
    await expect(deliver(photo)).rejects.toMatchObject({ offline: true });
    expect(waitingSeen().map((p) => p.kind)).toEqual(["seen", "photo"]);
    expect(await pictures.get("photo/a")?.text()).toBe("picture");

    answers(204);
    for (const p of waitingSeen()) await deliver(p);
    const [, sent] = vi.mocked(fetch).mock.calls.map(([request]) => request as Request);
    expect(sent?.url).toContain("/api/inspections/a/photo");
    expect(await sent?.text()).toBe("picture");
    expect(waiting()).toEqual([]);
    expect(pictures.size).toBe(0);
  });

  it("let a photo go that Shim cannot take, in its words", async () => {
    answers(422, { detail: "that is no JPEG or PNG picture" });
    const photo = await postPhoto("b", new Blob(["words"]));
    await expect(deliver(photo)).rejects.toMatchObject({ message: "that is no JPEG or PNG picture" });
    expect(waiting()).toEqual([]);
    expect(pictures.size).toBe(0);
  });
});
