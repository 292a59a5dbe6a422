import type { FetchQueryOptions, QueryClient } from "@tanstack/react-query";
import { cam } from "./camQueries";
import {
  about,
  condition,
  danger,
  engine,
  engineLifters,
  engineReadiness,
  engineSprings,
  engines,
  events,
  hours,
  job,
  jobs,
  lashDrift,
  lashHistory,
  looks,
  round,
  rounds,
  roundTest,
  seenInRounds,
  springTest,
  turnaround,
} from "./queries";

// biome-ignore lint/suspicious/noExplicitAny: answers of any shape, looked at by the page only
type Asked = FetchQueryOptions<any, any, any, any>;

const ofEngine =
  (...also: ((id: string) => Asked)[]) =>
  (id: string) =>
    [engine, ...also].map((q) => q(id) as Asked);

/**
 * What a page asks whatever it shows, by its address in the routes. Shim names the same to the browser
 * with the page itself (`build/pages`), so that it comes while the page's script is still on its way.
 */
export const ASKS_FIRST: Record<string, (id: string) => Asked[]> = {
  "/": () => [turnaround()],
  "/engines": () => [engines()],
  "/engines/$id": ofEngine(rounds, events, hours, engineReadiness, lashHistory, engineSprings, jobs),
  "/engines/$id/lash": ofEngine(lashHistory),
  "/engines/$id/springs": ofEngine(engineSprings, rounds, hours, lashHistory, jobs, seenInRounds),
  "/engines/$id/lifters": ofEngine(engineLifters, lashDrift, rounds, hours, lashHistory, jobs, seenInRounds),
  "/engines/$id/inspect": (id) => [...ofEngine(engineLifters)(id), looks()],
  "/engines/$id/cam": ofEngine(cam),
  "/rounds/$id": (id) => [round(id), roundTest(id)],
  "/tests/$id": (id) => [springTest(id)],
  "/jobs/$id": (id) => [job(id)],
};

/** What stands on every page: asked with the first one, then kept up by itself. */
const ON_EVERY_PAGE = (): Asked[] => [about(), condition(), danger()];

/** Asks for all of it at once, not one after another as its parts are drawn. Over when all of it is known. */
export async function askFirst(queries: QueryClient, page: string, params: { id?: string }): Promise<void> {
  const knows = (q: Asked) => queries.getQueryData(q.queryKey) !== undefined;
  const asked = [
    ...(ASKS_FIRST[page]?.(params.id ?? "") ?? []),
    ...ON_EVERY_PAGE().filter((q) => !knows(q)),
  ].map((q) => ({ known: knows(q), answer: queries.prefetchQuery(q) }));
  // What was seen last can be shown at once; its newer answer follows.
  await Promise.all(asked.filter((a) => !a.known).map((a) => a.answer));
}
