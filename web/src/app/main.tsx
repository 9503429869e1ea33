import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { RouterProvider } from "@tanstack/react-router";
import { StrictMode, useSyncExternalStore } from "react";
import { createRoot } from "react-dom/client";
import { Refused } from "@/shared/api/client";
import { onLanguage, speak, wording } from "@/shared/words/language";
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

/** Everything there is, drawn anew in the language it is now said in. */
function Program() {
  const language = useSyncExternalStore(onLanguage, wording);
  return <RouterProvider router={router} key={language} />;
}

/** What the server said in another language is asked for again. */
onLanguage(() => {
  void queries.invalidateQueries({ refetchType: "active" });
});

const root = document.getElementById("root");
if (root)
  void speak().then(() =>
    createRoot(root).render(
      <StrictMode>
        <QueryClientProvider client={queries}>
          <Program />
        </QueryClientProvider>
      </StrictMode>,
    ),
  );
