import "./styles.css";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { RouterProvider } from "@tanstack/react-router";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { ApiProblem } from "./api/client";
import { router } from "./routes";
import { SettingsProvider } from "./shell/settings";

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => error instanceof ApiProblem && error.offline && count < 3,
      refetchOnWindowFocus: false,
    },
  },
});

const root = document.getElementById("root");
if (!root) throw new Error("index.html has no #root");

createRoot(root).render(
  <StrictMode>
    <SettingsProvider>
      <QueryClientProvider client={queries}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </SettingsProvider>
  </StrictMode>,
);
