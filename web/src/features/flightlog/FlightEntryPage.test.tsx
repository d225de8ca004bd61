import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { answers, program, show, type Asked } from "@/test/page";
import { like, words } from "@/test/words";
import { FlightEntryPage } from "./FlightEntryPage";

const STANDS = {
  phases: answers.setup.phases.map((one) => ({
    phase: one.id,
    trims: { roll: 2, pitch: -3, yaw: 0 },
  })),
  percentPerClick: 0.5,
  microsecondsPerClick: 2,
};

const COACH = {
  plan: { kind: "POWERED", tests: [], next: -1, goal: "" },
  cards: [],
  jobs: [],
  goal: "Everything stands",
};

const FORM = answers.setup.phases.map((one) => ({
  phase: one.id,
  asked: ["ROLL", "PITCH", "YAW"],
  common: [],
  throttleAsked: true,
  throttlePercent: 0,
  reckoned: "",
}));

/** Nothing is chosen for the pilot: he says how it was. */
const choose = async () => {
  for (const name of ["sure", "calm", "smooth"]) {
    const role = name === "sure" ? "button" : "radio";
    await userEvent.click(await screen.findByRole(role, { name }));
  }
};

const REPLIES = {
  "GET /coach": COACH,
  "GET /flight-form": FORM,
  "GET /checks": { runs: [], due: [] },
  "GET /flights": { items: [], total: 0 },
  "GET /api/fields": answers.fields,
  "GET /standing-trims": STANDS,
  "POST /flights/flown": ({ body }: Asked) => [201, { id: 9, ...(body as object) }],
};

const KEY = "high-tally.flight.1.new";

describe("noting a flight", () => {
  it("starts from the trims that stand in the transmitter", async () => {
    program(REPLIES);
    show(<FlightEntryPage />);
    expect(await screen.findByLabelText("Roll trim, clicks")).toHaveValue("2");
    expect(screen.getByLabelText("Pitch trim, clicks")).toHaveValue("−3");
  });

  it("sends what was entered, once, with a key of its own", async () => {
    const asked = program(REPLIES);
    show(<FlightEntryPage />);
    await userEvent.click(
      await screen.findByLabelText(words("ui.stepper.oneMore", { label: "Roll trim" })),
    );
    await userEvent.type(screen.getByLabelText("Remarks"), "Calm evening");
    await userEvent.clear(screen.getByLabelText(/Balance point/));
    await userEvent.type(screen.getByLabelText(/Balance point/), "118");
    await choose();
    await userEvent.click(
      screen.getByRole("button", { name: words("flightlog.flightEntryPage.save") }),
    );
    await waitFor(() => expect(asked.some((one) => one.method === "POST")).toBe(true));
    const sent = asked.find((one) => one.method === "POST");
    expect(sent?.body).toMatchObject({
      revisionNumber: 1,
      report: { trims: { roll: 3, pitch: -3, yaw: 0 }, remarks: "Calm evening", cgMm: 118 },
    });
    expect(sent?.headers.get("Idempotency-Key")).toMatch(/^[0-9a-f]{32}$/);
    await waitFor(() => expect(localStorage.getItem(KEY)).toBeNull());
  });

  it("tries again with the same key after an answer that was lost", async () => {
    let times = 0;
    const asked = program({
      ...REPLIES,
      "POST /flights/flown": ({ body }: Asked) =>
        ++times === 1
          ? [503, { detail: "The disk is full." }]
          : [201, { id: 9, ...(body as object) }],
    });
    show(<FlightEntryPage />);
    await userEvent.click(
      await screen.findByLabelText(words("ui.stepper.oneMore", { label: "Roll trim" })),
    );
    await choose();
    const save = screen.getByRole("button", { name: words("flightlog.flightEntryPage.save") });
    await userEvent.click(save);
    expect(await screen.findByText("The disk is full.")).toBeInTheDocument();
    expect(localStorage.getItem(KEY)).not.toBeNull();
    await userEvent.click(save);
    await waitFor(() => expect(times).toBe(2));
    const keys = asked
      .filter((one) => one.method === "POST")
      .map((one) => one.headers.get("Idempotency-Key"));
    expect(keys[0]).toBe(keys[1]);
  });

  it("opens what was kept, and an empty form with a word where that is broken", async () => {
    program(REPLIES);
    localStorage.setItem(KEY, '{"trims":{"roll":7}');
    show(<FlightEntryPage />);
    expect(
      await screen.findByText(like("flightlog.flightEntryPage.unreadable")),
    ).toBeInTheDocument();
    expect(screen.getByLabelText("Roll trim, clicks")).toHaveValue("2");
  });

  it("refuses a day that is none, at its field", async () => {
    program(REPLIES);
    show(<FlightEntryPage />);
    await userEvent.clear(await screen.findByLabelText("Flown on"));
    await userEvent.click(
      screen.getByRole("button", { name: words("flightlog.flightEntryPage.save") }),
    );
    expect(await screen.findByText(/Flown on: a date/)).toBeInTheDocument();
  });

  it("presets neither wind nor air nor how sure, and asks for each", async () => {
    const asked = program(REPLIES);
    show(<FlightEntryPage />);
    await userEvent.click(
      await screen.findByRole("button", { name: words("flightlog.flightEntryPage.save") }),
    );
    expect(
      await screen.findByText(words("flightlog.rows.chooseOne", { label: "Wind" })),
    ).toBeInTheDocument();
    expect(
      screen.getByText(words("flightlog.rows.chooseOne", { label: "Air" })),
    ).toBeInTheDocument();
    expect(screen.getByText(words("flightlog.sureRow.chooseOne"))).toBeInTheDocument();
    expect(asked.every((one) => one.method === "GET")).toBe(true);
  });

  it("is typed in from the card as well", async () => {
    program(REPLIES);
    show(<FlightEntryPage />);
    await userEvent.click(
      await screen.findByRole("tab", { name: words("flightlog.flightEntryPage.fromCard") }),
    );
    expect(
      screen.getByLabelText(words("flightlog.cardTable.transmitterShows")),
    ).toBeInTheDocument();
  });
});
