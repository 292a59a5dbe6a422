import type { QueryClient } from "@tanstack/react-query";
import {
  createRootRouteWithContext,
  createRoute,
  createRouter,
  lazyRouteComponent,
  type RouteComponent,
  redirect,
} from "@tanstack/react-router";
import { askFirst } from "./api/asksFirst";
import { DangerBanner } from "./features/walk/DangerBanner";
import { MOVED } from "./shell/rooms";
import { NotFound, Shell } from "./shell/Shell";
import { fetched } from "./ui/later";

/** A page is fetched when it is first opened. */
const page = <N extends string>(bring: () => Promise<{ [K in N]: RouteComponent }>, name: N) =>
  lazyRouteComponent(fetched(bring), name);

interface Context {
  queries: QueryClient;
}

const rootRoute = createRootRouteWithContext<Context>()({
  component: () => <Shell warning={<DangerBanner />} />,
  notFoundComponent: NotFound,
});

interface Opened {
  cause: string;
  context: Context;
  params: object;
}

/** What a page asks whatever it shows is asked for as it is opened, while its part still comes. */
function opens(path: string, { cause, context, params }: Opened) {
  if (cause !== "stay") void askFirst(context.queries, path, params);
}

const at = <P extends string>(path: P, component: RouteComponent) =>
  createRoute({ getParentRoute: () => rootRoute, path, component, loader: (now) => opens(path, now) });

interface ValveSearch {
  valve?: string;
  pass?: string;
}

/** Pages that may open at one valve, or in one pass of an inspection: ?valve=3E&pass=lifters. */
const atValve = <P extends string>(path: P, component: RouteComponent) =>
  createRoute({
    getParentRoute: () => rootRoute,
    path,
    component,
    loader: (now) => opens(path, now),
    validateSearch: (search: Record<string, unknown>): ValveSearch => ({
      ...(typeof search.valve === "string" && { valve: search.valve }),
      ...(typeof search.pass === "string" && { pass: search.pass }),
    }),
  });

/** An old address, in a bookmark or on a sheet of paper, leads to where its page is now. */
const moved = MOVED.map(([old, now]) =>
  createRoute({
    getParentRoute: () => rootRoute,
    path: old,
    beforeLoad: ({ params }) => {
      throw redirect({ to: now, params: { id: (params as { id: string }).id }, replace: true });
    },
  }),
);

const routeTree = rootRoute.addChildren([
  at(
    "/",
    page(() => import("./features/home/HomePage"), "HomePage"),
  ),
  at(
    "/engines",
    page(() => import("./features/home/EnginesPage"), "EnginesPage"),
  ),
  at(
    "/engines/new",
    page(() => import("./features/engine/SetupPage"), "NewEnginePage"),
  ),
  at(
    "/engines/$id",
    page(() => import("./features/engine/EnginePage"), "EnginePage"),
  ),
  at(
    "/engines/$id/setup",
    page(() => import("./features/engine/SetupPage"), "SetupPage"),
  ),
  at(
    "/engines/$id/lash/order",
    page(() => import("./features/crank/CrankPage"), "CrankPage"),
  ),
  at(
    "/engines/$id/lash",
    page(() => import("./features/lash/HistoryPage"), "HistoryPage"),
  ),
  at(
    "/engines/$id/start",
    page(() => import("./features/lash/StartPage"), "StartPage"),
  ),
  at(
    "/engines/$id/lash/sheet",
    page(() => import("./features/lash/LashSheet"), "BlankSheetPage"),
  ),
  at(
    "/engines/$id/springs",
    page(() => import("./features/fatigue/SpringsPage"), "SpringsPage"),
  ),
  at(
    "/engines/$id/test",
    page(() => import("./features/fatigue/TestStartPage"), "TestStartPage"),
  ),
  at(
    "/engines/$id/setup/springs",
    page(() => import("./features/spring/SpringSetupPage"), "SpringSetupPage"),
  ),
  at(
    "/engines/$id/spring-sheet",
    page(() => import("./features/fatigue/SpringSheetPage"), "SpringSheetPage"),
  ),
  at(
    "/engines/$id/pockets",
    page(() => import("./features/spring/PocketsPage"), "PocketsPage"),
  ),
  at(
    "/engines/$id/spring-compare",
    page(() => import("./features/spring/ComparePage"), "ComparePage"),
  ),
  at(
    "/engines/$id/spring-box",
    page(() => import("./features/spring/BoxPage"), "BoxPage"),
  ),
  at(
    "/engines/$id/order-sheet",
    page(() => import("./features/spring/OrderSheetPage"), "OrderSheetPage"),
  ),
  atValve(
    "/engines/$id/lifters",
    page(() => import("./features/lifter/LiftersPage"), "LiftersPage"),
  ),
  atValve(
    "/engines/$id/inspect",
    page(() => import("./features/lifter/InspectPage"), "InspectPage"),
  ),
  at(
    "/engines/$id/change",
    page(() => import("./features/change/ChangePage"), "ChangePage"),
  ),
  at(
    "/engines/$id/setup/changes",
    page(() => import("./features/change/ChangeRulesPage"), "ChangeRulesPage"),
  ),
  at(
    "/engines/$id/setup/cam",
    page(() => import("./features/cam/CamSetupPage"), "CamSetupPage"),
  ),
  at(
    "/engines/$id/cam",
    page(() => import("./features/cam/CamPage"), "CamPage"),
  ),
  at(
    "/engines/$id/cam/degree",
    page(() => import("./features/cam/DegreePage"), "DegreePage"),
  ),
  at(
    "/engines/$id/cam/lobes",
    page(() => import("./features/cam/LobesPage"), "LobesPage"),
  ),
  at(
    "/engines/$id/cam/side-by-side",
    page(() => import("./features/cam/SideBySidePage"), "SideBySidePage"),
  ),
  at(
    "/engines/$id/cam/clearance",
    page(() => import("./features/cam/ClearancePage"), "ClearancePage"),
  ),
  at(
    "/engines/$id/cam/pushrods",
    page(() => import("./features/cam/PushrodsPage"), "PushrodsPage"),
  ),
  at(
    "/engines/$id/cam/float",
    page(() => import("./features/cam/FloatPage"), "FloatPage"),
  ),
  at(
    "/engines/$id/setup/files",
    page(() => import("./features/interchange/FilesPage"), "FilesPage"),
  ),
  ...moved,
  at(
    "/jobs/$id",
    page(() => import("./features/walk/WalkPage"), "WalkPage"),
  ),
  at(
    "/jobs/$id/bar",
    page(() => import("./features/walk/JobBarPage"), "JobBarPage"),
  ),
  at(
    "/parts",
    page(() => import("./features/stock/PartsPage"), "PartsPage"),
  ),
  at(
    "/parts/lists",
    page(() => import("./features/stock/ListsPage"), "ListsPage"),
  ),
  at(
    "/parts/heads",
    page(() => import("./features/head/HeadsPage"), "HeadsPage"),
  ),
  at(
    "/heads/$id",
    page(() => import("./features/head/HeadPage"), "HeadPage"),
  ),
  at(
    "/heads/$id/measure",
    page(() => import("./features/head/MeasurePage"), "MeasurePage"),
  ),
  at(
    "/heads/$id/springs",
    page(() => import("./features/head/ChoicePage"), "ChoicePage"),
  ),
  at(
    "/heads/$id/box",
    page(() => import("./features/head/HeadBoxPage"), "HeadBoxPage"),
  ),
  at(
    "/heads/$id/order",
    page(() => import("./features/head/HeadOrderPage"), "HeadOrderPage"),
  ),
  at(
    "/heads/$id/assemble",
    page(() => import("./features/head/AssemblePage"), "AssemblePage"),
  ),
  at(
    "/heads/$id/book",
    page(() => import("./features/head/BookPage"), "BookPage"),
  ),
  at(
    "/heads/$id/on",
    page(() => import("./features/head/HeadsOnPage"), "HeadsOnPage"),
  ),
  at(
    "/practice",
    page(() => import("./features/walk/PracticePage"), "PracticePage"),
  ),
  at(
    "/waiting",
    page(() => import("./outbox/WaitingPage"), "WaitingPage"),
  ),
  at(
    "/backup",
    page(() => import("./features/backup/BackupPage"), "BackupPage"),
  ),
  at(
    "/tests/$id",
    page(() => import("./features/fatigue/TestPage"), "TestPage"),
  ),
  atValve(
    "/rounds/$id",
    page(() => import("./features/lash/RoundPage"), "RoundPage"),
  ),
  at(
    "/rounds/$id/bar",
    page(() => import("./features/lash/BarPage"), "BarPage"),
  ),
  at(
    "/rounds/$id/end",
    page(() => import("./features/lash/EndPage"), "EndPage"),
  ),
  at(
    "/rounds/$id/sheet",
    page(() => import("./features/lash/LashSheet"), "FilledSheetPage"),
  ),
]);

/** Pages by their addresses, for what is known of Shim's answers. */
export const routerOf = (queries: QueryClient) =>
  createRouter({ routeTree, defaultPreload: false, context: { queries } });

declare module "@tanstack/react-router" {
  interface Register {
    router: ReturnType<typeof routerOf>;
  }
}
