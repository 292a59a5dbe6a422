import { QueryClient } from "@tanstack/react-query";
import { expect, it } from "vitest";
import { engineReadiness, openItems, turnaround } from "../../api/queries";
import { openWorkIs } from "./openWork";

it("makes the plan and how the engine stands stale, and the work itself known", async () => {
  const queries = new QueryClient();
  const stale = [engineReadiness("e1").queryKey, turnaround().queryKey];
  for (const key of stale) queries.setQueryData(key as readonly unknown[], {});
  await openWorkIs(queries, "e1", []);
  expect(queries.getQueryData(openItems("e1").queryKey)).toEqual([]);
  expect(stale.map((key) => queries.getQueryState(key)?.isInvalidated)).toEqual([true, true]);
});
