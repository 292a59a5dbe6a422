import { createRootRoute, createRoute, createRouter, redirect } from "@tanstack/react-router";
import { BackupPage } from "./features/backup/BackupPage";
import { CamPage } from "./features/cam/CamPage";
import { CamSetupPage } from "./features/cam/CamSetupPage";
import { ClearancePage } from "./features/cam/ClearancePage";
import { DegreePage } from "./features/cam/DegreePage";
import { FloatPage } from "./features/cam/FloatPage";
import { LobesPage } from "./features/cam/LobesPage";
import { PushrodsPage } from "./features/cam/PushrodsPage";
import { SideBySidePage } from "./features/cam/SideBySidePage";
import { ChangePage } from "./features/change/ChangePage";
import { ChangeRulesPage } from "./features/change/ChangeRulesPage";
import { CrankPage } from "./features/crank/CrankPage";
import { EnginePage } from "./features/engine/EnginePage";
import { NewEnginePage, SetupPage } from "./features/engine/SetupPage";
import { SpringSheetPage } from "./features/fatigue/SpringSheetPage";
import { SpringsPage } from "./features/fatigue/SpringsPage";
import { TestPage } from "./features/fatigue/TestPage";
import { TestStartPage } from "./features/fatigue/TestStartPage";
import { AssemblePage } from "./features/head/AssemblePage";
import { BookPage } from "./features/head/BookPage";
import { ChoicePage } from "./features/head/ChoicePage";
import { HeadBoxPage } from "./features/head/HeadBoxPage";
import { HeadOrderPage } from "./features/head/HeadOrderPage";
import { HeadPage } from "./features/head/HeadPage";
import { HeadsOnPage } from "./features/head/HeadsOnPage";
import { HeadsPage } from "./features/head/HeadsPage";
import { MeasurePage } from "./features/head/MeasurePage";
import { EnginesPage, HomePage } from "./features/home/HomePage";
import { FilesPage } from "./features/interchange/FilesPage";
import { BarPage } from "./features/lash/BarPage";
import { EndPage } from "./features/lash/EndPage";
import { HistoryPage } from "./features/lash/HistoryPage";
import { BlankSheetPage, FilledSheetPage } from "./features/lash/LashSheet";
import { RoundPage } from "./features/lash/RoundPage";
import { StartPage } from "./features/lash/StartPage";
import { InspectPage } from "./features/lifter/InspectPage";
import { LiftersPage } from "./features/lifter/LiftersPage";
import { BoxPage } from "./features/spring/BoxPage";
import { ComparePage } from "./features/spring/ComparePage";
import { OrderSheetPage } from "./features/spring/OrderSheetPage";
import { PocketsPage } from "./features/spring/PocketsPage";
import { SpringSetupPage } from "./features/spring/SpringSetupPage";
import { ListsPage } from "./features/stock/ListsPage";
import { PartsPage } from "./features/stock/PartsPage";
import { DangerBanner } from "./features/walk/DangerBanner";
import { JobBarPage } from "./features/walk/JobBarPage";
import { PracticePage } from "./features/walk/PracticePage";
import { WalkPage } from "./features/walk/WalkPage";
import { WaitingPage } from "./outbox/WaitingPage";
import { MOVED } from "./shell/rooms";
import { NotFound, Shell } from "./shell/Shell";

const rootRoute = createRootRoute({
  component: () => <Shell warning={<DangerBanner />} />,
  notFoundComponent: NotFound,
});
const at = <P extends string>(path: P, component: () => React.ReactNode) =>
  createRoute({ getParentRoute: () => rootRoute, path, component });

interface ValveSearch {
  valve?: string;
  pass?: string;
}

/** Pages that may open at one valve, or in one pass of an inspection: ?valve=3E&pass=lifters. */
const atValve = <P extends string>(path: P, component: () => React.ReactNode) =>
  createRoute({
    getParentRoute: () => rootRoute,
    path,
    component,
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
  at("/", HomePage),
  at("/engines", EnginesPage),
  at("/engines/new", NewEnginePage),
  at("/engines/$id", EnginePage),
  at("/engines/$id/setup", SetupPage),
  at("/engines/$id/lash/order", CrankPage),
  at("/engines/$id/lash", HistoryPage),
  at("/engines/$id/start", StartPage),
  at("/engines/$id/lash/sheet", BlankSheetPage),
  at("/engines/$id/springs", SpringsPage),
  at("/engines/$id/test", TestStartPage),
  at("/engines/$id/setup/springs", SpringSetupPage),
  at("/engines/$id/spring-sheet", SpringSheetPage),
  at("/engines/$id/pockets", PocketsPage),
  at("/engines/$id/spring-compare", ComparePage),
  at("/engines/$id/spring-box", BoxPage),
  at("/engines/$id/order-sheet", OrderSheetPage),
  atValve("/engines/$id/lifters", LiftersPage),
  atValve("/engines/$id/inspect", InspectPage),
  at("/engines/$id/change", ChangePage),
  at("/engines/$id/setup/changes", ChangeRulesPage),
  at("/engines/$id/setup/cam", CamSetupPage),
  at("/engines/$id/cam", CamPage),
  at("/engines/$id/cam/degree", DegreePage),
  at("/engines/$id/cam/lobes", LobesPage),
  at("/engines/$id/cam/side-by-side", SideBySidePage),
  at("/engines/$id/cam/clearance", ClearancePage),
  at("/engines/$id/cam/pushrods", PushrodsPage),
  at("/engines/$id/cam/float", FloatPage),
  at("/engines/$id/setup/files", FilesPage),
  ...moved,
  at("/jobs/$id", WalkPage),
  at("/jobs/$id/bar", JobBarPage),
  at("/parts", PartsPage),
  at("/parts/lists", ListsPage),
  at("/parts/heads", HeadsPage),
  at("/heads/$id", HeadPage),
  at("/heads/$id/measure", MeasurePage),
  at("/heads/$id/springs", ChoicePage),
  at("/heads/$id/box", HeadBoxPage),
  at("/heads/$id/order", HeadOrderPage),
  at("/heads/$id/assemble", AssemblePage),
  at("/heads/$id/book", BookPage),
  at("/heads/$id/on", HeadsOnPage),
  at("/practice", PracticePage),
  at("/waiting", WaitingPage),
  at("/backup", BackupPage),
  at("/tests/$id", TestPage),
  atValve("/rounds/$id", RoundPage),
  at("/rounds/$id/bar", BarPage),
  at("/rounds/$id/end", EndPage),
  at("/rounds/$id/sheet", FilledSheetPage),
]);

export const router = createRouter({ routeTree, defaultPreload: false });

declare module "@tanstack/react-router" {
  interface Register {
    router: typeof router;
  }
}
