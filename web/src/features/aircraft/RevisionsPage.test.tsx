import { screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import type { Flight, RevisionHeader } from "@/api/queries";
import { FlightsPage } from "@/features/flightlog/FlightsPage";
import { answers, program, show, type Asked } from "@/test/page";
import { like, words } from "@/test/words";
import { RevisionsPage } from "./RevisionsPage";

const header = (number: number, part: Partial<RevisionHeader> = {}): RevisionHeader => ({
  number,
  reason: `Change ${number}`,
  fromAdjustment: false,
  corrects: false,
  trimsHoldSince: 1,
  createdAt: "2026-09-05T10:00:00Z",
  restored: false,
  flewWell: false,
  ...part,
});

const NOTHING_SEEN = { results: [], check: 0, despite: "" };
const REPORT = {
  flownOn: "2026-09-04",
  wind: "CALM",
  air: "SMOOTH",
  field: "Long Meadow",
  battery: "",
  cgMm: 118,
  remarks: "Wants a click",
  goal: "",
  trims: { roll: 3, pitch: 0, yaw: -1 },
  throttlePercent: 50,
  sure: "SURE",
  turnsDiffer: false,
  phases: [],
} as const;

const flight = (id: number, revisionNumber: number): Flight =>
  ({
    id,
    aircraftId: 1,
    revisionNumber,
    version: 0,
    report: REPORT,
    seen: NOTHING_SEEN,
    marks: { leftOut: "", simulated: false, flewWell: false, signsConfirmed: [] },
  }) as unknown as Flight;

const made = [
  {
    where: "TRANSMITTER",
    id: 7,
    what: "Rates: roll",
    before: "85 %",
    after: "90 %",
    at: "2026-09-05T10:00:00Z",
    back: true,
  },
  {
    where: "MODEL",
    id: 3,
    what: "down thrust",
    before: "1.50°",
    after: "2.00°",
    at: "2026-09-04T10:00:00Z",
    back: false,
  },
];

const all = Array.from({ length: 60 }, (_, i) => header(60 - i));

function revisions({ path }: Asked) {
  const query = new URLSearchParams(path.split("?")[1]);
  const [page, size] = [Number(query.get("page")), Number(query.get("size"))];
  return { items: all.slice(page * size, (page + 1) * size), total: all.length };
}

const standing = {
  ...answers.standing,
  newest: { ...answers.standing.newest, number: 60 },
};

const REPLIES = {
  "GET /made": [],
  "GET /revisions": revisions,
  "GET /revisions/60": { ...header(60), setup: answers.setup },
  "GET /revisions/59": { ...header(59), setup: answers.setup },
  "GET /revisions/58": { ...header(58), setup: { ...answers.setup, name: "Older" } },
  "GET /flights": { items: [flight(9, 59)], total: 1 },
  "POST /difference": { values: [], movements: [] },
};

describe("the revisions", () => {
  it("say what was really changed, from what to what, with the way back of the last", async () => {
    const asked = program({
      ...REPLIES,
      "GET /made": made,
      "POST /typed-changes/7/back": [],
    });
    show(<RevisionsPage />, { standing });
    expect(await screen.findByText("Rates: roll")).toBeInTheDocument();
    expect(screen.getByText("85 % →")).toBeInTheDocument();
    expect(screen.getByText("2.00°")).toBeInTheDocument();
    const back = screen.getAllByRole("button", {
      name: words("aircraft.changesMadeCard.changedBack"),
    });
    expect(back).toHaveLength(1);
    await userEvent.click(back[0] as HTMLElement);
    await waitFor(() =>
      expect(asked.some((one) => one.path.endsWith("/typed-changes/7/back"))).toBe(true),
    );
  });

  it("come in parts, each with what it was flown with", async () => {
    const asked = program(REPLIES);
    const { container } = show(<RevisionsPage />, { standing });
    expect(await screen.findByText("50 of 60")).toBeInTheDocument();
    const flown = container.querySelector("[data-revision='59']") as HTMLElement;
    await waitFor(() =>
      expect(flown).toHaveTextContent("roll 3 clicks right, yaw 1 click nose left"),
    );
    expect(container.querySelector("[data-revision='60']")).toHaveTextContent(
      words("aircraft.revisionsPage.notFlown"),
    );
    await userEvent.click(screen.getByRole("button", { name: words("ui.more.showMore") }));
    await waitFor(() => expect(container.querySelector("[data-revision='1']")).toBeInTheDocument());
    const documents = asked.filter((one) => /revisions\/\d+$/.test(one.path));
    expect(documents.map((one) => one.path).sort()).toEqual([
      "/api/aircraft/1/revisions/59",
      "/api/aircraft/1/revisions/60",
    ]);
  });

  it("are gone back to in one step that names the rods to turn back", async () => {
    const asked = program({
      ...REPLIES,
      "GET /way-back": {
        revision: 58,
        setup: answers.setup,
        rods: [
          {
            surface: "elevator",
            name: "Elevator",
            steps: -2,
            turn: "1 turn in",
            rotation: "Clockwise.",
          },
        ],
        parts: ["Rudder"],
        entries: [],
      },
      "POST /way-back": [201, { number: 61, setup: answers.setup }],
      "PUT /revisions/58/flew-well": header(58, { flewWell: true }),
    });
    const { container } = show(<RevisionsPage />, { standing });
    await screen.findByText("50 of 60");
    const old = container.querySelector("[data-revision='58']") as HTMLElement;
    await userEvent.click(
      within(old).getByRole("button", { name: words("aircraft.revisionsPage.mark") }),
    );
    await waitFor(() =>
      expect(asked.find((one) => one.method === "PUT")?.body).toEqual({ flewWell: true }),
    );
    await userEvent.click(within(old).getByRole("button", { name: words("model.goBack.goBack") }));
    expect(await screen.findByText(/Elevator: 1 turn in/)).toBeInTheDocument();
    expect(
      screen.getByText(like("model.goBack.linkageSince", { parts: "Rudder" })),
    ).toBeInTheDocument();
    const gone = () => asked.find((one) => one.method === "POST" && one.path.endsWith("/way-back"));
    expect(gone()).toBeUndefined();
    await userEvent.click(
      screen.getByRole("button", { name: words("model.goBack.do", { revision: 58 }) }),
    );
    await waitFor(() =>
      expect(gone()?.body).toEqual({
        basedOn: 60,
        revision: 58,
        flight: 0,
      }),
    );
  });
});

describe("the log", () => {
  const many = Array.from({ length: 70 }, (_, i) => flight(70 - i, 60));
  const flights = ({ path }: Asked) => {
    const query = new URLSearchParams(path.split("?")[1]);
    const [page, size] = [Number(query.get("page")), Number(query.get("size"))];
    return { items: many.slice(page * size, (page + 1) * size), total: many.length };
  };

  it("comes in parts, in words, with what was changed before each flight", async () => {
    program({
      ...REPLIES,
      "GET /flights": flights,
      "GET /standing": { reference: "flight", turn: [], series: [] },
    });
    show(<FlightsPage />, { standing });
    expect(await screen.findByText("50 of 70")).toBeInTheDocument();
    const first = screen.getAllByRole("article")[0] as HTMLElement;
    expect(first).toHaveTextContent("3 clicks right");
    expect(first).toHaveTextContent("0 clicks");
    await waitFor(() =>
      expect(first).toHaveTextContent(
        words("flightlog.flightsPage.changedBefore", { changed: "Change 60" }),
      ),
    );
    await userEvent.click(screen.getByRole("button", { name: words("ui.more.showMore") }));
    await waitFor(() => expect(screen.getAllByRole("article")).toHaveLength(70));
  });

  it("says what became of a file, row by row, and sends it as what it is", async () => {
    const asked = program({
      ...REPLIES,
      "GET /flights": { items: [], total: 0 },
      "POST /flights.csv": {
        taken: 2,
        there: 1,
        rows: [
          { rows: [2], flownOn: "2026-09-04", became: "TAKEN", reason: "" },
          { rows: [3], flownOn: "2026-09-05", became: "THERE_ALREADY", reason: "" },
        ],
        problems: [{ row: 4, text: "…", reason: "roll_clicks is 2.5; it must be whole clicks." }],
      },
    });
    show(<FlightsPage />, { standing });
    const file = new File(['"flown_on"'], "flights.csv", { type: "text/csv" });
    await userEvent.upload(await screen.findByLabelText(words("flightlog.csvCard.import")), file);
    expect(
      await screen.findByText(
        words("flightlog.csvCard.taken", { taken: 2, there: "true", thereOther: 1 }),
      ),
    ).toBeInTheDocument();
    expect(
      screen.getByText(
        `${words("flightlog.csvCard.refusedRow", { row: 4 })}: roll_clicks is 2.5; it must be whole clicks.`,
      ),
    ).toBeVisible();
    const sent = asked.find((one) => one.path.endsWith("/flights.csv"));
    expect(sent?.headers.get("Content-Type")).toBe("text/csv");
  });
});
