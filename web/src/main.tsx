import "./styles.css";
import { QueryClient } from "@tanstack/react-query";
import { PersistQueryClientProvider } from "@tanstack/react-query-persist-client";
import { RouterProvider } from "@tanstack/react-router";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { askAnew } from "./api/anew";
import { ApiProblem } from "./api/client";
import { lastSeen } from "./api/lastSeen";
import { startSending } from "./outbox/outbox";
import { receive } from "./outbox/receive";
import { router } from "./routes";
import { openWithoutNetwork } from "./shell/newer";
import { SettingsProvider } from "./shell/settings";
import { fetchTheRest } from "./ui/later";

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => error instanceof ApiProblem && error.offline && count < 3,
      refetchOnWindowFocus: false,
      // What came a moment ago, while the page was on its way, is not asked for twice.
      staleTime: 2000,
      // What Shim has answered is looked for whatever the browser thinks of the network: it may run here.
      networkMode: "always",
      gcTime: lastSeen.maxAge,
    },
    mutations: { networkMode: "always" },
  },
});

askAnew(queries);
receive(queries);
startSending();
openWithoutNetwork();

const root = document.getElementById("root");
if (!root) throw new Error("index.html has no #root");

createRoot(root).render(
  <StrictMode>
    <SettingsProvider>
      <PersistQueryClientProvider client={queries} persistOptions={lastSeen}>
        <RouterProvider router={router} />
      </PersistQueryClientProvider>
    </SettingsProvider>
  </StrictMode>,
);

void fetchTheRest();
