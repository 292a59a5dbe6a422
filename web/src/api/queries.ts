import { keepPreviousData, queryOptions, replaceEqualDeep } from "@tanstack/react-query";
import { answered, api, type Schemas } from "./client";
import { type KnownRound, newest as newestRound } from "./roundChange";

/** Hangs on nothing but its question, whatever is kept. */
const ALWAYS = { staleTime: Number.POSITIVE_INFINITY, meta: { always: true } };

/** One factory per endpoint; features use these and never spell a URL twice. */
export const engines = () =>
  queryOptions({ queryKey: ["engines"], queryFn: () => answered(api.GET("/api/engines")) });

export const engine = (id: string) =>
  queryOptions({
    queryKey: ["engines", id],
    queryFn: () => answered(api.GET("/api/engines/{id}", { params: { path: { id } } })),
  });

export const presets = () =>
  queryOptions({
    queryKey: ["presets"],
    queryFn: () => answered(api.GET("/api/presets")),
    ...ALWAYS,
  });

export const about = () =>
  queryOptions({
    queryKey: ["about"],
    queryFn: () => answered(api.GET("/api/about")),
    ...ALWAYS,
  });

/** How the machine is that Shim runs on. */
export const condition = () =>
  queryOptions({
    queryKey: ["condition"],
    queryFn: () => answered(api.GET("/api/condition")),
    refetchInterval: 5000,
    retry: 1,
  });

export const badRows = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "bad-rows"],
    queryFn: () => answered(api.GET("/api/engines/{id}/bad-rows", { params: { path: { id: engineId } } })),
  });

export const backups = () =>
  queryOptions({ queryKey: ["backups"], queryFn: () => answered(api.GET("/api/backups")) });

export const sheetReading = (sheet: Schemas["EngineSheet"]) =>
  queryOptions({
    queryKey: ["sheet", sheet],
    queryFn: () => answered(api.POST("/api/calc/sheet", { body: sheet })),
    ...ALWAYS,
    placeholderData: (before: Schemas["SheetReading"] | undefined) => before,
  });

export const comparison = (request: Schemas["CompareRequest"]) =>
  queryOptions({
    queryKey: ["plans", request],
    queryFn: () => answered(api.POST("/api/calc/setting-plans", { body: request })),
    ...ALWAYS,
    placeholderData: (before: Schemas["Comparison"] | undefined) => before,
  });

export const plan = (request: Schemas["PlanRequest"]) =>
  queryOptions({
    queryKey: ["plan", request],
    queryFn: () => answered(api.POST("/api/calc/setting-plan", { body: request })),
    ...ALWAYS,
    placeholderData: (before: Schemas["PlanView"] | undefined) => before,
  });

export const crankStands = (request: Schemas["StandsRequest"]) =>
  queryOptions({
    queryKey: ["crank-stands", request],
    queryFn: () => answered(api.POST("/api/calc/crank-stands", { body: request })),
    ...ALWAYS,
  });

export const rounds = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "rounds"],
    queryFn: () => answered(api.GET("/api/engines/{id}/rounds", { params: { path: { id: engineId } } })),
  });

export const lashHistory = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "lash"],
    queryFn: () =>
      answered(api.GET("/api/engines/{id}/lash-history", { params: { path: { id: engineId } } })),
  });

export const seenInRounds = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "seen-in-rounds"],
    queryFn: () =>
      answered(api.GET("/api/engines/{id}/seen-in-rounds", { params: { path: { id: engineId } } })),
  });

export const lashTargets = (engineId: string, state: "HOT" | "COLD") =>
  queryOptions({
    queryKey: ["engines", engineId, "targets", state],
    queryFn: () =>
      answered(
        api.GET("/api/engines/{id}/lash-targets", { params: { path: { id: engineId }, query: { state } } }),
      ),
  });

/** Engine hours now, with what ran and what is planned along them. */
export const hours = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "hours"],
    queryFn: () => answered(api.GET("/api/engines/{id}/hours", { params: { path: { id: engineId } } })),
  });

export const services = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "services"],
    queryFn: () => answered(api.GET("/api/engines/{id}/services", { params: { path: { id: engineId } } })),
  });

export const events = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "events"],
    queryFn: () => answered(api.GET("/api/engines/{id}/events", { params: { path: { id: engineId } } })),
  });

/** Of two answers the one that has seen more changes counts, in whatever order they arrive. */
const newest = {
  structuralSharing: (before: unknown, now: unknown) => {
    const seen = (x: unknown) => (x as { changes?: number } | undefined)?.changes ?? -1;
    return before !== undefined && seen(before) > seen(now) ? before : replaceEqualDeep(before, now);
  },
};

/** Two devices on one round see each other's readings: asked again every two seconds. */
export const round = (id: string) =>
  queryOptions({
    queryKey: ["rounds", id],
    structuralSharing: (before: unknown, now: unknown) =>
      replaceEqualDeep(before, before ? newestRound(before as KnownRound, now as KnownRound) : now),
    queryFn: () => answered(api.GET("/api/rounds/{id}", { params: { path: { id } } })),
    refetchInterval: (q) => (q.state.data?.signedBy ? false : 2000),
  });

/** What to look at first at the end of a round; asked anew with every change that Shim has taken. */
export const roundLooks = (engineId: string, id: string, changes: number) =>
  queryOptions({
    queryKey: ["engines", engineId, "looks", id, changes],
    queryFn: () => answered(api.GET("/api/rounds/{id}/looks", { params: { path: { id } } })),
    placeholderData: keepPreviousData,
  });

export const revisions = (id: string) =>
  queryOptions({
    queryKey: ["rounds", id, "revisions"],
    queryFn: () => answered(api.GET("/api/rounds/{id}/revisions", { params: { path: { id } } })),
  });

export const pastStop = (id: string, crankDeg: number, missedDeg: number) =>
  queryOptions({
    queryKey: ["rounds", id, "past", crankDeg, missedDeg],
    queryFn: () =>
      answered(
        api.GET("/api/rounds/{id}/past-stop", { params: { path: { id }, query: { crankDeg, missedDeg } } }),
      ),
  });

export const engineSprings = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "springs"],
    queryFn: () => answered(api.GET("/api/engines/{id}/springs", { params: { path: { id: engineId } } })),
  });

export const springLife = (id: string) =>
  queryOptions({
    queryKey: ["springs", id, "life"],
    queryFn: () => answered(api.GET("/api/springs/{id}/life", { params: { path: { id } } })),
  });

export const pockets = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "pockets"],
    queryFn: () => answered(api.GET("/api/engines/{id}/pockets", { params: { path: { id: engineId } } })),
  });

export const springCandidates = (engineId: string, asked: Schemas["Candidates"]) =>
  queryOptions({
    queryKey: ["engines", engineId, "candidates", asked],
    queryFn: () =>
      answered(
        api.POST("/api/engines/{id}/spring-candidates", {
          params: { path: { id: engineId } },
          body: asked,
        }),
      ),
    retry: false,
    placeholderData: (before: Schemas["Candidate"][] | undefined) => before,
  });

/** The spring test that is made stop by stop with a round. */
export const roundTest = (roundId: string) =>
  queryOptions({
    queryKey: ["rounds", roundId, "spring-test"],
    queryFn: () => answered(api.GET("/api/rounds/{id}/spring-test", { params: { path: { id: roundId } } })),
  });

export const springTypes = () =>
  queryOptions({ queryKey: ["spring-types"], queryFn: () => answered(api.GET("/api/spring-types")) });

export const springStock = () =>
  queryOptions({ queryKey: ["springs"], queryFn: () => answered(api.GET("/api/springs")) });

/** Two devices on one test see each other's readings. */
export const springTest = (id: string) =>
  queryOptions({
    queryKey: ["spring-tests", id],
    ...newest,
    queryFn: () => answered(api.GET("/api/spring-tests/{id}", { params: { path: { id } } })),
    refetchInterval: (q) => (q.state.data?.endedAt ? false : 3000),
  });

export const runs = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "runs"],
    queryFn: () => answered(api.GET("/api/engines/{id}/runs", { params: { path: { id: engineId } } })),
  });

/** The connected tester; its needle moves, so it is asked often while one is looked at. */
export const tester = (often: boolean) =>
  queryOptions({
    queryKey: ["tester"],
    queryFn: () => answered(api.GET("/api/tester")),
    refetchInterval: (q) => (often && q.state.data?.connected ? 300 : false),
  });

export const sheetOfSpring = (sheet: Schemas["SpringSheet"]) =>
  queryOptions({
    queryKey: ["spring-sheet", sheet],
    queryFn: () => answered(api.POST("/api/calc/spring-sheet", { body: sheet })),
    ...ALWAYS,
    placeholderData: (before: Schemas["SpringSheetReading"] | undefined) => before,
  });

export const jobPlan = (engineId: string, ask: Schemas["JobAsk"]) =>
  queryOptions({
    queryKey: ["engines", engineId, "job-plan", ask],
    queryFn: () =>
      answered(api.POST("/api/engines/{id}/job-plan", { params: { path: { id: engineId } }, body: ask })),
    retry: false,
    placeholderData: (before: Schemas["JobPlanView"] | undefined) => before,
  });

export const changeRules = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "change-rules"],
    queryFn: () =>
      answered(api.GET("/api/engines/{id}/change-rules", { params: { path: { id: engineId } } })),
  });

export const jobs = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "jobs"],
    queryFn: () => answered(api.GET("/api/engines/{id}/jobs", { params: { path: { id: engineId } } })),
  });

/** Two devices at one job see each other's steps. */
export const job = (id: string) =>
  queryOptions({
    queryKey: ["jobs", id],
    ...newest,
    queryFn: () => answered(api.GET("/api/jobs/{id}", { params: { path: { id } } })),
    refetchInterval: (q) => (q.state.data?.endedAt ? false : 2000),
  });

/** Every valve of the team that nothing but its hold keeps up, asked for on every screen. */
export const danger = () =>
  queryOptions({
    queryKey: ["danger"],
    queryFn: () => answered(api.GET("/api/danger")),
    refetchInterval: 2000,
  });

export const openItems = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "open-items"],
    queryFn: () => answered(api.GET("/api/engines/{id}/open-items", { params: { path: { id: engineId } } })),
  });

export const practice = (moves: Schemas["PracticeMove"][]) =>
  queryOptions({
    queryKey: ["practice", moves],
    queryFn: () => answered(api.POST("/api/calc/practice", { body: { moves } })),
    placeholderData: (before: Schemas["PracticeView"] | undefined) => before,
    ...ALWAYS,
  });

export const changeSchools = () =>
  queryOptions({
    queryKey: ["change-schools"],
    queryFn: () => answered(api.GET("/api/change-schools")),
    ...ALWAYS,
  });

export const looks = () =>
  queryOptions({
    queryKey: ["looks"],
    queryFn: () => answered(api.GET("/api/looks")),
    ...ALWAYS,
  });

export const engineLifters = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "lifters"],
    queryFn: () => answered(api.GET("/api/engines/{id}/lifters", { params: { path: { id: engineId } } })),
  });

export const lashDrift = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "drift"],
    queryFn: () => answered(api.GET("/api/engines/{id}/lash-drift", { params: { path: { id: engineId } } })),
  });

export const valveStory = (engineId: string, valve: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "story", valve],
    queryFn: () =>
      answered(
        api.GET("/api/engines/{id}/valves/{valve}/story", { params: { path: { id: engineId, valve } } }),
      ),
  });

export const engineReadiness = (engineId: string) =>
  queryOptions({
    queryKey: ["engines", engineId, "readiness"],
    queryFn: () => answered(api.GET("/api/engines/{id}/readiness", { params: { path: { id: engineId } } })),
  });

/** The plan until the truck leaves; asked for at once again while it is being made. */
export const turnaround = () =>
  queryOptions({
    queryKey: ["turnaround"],
    queryFn: () => answered(api.GET("/api/turnaround")),
    refetchInterval: (query) => (query.state.data?.plan ? 30_000 : 1_000),
  });

/** Parts: on the shelf, in engines with when they fall due, on order. */
export const stock = () =>
  queryOptions({
    queryKey: ["stock"],
    queryFn: () => answered(api.GET("/api/stock")),
  });

/** The dial's live reading, asked for while it is looked at. */
export const dial = (live: boolean) =>
  queryOptions({
    queryKey: ["dial"],
    queryFn: () => answered(api.GET("/api/dial")),
    refetchInterval: (q) => (live && q.state.data?.connected ? 250 : false),
  });

/** All heads with a record of their own. */
export const heads = () =>
  queryOptions({ queryKey: ["heads"], queryFn: () => answered(api.GET("/api/heads")) });

export const head = (id: string) =>
  queryOptions({
    queryKey: ["heads", id],
    queryFn: () => answered(api.GET("/api/heads/{id}", { params: { path: { id } } })),
  });

/** Kinds of spring, ranked for some heads. */
export const headSprings = (id: string) =>
  queryOptions({
    queryKey: ["heads", id, "springs"],
    queryFn: () => answered(api.GET("/api/heads/{id}/springs", { params: { path: { id } } })),
  });

export const headBook = (id: string) =>
  queryOptions({
    queryKey: ["heads", id, "book"],
    queryFn: () => answered(api.GET("/api/heads/{id}/book", { params: { path: { id } } })),
  });

/** What a kind of spring can be had with. */
export const springKit = (typeId: string) =>
  queryOptions({
    queryKey: ["spring-kit", typeId],
    queryFn: () => answered(api.GET("/api/spring-types/{id}/kit", { params: { path: { id: typeId } } })),
  });
