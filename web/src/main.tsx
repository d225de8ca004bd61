import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { RouterProvider } from "react-router";
import { whileAway } from "./api/recovery";
import { router } from "./router";
import { applyLook } from "./ui/theme";
import "./index.css";

applyLook();

const client = new QueryClient({
  defaultOptions: {
    queries: { retry: 1, staleTime: 5_000, refetchInterval: whileAway },
    mutations: { retry: 0 },
  },
});

const root = document.getElementById("root");
if (root !== null) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={client}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </StrictMode>,
  );
}
