import { screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import type { HangarEntry } from "@/api/queries";
import { day } from "@/domain/words";
import { answers, program, show, told, type Asked } from "@/test/page";
import { like, words } from "@/test/words";
import { say } from "@/words/generated/hangar";
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
  it("has a card for a model that cannot be read: what, and what can be done", async () => {
    const broken = {
      id: 7,
      name: "Broken",
      faults: [{ field: "flight[3].wind", value: "BLOWY", requirement: "one of [CALM]" }],
    };
    const asked = program({
      "GET /api/aircraft/put-away": [],
      "GET /api/aircraft": { items: [entry(1)], total: 2, unreadable: [broken] },
      "PUT /api/aircraft/7/place": [204, undefined],
    });
    show(<HangarPage />);
    const heading = await screen.findByRole("heading", { name: "Broken" });
    const card = within(heading.closest("article") ?? heading);
    expect(card.getByText("flight[3].wind")).toBeVisible();
    expect(card.getByRole("link", { name: words("hangar.unreadableCard.save") })).toHaveAttribute(
      "href",
      "/api/archive/models/7",
    );
    expect(screen.getByRole("link", { name: "Model 1" })).toBeVisible();
    await userEvent.click(
      card.getByRole("button", { name: words("hangar.unreadableCard.tryAgain") }),
    );
    await userEvent.click(
      card.getByRole("button", { name: words("hangar.unreadableCard.delete") }),
    );
    await waitFor(() =>
      expect(asked).toContainEqual(
        expect.objectContaining({
          method: "PUT",
          path: "/api/aircraft/7/place",
          body: { place: "DELETED" },
        }),
      ),
    );
  });

  it("shows where each model stands and what waits", async () => {
    const waits = { stage: "ADJUST", next: "ADJUST", waiting: "Trims wait.", waits: true } as const;
    program({ "GET /api/aircraft": { items: [entry(1, { loop: waits })], total: 1 } });
    show(<HangarPage />);
    expect(await screen.findByRole("link", { name: "Model 1" })).toHaveAttribute(
      "href",
      "/models/1/rig",
    );
    expect(screen.getByText("Trims wait.")).toBeInTheDocument();
    expect(
      screen.getByRole("list", { name: words("hangar.hangarPage.onLoop", { names: "Adjust" }) }),
    ).toBeInTheDocument();
    expect(
      screen.getByText(
        like("hangar.hangarPage.revision", {
          revision: 2,
          reason: "Throws from the plan",
          flightCount: 1,
        }),
      ),
    ).toBeVisible();
    expect(
      screen.getByRole("link", { name: words("hangar.hangarPage.moveTrims") }),
    ).toBeInTheDocument();
    expect(screen.queryByLabelText(words("hangar.hangarPage.find"))).not.toBeInTheDocument();
  });

  it("has of each model its own name, kind, revision, stage, what waits and the ways to it", async () => {
    const stages = ["RIG", "PROGRAM", "CHECK", "FLY", "ADJUST"] as const;
    const names = [
      say("hangarPage.rig"),
      say("hangarPage.program"),
      say("hangarPage.check"),
      say("hangarPage.fly"),
      say("hangarPage.adjust"),
    ];
    const models = stages.map((stage, i) =>
      entry(10 + i, {
        airframe: { ...answers.setup.airframe, kind: `Kind ${stage}` },
        revision: 20 + i,
        reason: `Reason ${stage}`,
        flightCount: 30 + i,
        loop: {
          stage,
          next: stage === "ADJUST" ? "ADJUST" : "REST",
          waiting: `Waiting ${stage}.`,
          waits: false,
        },
      }),
    );
    program({ "GET /api/aircraft": { items: models, total: models.length } });
    show(<HangarPage />);
    await screen.findByText("Waiting RIG.");
    const cards = screen.getAllByRole("article");
    expect(cards).toHaveLength(models.length);
    models.forEach(({ id, name, airframe, revision, reason, flightCount, loop }, i) => {
      const card = within(cards[i] as HTMLElement);
      const says = told(cards[i]);
      for (const words of [name, airframe.kind, loop.waiting]) {
        expect(says).toContain(words);
      }
      expect(says).toContain(say("hangarPage.revision", { revision, reason, flightCount }));
      expect(told(cards[i]?.querySelector("[aria-current=step]"))).toBe(names[i]);
      expect(card.getByRole("list").getAttribute("aria-label")).toContain(names[i]);
      const to = card.getAllByRole("link").map((one) => one.getAttribute("href"));
      expect(to.length).toBeGreaterThan(2);
      to.forEach((one) => expect(one).toMatch(new RegExp(`^/models/${id}/`)));
      expect(to.includes(`/models/${id}/adjust`)).toBe(loop.next === "ADJUST");
    });
  });

  it("has under what was put away when that was, and until when it can come back", async () => {
    const away = [
      { id: 7, name: "Old one", place: "SET_ASIDE", since: "2026-03-04T10:00:00Z", gone: null },
      {
        id: 8,
        name: "Lost one",
        place: "DELETED",
        since: "2026-05-06T10:00:00Z",
        gone: "2026-07-08T10:00:00Z",
      },
      { id: 9, name: "Last one", place: "SET_ASIDE", since: "2026-09-10T10:00:00Z", gone: null },
    ];
    const asked = program({
      "GET /api/aircraft": { items: [], total: 0 },
      "GET /put-away": [200, away],
      "PUT /place": [204],
    });
    show(<HangarPage />);
    const title = [
      say("putAwayList.archived", { aside: 2 }),
      say("putAwayList.deleted", { deleted: 1 }),
    ].join(", ");
    await userEvent.click(await screen.findByText(title));
    const lines = away.map(({ name }) => document.querySelector(`[data-put-away="${name}"]`));
    away.forEach(({ id, name, place, since, gone }, i) => {
      const when =
        place === "DELETED"
          ? say("putAwayList.deletedUntil", { day: day(since), dayOther: day(gone ?? "") })
          : say("putAwayList.archivedOn", { day: day(since) });
      expect(told(lines[i])).toBe(`${name} ${when}${say("putAwayList.bringBack", { name })}`);
      expect(lines[i]?.querySelector("a")).toHaveAttribute("href", `/models/${id}/rig`);
    });
    await userEvent.click(within(lines[1] as HTMLElement).getByRole("button"));
    await waitFor(() => expect(asked.some((one) => one.method === "PUT")).toBe(true));
    expect(asked.find((one) => one.method === "PUT")?.path).toContain("/8/");
  });

  it("leads to a flight only where a model is cleared", async () => {
    const missing = [{ lack: "FULL_CHECK", words: "It was never checked in full." }] as const;
    const grounding = { ...entry(2).grounding, verdict: "NOT_YET" as const, missing: [...missing] };
    program({ "GET /api/aircraft": { items: [entry(1), entry(2, { grounding })], total: 2 } });
    show(<HangarPage />);
    expect(await screen.findByText(/never checked in full/)).toBeInTheDocument();
    const flights = screen.getAllByRole("link", { name: words("hangar.hangarPage.logAFlight") });
    expect(flights.map((one) => one.getAttribute("href"))).toEqual(["/models/1/fly/new"]);
    expect(
      screen.getByRole("link", { name: words("model.grounded.fullCheck") }),
    ).toBeInTheDocument();
  });

  it("shows many in parts and finds one by its name", async () => {
    program({ "GET /api/aircraft": hangar });
    show(<HangarPage />);
    expect(await screen.findByText("12 of 30")).toBeInTheDocument();
    await userEvent.click(screen.getByRole("button", { name: words("ui.more.showMore") }));
    expect(await screen.findByText("24 of 30")).toBeInTheDocument();
    expect(screen.getAllByRole("article")).toHaveLength(24);
    await userEvent.type(screen.getByLabelText(words("hangar.hangarPage.find")), "Model 29");
    await waitFor(() => expect(screen.getAllByRole("article")).toHaveLength(1));
    expect(screen.getByRole("link", { name: "Model 29" })).toBeInTheDocument();
  });

  it("tells the next step where there is no model", async () => {
    program({ "GET /api/aircraft": { items: [], total: 0 } });
    show(<HangarPage />);
    expect(await screen.findByText(words("hangar.hangarPage.empty"))).toBeInTheDocument();
    expect(screen.getByRole("link", { name: words("hangar.hangarPage.newModel") })).toHaveAttribute(
      "href",
      "/new",
    );
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
    const start = await screen.findByRole("button", { name: words("hangar.newModelPage.create") });
    expect(start).toBeDisabled();
    await userEvent.click(
      screen.getByRole("radio", { name: new RegExp(answers.setup.airframe.kind) }),
    );
    await userEvent.type(screen.getByLabelText(words("hangar.newModelPage.modelName")), "  Wend ");
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
    expect(document.title).toBe(words("hangar.shell.highTally"));
    await userEvent.keyboard("?");
    const list = await screen.findByRole("dialog", { name: words("hangar.shell.keyboard") });
    for (const keys of ["?", "Ctrl+Z", "Ctrl+Shift+Z", "N or →", "B or ←", "Arrow keys"]) {
      expect(list).toHaveTextContent(keys);
    }
  });

  it("turns to the other theme and keeps it", async () => {
    program({});
    show(<Shell />);
    await userEvent.click(screen.getByRole("button", { name: words("hangar.shell.darkTheme") }));
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
    expect(said).toHaveTextContent(words("ui.routeFault.title"));
    expect(said).toHaveTextContent("Nothing you typed is lost");
    expect(said).not.toHaveTextContent("planted");
  });
});
