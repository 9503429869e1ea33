import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { RouterProvider } from "@tanstack/react-router";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { Refused } from "@/shared/api/client";
import "./styles.css";
import { router } from "./router";

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      refetchOnWindowFocus: false,
      networkMode: "always", // this device may answer
      refetchOnReconnect: true,
      retry: (times, error) =>
        !(error instanceof Refused && (error.problem.status < 500 || isFinal(error))) && times < 4,
    },
    mutations: { networkMode: "always" },
  },
});

/** What this device can't do without the server is not asked of it again and again. */
function isFinal({ problem }: Refused): boolean {
  return problem.type === "needs-server" || problem.type === "not-here";
}

const root = document.getElementById("root");
if (root)
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </StrictMode>,
  );
