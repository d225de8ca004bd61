import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render, within, type RenderResult } from "@testing-library/react";
import { readFileSync } from "node:fs";
import { useEffect, useReducer, type ReactElement } from "react";
import { createMemoryRouter, RouterProvider } from "react-router";
import { vi } from "vitest";
import type { Field, OpenAdjustment, Setup, Standing } from "@/api/queries";
import type { RecipeCard } from "@/api/program";
import { reduceDraft, type Draft } from "@/domain/draft";
import {
  BenchContext,
  BenchStore,
  type Finding,
  type Frame,
  type Sheet,
} from "@/features/bench/store";
import { ModelContext } from "@/features/model/model";

/** Answers the program really gives; a test of the program keeps them fresh. */
export const answers = JSON.parse(readFileSync("src/test/answers.json", "utf8")) as {
  setup: Setup;
  fields: Field[];
  gallery: RecipeCard[];
  words: unknown[];
  moment: { sheets: Sheet[]; findings: Finding[]; frame: Frame };
  program: unknown;
  order: OpenAdjustment;
  standing: Standing;
};

/** A request the page has sent. */
export interface Asked {
  method: string;
  path: string;
  body: unknown;
  headers: Headers;
}

/** What was sent, read where it is JSON. */
function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return text === "" ? undefined : text;
  }
}

type Reply = unknown | ((asked: Asked) => unknown);

/** Stands in for the program: answers by method and path; a status stands in front of the body. */
export function program(replies: Record<string, Reply>): Asked[] {
  const asked: Asked[] = [];
  vi.stubGlobal("fetch", async (request: Request) => {
    const url = new URL(request.url);
    const text = await request.text();
    const one: Asked = {
      method: request.method,
      path: url.pathname + url.search,
      body: parsed(text),
      headers: request.headers,
    };
    asked.push(one);
    const found = Object.entries(replies).find(([route]) => {
      const [method, path = ""] = route.split(" ");
      return method === request.method && url.pathname.endsWith(path);
    });
    if (found === undefined) {
      return new Response(JSON.stringify({ detail: `No answer for ${one.path}` }), { status: 404 });
    }
    const reply: unknown = await (typeof found[1] === "function"
      ? (found[1] as (a: Asked) => unknown)(one)
      : found[1]);
    const [status, body] =
      Array.isArray(reply) && typeof reply[0] === "number" ? reply : [200, reply];
    return new Response(status === 204 ? null : JSON.stringify(body), {
      status: status as number,
      headers: { "Content-Type": "application/json" },
    });
  });
  return asked;
}

/** A bench that shows one moment of the demo biplane. */
export function benchAt(part: { findings?: Finding[] } = {}): BenchStore {
  const store = new BenchStore();
  const { sheets, findings, frame } = answers.moment;
  const inside = store as unknown as { change: (state: object) => void };
  inside.change({
    connected: true,
    selected: "upper-aileron-left",
    setup: answers.setup,
    sheets,
    findings: part.findings ?? findings,
    frame,
  });
  return store;
}

interface Wish {
  setup?: Setup;
  standing?: Standing;
  bench?: BenchStore;
  /** Whether the draft has been changed and not saved. */
  changed?: boolean;
  /** Told of every state of the draft. */
  onDraft?: (draft: Draft) => void;
}

function Model({ wish, children }: { wish: Wish; children: ReactElement }) {
  const standing = wish.standing ?? answers.standing;
  const [draft, change] = useReducer(reduceDraft, {
    basedOn: standing.newest.number,
    present: wish.setup ?? answers.setup,
    past: wish.changed === true ? [answers.setup] : [],
    future: [],
  });
  const { onDraft } = wish;
  useEffect(() => {
    onDraft?.(draft);
  }, [onDraft, draft]);
  return <ModelContext value={{ standing, draft, change }}>{children}</ModelContext>;
}

/** A part of the page as it stands on a model's pages. */
export function show(part: ReactElement, wish: Wish = {}): RenderResult {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  const bench = wish.bench ?? benchAt();
  const element = (
    <Model wish={wish}>
      <BenchContext value={bench}>{part}</BenchContext>
    </Model>
  );
  const router = createMemoryRouter([{ path: "*", element }]);
  return render(
    <QueryClientProvider client={client}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
}

/** What a row, a line or any other part says, read without line breaks. */
export const told = (part: Element | undefined | null) =>
  part?.textContent?.replace(/\s+/g, " ").trim() ?? "";

/** The rows of a table, each as its cells say it; headers stand in the first where there are any. */
export const rowsOf = (table: HTMLElement) =>
  within(table)
    .getAllByRole("row")
    .map((row) => [...row.children].map(told));
