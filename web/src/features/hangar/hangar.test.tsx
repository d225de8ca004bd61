import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import type { HangarEntry } from "@/api/queries";
import { answers, program, show, type Asked } from "@/test/page";
import { RouteFault } from "@/ui/route-fault";
import { HangarPage } from "./HangarPage";
import { NewModelPage } from "./NewModelPage";
import { Shell } from "./Shell";

const entry = (id: number, part: Partial<HangarEntry> = {}): HangarEntry => ({
  id,
  name: `Model ${id}`,
  transmitter: "Own",
  airframe: answers.setup.airframe,
  surfaces: answers.setup.surfaces,
  revision: 2,
  reason: "Throws from the plan",
  flightCount: 1,
  loop: { stage: "FLY", next: "REST", waiting: "All trims at zero.", waits: false },
  grounding: { verdict: "CLEAR", reasons: [], missing: [], searched: 1, because: "" },
  ...part,
});

const many = Array.from({ length: 30 }, (_, i) => entry(i + 1));

function hangar({ path }: Asked) {
  const query = new URLSearchParams(path.split("?")[1]);
  const found = many.filter((one) => one.name.includes(query.get("named") ?? ""));
  const [page, size] = [Number(query.get("page")), Number(query.get("size"))];
  return { items: found.slice(page * size, (page + 1) * size), total: found.length };
}

describe("the hangar", () => {
  it("shows where each model stands and what waits", async () => {
    const waits = { stage: "ADJUST", next: "ADJUST", waiting: "Trims wait.", waits: true } as const;
    program({ "GET /api/aircraft": { items: [entry(1, { loop: waits })], total: 1 } });
    show(<HangarPage />);
    expect(await screen.findByRole("link", { name: "Model 1" })).toHaveAttribute(
      "href",
      "/models/1/rig",
    );
    expect(screen.getByText("Trims wait.")).toBeInTheDocument();
    expect(screen.getByRole("list", { name: "On the loop: Adjust" })).toBeInTheDocument();
    expect(screen.getByText(/Revision 2: Throws from the plan. 1 flight logged./)).toBeVisible();
    expect(
      screen.getByRole("link", { name: "Move the trims into the linkages" }),
    ).toBeInTheDocument();
    expect(screen.queryByLabelText("Find a model")).not.toBeInTheDocument();
  });

  it("leads to a flight only where a model is cleared", async () => {
    const missing = [{ lack: "FULL_CHECK", words: "It was never checked in full." }] as const;
    const grounding = { ...entry(2).grounding, verdict: "NOT_YET" as const, missing: [...missing] };
    program({ "GET /api/aircraft": { items: [entry(1), entry(2, { grounding })], total: 2 } });
    show(<HangarPage />);
    expect(await screen.findByText(/never checked in full/)).toBeInTheDocument();
    const flights = screen.getAllByRole("link", { name: "Log a flight" });
    expect(flights.map((one) => one.getAttribute("href"))).toEqual(["/models/1/fly/new"]);
    expect(screen.getByRole("link", { name: "Full check" })).toBeInTheDocument();
  });

  it("shows many in parts and finds one by its name", async () => {
    program({ "GET /api/aircraft": hangar });
    show(<HangarPage />);
    expect(await screen.findByText("12 of 30")).toBeInTheDocument();
    await userEvent.click(screen.getByRole("button", { name: "Show more" }));
    expect(await screen.findByText("24 of 30")).toBeInTheDocument();
    expect(screen.getAllByRole("article")).toHaveLength(24);
    await userEvent.type(screen.getByLabelText("Find a model"), "Model 29");
    await waitFor(() => expect(screen.getAllByRole("article")).toHaveLength(1));
    expect(screen.getByRole("link", { name: "Model 29" })).toBeInTheDocument();
  });

  it("tells the next step where there is no model", async () => {
    program({ "GET /api/aircraft": { items: [], total: 0 } });
    show(<HangarPage />);
    expect(await screen.findByText("No model yet")).toBeInTheDocument();
    expect(screen.getByRole("link", { name: "New model" })).toHaveAttribute("href", "/new");
  });

  it("says what happened where the program does not answer", async () => {
    program({ "GET /api/aircraft": [503, { detail: "The data cannot be written." }] });
    show(<HangarPage />);
    expect(await screen.findByText("The data cannot be written.")).toBeInTheDocument();
  });
});

describe("a new model", () => {
  it("is started from a kind under its own name", async () => {
    const asked = program({
      "GET /api/kinds": [answers.setup],
      "POST /api/aircraft": [201, { id: 5 }],
    });
    show(<NewModelPage />);
    const start = await screen.findByRole("button", { name: "Create this model" });
    expect(start).toBeDisabled();
    await userEvent.click(
      screen.getByRole("radio", { name: new RegExp(answers.setup.airframe.kind) }),
    );
    await userEvent.type(screen.getByLabelText("Model name"), "  Wend ");
    await userEvent.click(start);
    await waitFor(() => expect(asked.some((one) => one.method === "POST")).toBe(true));
    expect(asked.find((one) => one.method === "POST")?.body).toMatchObject({
      setup: { name: "Wend", airframe: { kind: answers.setup.airframe.kind } },
    });
  });
});

describe("the frame around every page", () => {
  it("lists every key on a question mark and gives the page a title", async () => {
    program({});
    show(<Shell />);
    expect(document.title).toBe("High Tally");
    await userEvent.keyboard("?");
    const list = await screen.findByRole("dialog", { name: "Keyboard" });
    for (const keys of ["?", "Ctrl+Z", "Ctrl+Shift+Z", "N or →", "B or ←", "Arrow keys"]) {
      expect(list).toHaveTextContent(keys);
    }
  });

  it("turns to the other theme and keeps it", async () => {
    program({});
    show(<Shell />);
    await userEvent.click(screen.getByRole("button", { name: "Dark theme" }));
    expect(document.documentElement.dataset.theme).toBe("dark");
    expect(JSON.parse(localStorage.getItem("high-tally.theme") ?? "")).toBe("dark");
  });
});

describe("a page that fails", () => {
  it("is replaced by words that say nothing is lost", async () => {
    const { createMemoryRouter, RouterProvider } = await import("react-router");
    const { render } = await import("@testing-library/react");
    const { vi } = await import("vitest");
    vi.spyOn(console, "error").mockImplementation(() => {});
    function Broken(): never {
      throw new Error("planted");
    }
    const routes = [{ path: "/", element: <Broken />, errorElement: <RouteFault /> }];
    render(<RouterProvider router={createMemoryRouter(routes)} />);
    const said = await screen.findByRole("alert");
    expect(said).toHaveTextContent("This page has a fault");
    expect(said).toHaveTextContent("Nothing you typed is lost");
    expect(said).not.toHaveTextContent("planted");
  });
});
