import { QueryClient, QueryObserver } from "@tanstack/react-query";
import { afterEach, beforeEach, expect, it, vi } from "vitest";
import { askAnew, askedAnew } from "./anew";
import { answered, api } from "./client";
import { asOfThen } from "./lastSeen";
import { heads, looks, stock, turnaround } from "./queries";

let queries: QueryClient;
let stop: () => void;
let calls: string[];
let reply: (call: string) => Response | Promise<Response>;

const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { "Content-Type": "application/json" } });
const inSight = (query: { queryKey: readonly unknown[] }) =>
  new QueryObserver(queries, query as never).subscribe(() => undefined);
/** A page that has its answer. */
async function openOn(query: { queryKey: readonly unknown[] }) {
  await queries.prefetchQuery(query);
  inSight(query);
}
const path = { id: "x" };
const body = {} as never;
const order = () => answered(api.PUT("/api/stock/orders/{id}", { params: { path }, body }));
const reading = () =>
  answered(
    api.PUT("/api/rounds/{id}/readings/{readingId}", { params: { path: { id: "x", readingId: "y" } }, body }),
  );
/** Times a question was asked. */
const asked = (question: string) => calls.filter((c) => c === `GET ${question}`).length;

beforeEach(() => {
  calls = [];
  reply = () => json([]);
  vi.stubGlobal("fetch", (request: Request) => {
    const call = `${request.method} ${new URL(request.url).pathname}`;
    calls.push(call);
    return Promise.resolve(reply(call));
  });
  queries = new QueryClient({ defaultOptions: { queries: { staleTime: 2000, retry: false } } });
  stop = askAnew(queries);
});

afterEach(() => {
  stop();
  queries.clear();
  vi.unstubAllGlobals();
});

it("asks for what is in sight at once, and for all else when it is looked at, however new it is", async () => {
  await queries.prefetchQuery(stock());
  await queries.prefetchQuery(heads());
  inSight(heads());
  expect([asked("/api/stock"), asked("/api/heads")]).toEqual([1, 1]);
  await order();
  await askedAnew();
  expect([asked("/api/stock"), asked("/api/heads")]).toEqual([1, 2]);
  inSight(stock());
  await vi.waitFor(() => expect(asked("/api/stock")).toBe(2));
});

/** The plan is looked at; its first answer is held back until it is let in. */
async function planOnItsWay() {
  let arrive: (r: Response) => void = () => undefined;
  reply = (call) =>
    call === "GET /api/turnaround" && asked("/api/turnaround") === 1
      ? new Promise((done) => {
          arrive = done;
        })
      : json({ made: "after" });
  inSight(turnaround());
  await vi.waitFor(() => expect(asked("/api/turnaround")).toBe(1));
  return async () => {
    arrive(json({ made: "before" }));
    await new Promise((done) => setTimeout(done, 20));
    return queries.getQueryData(turnaround().queryKey);
  };
}

it("drops a first answer that was made before", async () => {
  const letIn = await planOnItsWay();
  await order();
  await askedAnew();
  expect(await letIn()).toEqual({ made: "after" });
});

it("leaves a first answer in sight on its way when a figure of a round is kept", async () => {
  const letIn = await planOnItsWay();
  await reading();
  await askedAnew();
  expect(await letIn()).toEqual({ made: "before" });
});

it("asks nothing for a figure of a round, but knows that all may differ", async () => {
  await openOn(stock());
  await reading();
  await askedAnew();
  expect(asked("/api/stock")).toBe(1);
  expect(queries.getQueryState(stock().queryKey)?.isInvalidated).toBe(true);
});

it("asks anew when a figure is taken back", async () => {
  await openOn(stock());
  await answered(
    api.PUT("/api/cam-sittings/{id}/readings/{readingId}/taken-back", {
      params: { path: { id: "x", readingId: "y" } },
      body,
    }),
  );
  await askedAnew();
  expect(asked("/api/stock")).toBe(2);
});

it("leaves alone what hangs on nothing but its question", async () => {
  await openOn(looks());
  await order();
  await askedAnew();
  expect(asked("/api/looks")).toBe(1);
});

it.each([
  ["refused, because something else was kept", 409, 2],
  ["refused for what it says", 422, 1],
])("what is %s", async (_, status, times) => {
  await openOn(stock());
  reply = (call) => (call.startsWith("PUT") ? json({ detail: "no" }, status) : json([]));
  await expect(order()).rejects.toThrow("no");
  await askedAnew();
  expect(asked("/api/stock")).toBe(times);
});

it("takes a question with a body for a question, a device for no record, and a notebook for kept", async () => {
  await openOn(stock());
  await answered(api.POST("/api/engines/{id}/job-plan", { params: { path }, body }));
  await answered(api.PUT("/api/dial/place", { body }));
  await answered(api.GET("/api/backups"));
  await askedAnew();
  expect(asked("/api/stock")).toBe(1);
  const query = { hand: "KV", keep: true };
  await answered(api.POST("/api/engines/{id}/spring-readings", { params: { path, query }, body }));
  await askedAnew();
  expect(asked("/api/stock")).toBe(2);
});

it("shows what was seen last as it was then, and asks anew", () => {
  const query = (more: object) => ({ queryKey: ["stock"], state: { isInvalidated: false }, ...more });
  const text = JSON.stringify({
    clientState: { queries: [query({}), query({ meta: { always: true } })], mutations: [] },
  });
  expect(asOfThen(text).clientState.queries.map((q) => q.state.isInvalidated)).toEqual([true, false]);
});
