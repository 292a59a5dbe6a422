import { QueryClient } from "@tanstack/react-query";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { nth } from "../ui/nth";
import { readHandedOver } from "./handOver";
import {
  discard,
  kick,
  onDelivered,
  post,
  postPhoto,
  reopen,
  takeOver,
  tryAgain,
  waiting,
  whenAllSent,
} from "./outbox";
import type { Contents } from "./parcel";
import { receive } from "./receive";
import { damaged } from "./store";
import { homeOf, wordsFor } from "./words";

const pictures = new Map<string, Blob>();
vi.mock("idb-keyval", () => ({
  get: async (k: string) => pictures.get(k),
  set: async (k: string, v: Blob) => void pictures.set(k, v),
  del: async (k: string) => void pictures.delete(k),
}));

const reading = (
  readingId: string,
  typed: string,
  valve = "1I",
  phase: "FOUND" | "LEFT" = "FOUND",
): Contents => ({
  kind: "reading",
  roundId: "r",
  readingId,
  body: { valve, phase, form: "FIGURE", figure: Number(typed) / 1000, typed, hand: "KV" },
});
const typed = () => waiting().map((p) => (p.kind === "reading" ? p.body.typed : p.kind));

interface Line {
  calls: { url: string; method: string; body: string }[];
  answer: (url: string) => Response | Error;
}
let line: Line;

/** Lets what is underway come to its end. */
const settle = () => vi.advanceTimersByTimeAsync(50);
const json = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), { status, headers: { "Content-Type": "application/json" } });

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  pictures.clear();
  line = { calls: [], answer: () => new TypeError("failed") };
  vi.stubGlobal("fetch", async (request: Request) => {
    line.calls.push({ url: request.url, method: request.method, body: await request.clone().text() });
    const answer = line.answer(request.url);
    if (answer instanceof Error) throw answer;
    return answer;
  });
  reopen();
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe("nothing that Shim has not taken is ever thrown away", () => {
  it.each([0, 400, 401, 403, 404, 408, 409, 413, 422, 429, 500, 502, 503, 507])("on %i", async (status) => {
    line.answer = () => (status === 0 ? new TypeError("failed") : json(status, { detail: "no", errors: [] }));
    post(reading("a", "18"));
    await settle();
    expect(typed()).toEqual(["18"]);
    const held = [400, 404, 409, 413, 422].includes(status);
    expect(nth(waiting(), 0).held).toBe(held);
    expect(nth(waiting(), 0).last?.words).not.toBe("");
    // Opened anew it is still there.
    reopen();
    expect(typed()).toEqual(["18"]);
  });

  it("says what to do where Shim wants its key", async () => {
    line.answer = () => json(403, { detail: "forbidden" });
    post(reading("a", "18"));
    await settle();
    expect(nth(waiting(), 0).last?.words).toContain("address the launcher printed");
  });

  it("goes when Shim has it, with the answer to whoever listens", async () => {
    line.answer = () => json(200, { id: "r", changes: 3 });
    const told: unknown[] = [];
    onDelivered((p, reply) => told.push([p.kind, reply]));
    post(reading("a", "18"));
    await settle();
    expect(waiting()).toEqual([]);
    expect(told).toEqual([["reading", { id: "r", changes: 3 }]]);
  });

  it("is sent again by itself, in the order it was entered", async () => {
    post(reading("a", "22"), reading("b", "18", "1I", "LEFT"), reading("c", "19", "3I"));
    await settle();
    line.answer = () => json(200, { id: "r", valves: [] });
    line.calls = [];
    await vi.advanceTimersByTimeAsync(10_000);
    expect(waiting()).toEqual([]);
    const at = (id: string) => line.calls.findIndex((c) => c.url.includes(`/readings/${id}`));
    expect(at("a")).toBeLessThan(at("b"));
  });

  it.each([
    [0, "at once, where nothing had answered", 1],
    [503, "not before its pause, where Shim had said why", 0],
  ])("after %i goes %s when another question is answered", async (status, _when, calls) => {
    line.answer = () => (status === 0 ? new TypeError("failed") : json(status, { detail: "full" }));
    post(reading("a", "18"));
    await vi.advanceTimersByTimeAsync(12_000);
    line.answer = () => json(200, { id: "r", valves: [] });
    line.calls = [];
    const queries = new QueryClient();
    const stop = receive(queries);
    queries.setQueryData(["of its own"], 1);
    await settle();
    expect(line.calls, "no answer of Shim").toEqual([]);
    await queries.fetchQuery({ queryKey: ["job"], queryFn: () => 1 });
    await settle();
    expect(line.calls).toHaveLength(calls);
    stop();
  });

  it("waits behind what is held at the same valve, and nothing else does", async () => {
    line.answer = (url) => (url.includes("/readings/a") ? json(422, { detail: "cannot be" }) : json(200, {}));
    post(reading("a", "22"), reading("b", "18", "1I", "LEFT"), reading("c", "19", "3I"));
    await settle();
    expect(typed()).toEqual(["22", "18"]);
    discard(nth(waiting(), 0).key);
    await settle();
    expect(waiting()).toEqual([]);
  });

  it("is tried once more when a person says so", async () => {
    line.answer = () => json(409, { detail: "another hand" });
    post(reading("a", "22"));
    await settle();
    line.answer = () => json(200, {});
    kick();
    await settle();
    expect(waiting()).toHaveLength(1);
    tryAgain(nth(waiting(), 0).key);
    await settle();
    expect(waiting()).toEqual([]);
  });

  it("tells a browser without room, and the figure stays with the person", () => {
    const full = () => {
      throw new DOMException("full", "QuotaExceededError");
    };
    vi.stubGlobal("localStorage", { getItem: () => null, setItem: full });
    expect(() => post(reading("a", "18"))).toThrow("no room");
  });
});

describe("a photo", () => {
  const seen: Contents = {
    kind: "seen",
    findingId: "f",
    body: { engineId: "e", valve: "1I", look: "WHEEL", grade: "rough", engineHours: 3, hand: "KV" },
  };
  it("follows its finding, and lies in the browser until it is taken", async () => {
    post(seen);
    await postPhoto({ kind: "photo", findingId: "f", engineId: "e" }, new Blob(["picture"]));
    await settle();
    expect(waiting().map((p) => p.kind)).toEqual(["seen", "photo"]);
    line.answer = () => new Response(null, { status: 204 });
    line.calls = [];
    await vi.advanceTimersByTimeAsync(10_000);
    expect(line.calls.map((c) => c.url.replace(/.*\/api/, ""))).toEqual([
      "/inspections/f",
      "/inspections/f/photo",
    ]);
    expect(nth(line.calls, 1).body).toBe("picture");
    expect(pictures.size).toBe(0);
  });
  it("that Shim cannot take waits for a person, picture and all", async () => {
    line.answer = () => json(422, { detail: "that is no JPEG or PNG picture" });
    await postPhoto({ kind: "photo", findingId: "f", engineId: "e" }, new Blob(["words"]));
    await settle();
    expect(nth(waiting(), 0).last?.words).toContain("no JPEG");
    expect(pictures.size).toBe(1);
    discard(nth(waiting(), 0).key);
    expect(pictures.size).toBe(0);
  });
});

describe("what lies in the browser", () => {
  it("is set aside when it cannot be read, and the rest goes on", () => {
    post(reading("a", "18"));
    const good = JSON.parse(localStorage.getItem("shim.outbox") ?? "[]");
    localStorage.setItem("shim.outbox", JSON.stringify([{ kind: "nonsense" }, ...good, 7]));
    reopen();
    expect(typed()).toEqual(["18"]);
    expect(damaged()).toContain("nonsense");
  });
  it.each(["{", "7", "null", '"x"'])("%s is set aside whole", (text) => {
    localStorage.setItem("shim.outbox", text);
    reopen();
    expect(waiting()).toEqual([]);
    expect(damaged()).toContain(text);
  });
  it("as an older Shim kept it is still sent", () => {
    localStorage.setItem("shim.outbox", JSON.stringify([reading("a", "18")]));
    reopen();
    expect(typed()).toEqual(["18"]);
    expect(damaged()).toBe("");
  });
  it("put in by another tab is not written over", () => {
    post(reading("a", "18"));
    const theirs = localStorage.getItem("shim.outbox") ?? "";
    localStorage.setItem("shim.outbox", theirs.replaceAll('"18"', '"21"'));
    post(reading("b", "19", "3I"));
    expect(typed()).toEqual(["21", "19"]);
  });
  it("may be handed over as a file and taken in elsewhere, once", () => {
    post(reading("a", "18"));
    const file = JSON.stringify({ shim: "waiting", parcels: waiting() });
    localStorage.clear();
    reopen();
    takeOver(readHandedOver(file));
    takeOver(readHandedOver(file));
    expect(typed()).toEqual(["18"]);
    expect(() => readHandedOver("{}")).toThrow("no file");
  });
});

describe("what waits is named in a person's words", () => {
  it("with the page where it belongs", () => {
    expect(wordsFor(reading("a", "18"))).toBe("1I as found 18");
    expect(homeOf(reading("a", "18"))).toEqual({ to: "/rounds/$id", params: { id: "r" }, valve: "1I" });
    const look: Contents = {
      kind: "look",
      roundId: "r",
      valve: "3E",
      body: { spring: "BROKEN", skipped: true, hand: "KV" },
    };
    expect(wordsFor(look)).toBe("3E: put off, spring broken");
  });
});

describe("what ends a round or a test", () => {
  it("comes after all that was entered in it, and nothing else", async () => {
    post(reading("a", "18"), { ...reading("b", "19", "3I"), roundId: "other" } as Contents);
    let ended = "";
    const mine = (p: Contents) => p.kind === "reading" && p.roundId === "r";
    whenAllSent(mine).then(() => {
      ended = "yes";
    });
    await settle();
    expect(ended).toBe("");
    line.answer = (url) => (url.includes("/r/") ? json(200, {}) : new TypeError("failed"));
    await vi.advanceTimersByTimeAsync(10_000);
    expect(ended).toBe("yes");
    expect(waiting()).toHaveLength(1);
  });
  it("waits for a person where something was not taken", async () => {
    line.answer = () => json(422, { detail: "cannot be" });
    post(reading("a", "18"));
    const out = whenAllSent(() => true).catch((e: Error) => e.message);
    await settle();
    expect(await out).toContain("cannot be");
  });
});
