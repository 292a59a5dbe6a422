import "./styles.css";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { RouterProvider } from "@tanstack/react-router";
import { StrictMode, startTransition } from "react";
import { createRoot } from "react-dom/client";
import { askAnew } from "./api/anew";
import { askFirst } from "./api/asksFirst";
import { ApiProblem } from "./api/client";
import { bringBack, LAST_SEEN_MS } from "./api/lastSeen";
import { startSending } from "./outbox/outbox";
import { receive } from "./outbox/receive";
import { routerOf } from "./routes";
import { openWithoutNetwork } from "./shell/newer";
import { SettingsProvider } from "./shell/settings";
import { atRest, fetchTheRest } from "./ui/later";

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => error instanceof ApiProblem && error.offline && count < 3,
      refetchOnWindowFocus: false,
      // What came a moment ago, while the page was on its way, is not asked for twice.
      staleTime: 2000,
      // What Shim has answered is looked for whatever the browser thinks of the network: it may run here.
      networkMode: "always",
      gcTime: LAST_SEEN_MS,
    },
    mutations: { networkMode: "always" },
  },
});

askAnew(queries);
receive(queries);
startSending();

const router = routerOf(queries);

const FRAME_STANDS_MS = 1_000;

/** What was seen last, the page's own part and what it asks first. */
async function there() {
  await Promise.all([bringBack(queries), router.load()]);
  const page = router.state.matches.at(-1);
  if (page) await askFirst(queries, page.fullPath, page.params);
}

/** All is drawn once, when it is there; a bad line is not waited for: then its parts follow as they come. */
async function begin() {
  // What cannot be had is told by the page itself.
  const known = there().catch(() => undefined);
  await Promise.race([known, new Promise((done) => setTimeout(done, FRAME_STANDS_MS))]);
  const root = document.getElementById("root");
  if (!root) throw new Error("index.html has no #root");
  // In short pieces, so that the page answers a thumb in between.
  startTransition(() =>
    createRoot(root).render(
      <StrictMode>
        <SettingsProvider>
          <QueryClientProvider client={queries}>
            <RouterProvider router={router} />
          </QueryClientProvider>
        </SettingsProvider>
      </StrictMode>,
    ),
  );
  await atRest();
  openWithoutNetwork();
  await fetchTheRest();
}

void begin();
