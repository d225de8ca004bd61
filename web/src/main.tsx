import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { createBrowserRouter, RouterProvider } from "react-router";
import { routes } from "./router";
import { applyLook } from "./ui/theme";
import "./index.css";

applyLook();

const router = createBrowserRouter(routes);

const DAY_MS = 86_400_000;

const client = new QueryClient({
  defaultOptions: {
    // What was seen stays for the field, where the program may be out of reach.
    queries: { retry: 1, staleTime: 5_000, gcTime: DAY_MS, networkMode: "always" },
    mutations: { retry: 0, networkMode: "always" },
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
