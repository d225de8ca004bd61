import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { readdirSync } from "node:fs";
import { act, fireEvent, render } from "@testing-library/react";
import { createMemoryRouter, RouterProvider, type RouteObject } from "react-router";
import { beforeAll, beforeEach, expect, test, vi } from "vitest";
import { routes } from "@/router";
import { outline } from "./outline";
import { pages, recordedProgram } from "./program";

/** So often what was asked may lead to another question, and so long each may take. */
const ROUNDS = 12;
const ROUND_MS = 500;

/** Lets what was begun come to its end: what waits for a clock, and what is loaded. */
async function settled() {
  for (let i = 0; i < ROUNDS; i++) {
    await act(() => vi.advanceTimersByTimeAsync(ROUND_MS));
    await act(() => new Promise<void>((then) => later(then)));
  }
}

const later = setImmediate;

/** A route with its page, and those within it, loaded. */
async function loaded(route: RouteObject): Promise<RouteObject> {
  const { lazy, children, ...rest } = route as RouteObject & {
    lazy?: () => Promise<{ Component: () => React.ReactNode }>;
  };
  return {
    ...rest,
    ...(lazy && (await lazy())),
    ...(children && { children: await Promise.all(children.map(loaded)) }),
  } as RouteObject;
}

/** What else can be looked at without leaving the page. */
const tabs = (main: Element) =>
  [...main.querySelectorAll("[role=tab]")].filter(
    (one) => one.getAttribute("aria-selected") !== "true",
  );

let pagesLoaded: RouteObject[];
beforeAll(async () => {
  pagesLoaded = await Promise.all(routes.map(loaded));
});

/** A page as it is once all that was asked is answered. */
async function opened(path: string): Promise<Element> {
  const client = new QueryClient({
    defaultOptions: { queries: { retry: false }, mutations: { retry: false } },
  });
  const router = createMemoryRouter(pagesLoaded, { initialEntries: [`/${path}`] });
  const { container } = render(
    <QueryClientProvider client={client}>
      <RouterProvider router={router} />
    </QueryClientProvider>,
  );
  await settled();
  return container;
}

beforeEach(() => {
  vi.useFakeTimers({
    now: new Date("2026-09-06T12:00:00Z"),
    toFake: ["setTimeout", "clearTimeout", "setInterval", "clearInterval", "Date", "performance"],
  });
});

const fileOf = (path: string) => `${path.replaceAll("/", "-") || "hangar"}.txt`;

/** One that is new is written when it is first laid out, and none stays of one that is gone. */
test("every page has been laid out, and none besides", () => {
  expect(readdirSync("src/test/walk/pages").sort()).toEqual(pages.map(fileOf).sort());
});

/**
 * Every address laid out from what the program answers, its measures made unlike: by the keys of
 * its words, so that only what stands where is compared. Renewed with `npx vitest run --project
 * walk -u`, and read before it is kept.
 */
test.each(pages)("what stands on /%s is what it is called", async (path) => {
  const { missing } = recordedProgram(path);
  const page = await opened(path);
  expect(missing).toEqual([]);
  const main = () => page.querySelector("main") ?? page;
  const first = outline(main());
  const text = [document.title, first];
  for (const tab of tabs(main())) {
    fireEvent.mouseDown(tab, { button: 0 });
    fireEvent.click(tab);
    await settled();
    const more = outline(main())
      .split("\n")
      .filter((line) => !first.includes(line));
    text.push(`--- ${tab.textContent}`, ...more);
  }
  await expect(`${text.join("\n")}\n`).toMatchFileSnapshot(`pages/${fileOf(path)}`);
});

/** Where the program cannot answer, the page says so and does not go on waiting. */
test.each(pages)("what fails on /%s is said", async (path) => {
  const { refused } = recordedProgram(path, true);
  const page = await opened(path);
  const said = outline(page);
  expect(said).not.toContain("message.loading");
  expect(page.querySelectorAll("[role=alert]").length > 0 || refused.length === 0).toBe(true);
});
