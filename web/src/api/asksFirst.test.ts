import { QueryClient } from "@tanstack/react-query";
import { afterEach, expect, it, vi } from "vitest";
import { ASKED_FIRST, ON_EVERY_PAGE } from "../../build/pages";
import { ASKS_FIRST, askFirst } from "./asksFirst";
import { round, roundTest } from "./queries";

let calls: string[] = [];
let answer: () => Promise<Response> = async () => Response.json({});

const open = () => {
  calls = [];
  vi.stubGlobal("fetch", (request: Request) => {
    calls.push(new URL(request.url).pathname);
    return answer();
  });
  return new QueryClient({ defaultOptions: { queries: { staleTime: 2000, retry: false } } });
};

afterEach(() => {
  answer = async () => Response.json({});
  vi.unstubAllGlobals();
});

it.each(Object.keys(ASKED_FIRST))("asks on %s what the build names to the browser", async (page) => {
  const queries = open();
  const ofPage = ASKED_FIRST[page]?.map((a) => a.replace("$id", "7")) ?? [];
  await askFirst(queries, page, { id: "7" });
  expect(calls.sort()).toEqual([...ofPage, ...ON_EVERY_PAGE].sort());
  // The next page asks what is its own.
  calls = [];
  await queries.invalidateQueries({ refetchType: "none" });
  await askFirst(queries, page, { id: "7" });
  expect(calls.sort()).toEqual([...ofPage].sort());
});

it("knows no page that the build does not", () => {
  expect(Object.keys(ASKS_FIRST).sort()).toEqual(Object.keys(ASKED_FIRST).sort());
});

it("waits for what is not known at all, and asks anew for what is", async () => {
  const queries = open();
  const slow: (() => void)[] = [];
  await askFirst(queries, "", {});
  calls = [];
  answer = () => new Promise((done) => slow.push(() => done(Response.json({}))));
  queries.setQueryData(round("7").queryKey, {} as never, { updatedAt: 0 });
  let over = false;
  const asked = askFirst(queries, "/rounds/$id", { id: "7" }).then(() => {
    over = true;
  });
  await vi.waitFor(() => expect(calls).toEqual(["/api/rounds/7", "/api/rounds/7/spring-test"]));
  expect(over).toBe(false);
  slow[1]?.();
  await asked;
  expect(queries.getQueryState(roundTest("7").queryKey)?.status).toBe("success");
  slow[0]?.();
});
