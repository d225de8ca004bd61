import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import type { Outcome } from "@/api/program";
import { answers, program, show } from "@/test/page";
import { words } from "@/test/words";
import { HazardsPage } from "./HazardsPage";

const outcome = (part: Partial<Outcome> = {}): Outcome => ({
  hazards: [],
  states: 12,
  evaluated: 40,
  sampled: 0,
  work: 900,
  motorWork: 60,
  ending: "WHOLE",
  ...part,
});

const search = (state: object) =>
  program({
    "POST /searches": { id: 7, part: 0, end: null, outcome: null },
    "GET /searches/7": { id: 7, part: 1, ...state },
    "DELETE /searches/7": { id: 7, part: 0.5, end: null, outcome: null },
    "POST /api/program/sheet": answers.program,
  });

describe("what every switch can do", () => {
  it("is called proven only where everything was looked at", async () => {
    search({ end: "WHOLE", outcome: outcome() });
    show(<HazardsPage />);
    expect(await screen.findByText(words("program.hazardsPage.none"))).toBeInTheDocument();
    expect(screen.getByText(/All 12 switch combinations/)).toBeInTheDocument();
  });

  it("says what it tried where it could not prove, with its count", async () => {
    search({ end: "WHOLE", outcome: outcome({ sampled: 3, evaluated: 1200 }) });
    show(<HazardsPage />);
    expect(await screen.findByText(/For 3 of them this could not be proven/)).toHaveTextContent(
      "1 200 positions",
    );
  });

  it.each([
    ["TOO_LARGE", /Too much depends on too many switches/],
    ["LEFT_ALONE", /this page was closed/],
    ["STOPPED", /Stopped early/],
    ["FAILED", /because of a fault in High Tally/],
  ])("says how it ended: %s", async (end, sentence) => {
    search({ end, outcome: end === "FAILED" ? null : outcome({ ending: "STOPPED" }) });
    show(<HazardsPage />);
    expect(await screen.findByText(sentence)).toBeInTheDocument();
    expect(screen.queryByText(words("program.hazardsPage.none"))).not.toBeInTheDocument();
  });

  it("shows each hazard with why it matters and the way there", async () => {
    search({
      end: "WHOLE",
      outcome: outcome({
        hazards: [
          {
            kind: "MOTOR_STARTS",
            subject: "switch",
            words: "The switch takes the motor from 0 % to 100 %.",
            why: "Nobody expects it.",
            way: ["switch at position 2", "then switch back"],
            moments: [],
            showing: { leadIn: [], seconds: 1.2, linkLost: false },
            size: 100,
            mends: [],
            acceptedBecause: "",
          },
        ],
      }),
    });
    show(<HazardsPage />);
    expect(await screen.findByText("1 hazard.")).toBeInTheDocument();
    expect(screen.getByText("switch at position 2 · then switch back")).toBeInTheDocument();
  });

  it("is stopped when told to", async () => {
    const asked = search({ end: null, outcome: null });
    show(<HazardsPage />);
    await userEvent.click(
      await screen.findByRole("button", { name: words("program.hazardsPage.stop") }),
    );
    await waitFor(() => expect(asked.some((one) => one.method === "DELETE")).toBe(true));
  });
});
