import { screen, within, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import type { Draft } from "@/domain/draft";
import { length } from "@/domain/reader";
import { signed, travelWords } from "@/domain/words";
import { answers, benchAt, program, show, type Asked } from "@/test/page";
import { words } from "@/test/words";
import { CurvePlot } from "./CurvePlot";
import { FindingsCard } from "./FindingsCard";
import { PhaseNote } from "./PhaseNote";
import type { Finding } from "./store";
import { TallyPanel } from "./TallyPanel";

const FINDING: Finding = {
  rule: "large-sub-trim",
  severity: "GROUNDS",
  surface: "elevator",
  title: "Sub-trim of 90 µs",
  why: "Travel is no longer equal both ways.",
  measured: 90,
  limit: 40,
  unit: "MICROSECONDS",
  mends: [],
  acceptedBecause: "",
};

const EDITS = [{ figure: "SUB_TRIM", subject: "2", value: 0 }];

/** One mend that was tried, and what then moves elsewhere. */
const OFFERS = [
  {
    id: "large-sub-trim",
    subject: "elevator",
    mends: [
      {
        words: ["Sub-trim to zero", "Level the rod"],
        edits: EDITS,
        moves: [
          {
            surface: "Elevator",
            phase: "Cruise",
            where: "pitch full plus",
            beforeMm: 10.2,
            afterMm: 12.4,
          },
        ],
      },
    ],
    hand: "",
  },
];

describe("the tally", () => {
  it("has one row a contribution, in order, that sum to where the surface stands", () => {
    show(<TallyPanel />);
    const { tally } = answers.moment.frame;
    const surface = answers.setup.surfaces.find((one) => one.id === tally.surface);
    const rows = within(screen.getByRole("table")).getAllByRole("row");
    expect(rows).toHaveLength(tally.lines.length + 2);
    const shown = rows.slice(1, -1).map((row) => row.textContent);
    tally.lines.forEach((line, i) => {
      expect(shown[i]).toContain(line.label);
      expect(shown[i]).toContain(signed(line.mm, 2));
    });
    const total = tally.lines.reduce((sum, line) => sum + line.mm, 0);
    expect(total).toBeCloseTo(tally.mm, 6);
    expect(rows.at(-1)).toHaveTextContent(signed(tally.mm, 2));
    expect(surface).toBeDefined();
    expect(screen.getByRole("heading")).toHaveTextContent(travelWords(tally.mm, surface ?? false));
  });

  it("is not there before there is something to tally", () => {
    const bench = benchAt();
    (bench as unknown as { change: (state: object) => void }).change({ frame: undefined });
    show(<TallyPanel />, { bench });
    expect(screen.queryByRole("table")).not.toBeInTheDocument();
  });
});

describe("findings", () => {
  it("say so where there is none", () => {
    show(<FindingsCard />, { bench: benchAt({ findings: [] }) });
    expect(screen.getByText(words("bench.findingsCard.nothingFound"))).toBeInTheDocument();
  });

  it("are named, explained, and mended with one click that one undo takes back", async () => {
    const drafts: Draft[] = [];
    program({
      "POST /api/program/mends": OFFERS,
      "POST /api/edits/mend": ({ body }: Asked) => {
        const { setup, edits } = body as { setup: object; edits: unknown };
        expect(edits).toEqual(EDITS);
        return { setup: { ...setup, name: "Mended" }, changed: [], notes: [] };
      },
    });
    show(<FindingsCard />, {
      bench: benchAt({ findings: [FINDING] }),
      onDraft: (draft) => drafts.push(draft),
    });
    expect(screen.getByText(words("bench.findingsCard.beforeItFlies"))).toBeInTheDocument();
    await userEvent.click(
      screen.getByRole("button", { name: words("bench.findingsCard.whyMatters") }),
    );
    expect(screen.getByText("Travel is no longer equal both ways.")).toBeVisible();
    // All its changes are made at once, and what else moves is told in millimetres.
    const mend = await screen.findByRole("button", { name: "Sub-trim to zero · Level the rod" });
    await userEvent.click(
      screen.getByRole("button", { name: words("model.triedMend.movesDifferently") }),
    );
    expect(screen.getByText("+12.4 mm")).toBeVisible();
    await userEvent.click(mend);
    await waitFor(() => expect(drafts.at(-1)?.present.name).toBe("Mended"));
    expect(drafts.at(-1)?.past).toHaveLength(1);
  });

  it("say what to do at the model where no change of figures mends them", async () => {
    program({
      "POST /api/program/mends": [
        { id: "large-sub-trim", subject: "elevator", mends: [], hand: "Remove the arm." },
      ],
    });
    show(<FindingsCard />, { bench: benchAt({ findings: [FINDING] }) });
    expect(await screen.findByText("Remove the arm.")).toBeInTheDocument();
    expect(screen.queryByText(words("bench.mendsOf.trying"))).not.toBeInTheDocument();
  });

  it("choose the surface they are about", async () => {
    const bench = benchAt({ findings: [FINDING] });
    show(<FindingsCard />, { bench });
    await userEvent.click(screen.getByRole("button", { name: /Sub-trim of 90/ }));
    expect(bench.read().selected).toBe("elevator");
  });

  it("can be lived with, with a reason, and opened again", async () => {
    const drafts: Draft[] = [];
    const accepted = {
      ...FINDING,
      rule: "small-endpoint",
      acceptedBecause: "as the maker wants it",
    };
    show(<FindingsCard />, {
      bench: benchAt({ findings: [FINDING, accepted] }),
      onDraft: (draft) => drafts.push(draft),
    });
    await userEvent.click(screen.getByRole("button", { name: words("bench.accepting.title") }));
    await userEvent.type(
      screen.getByLabelText(words("bench.accepting.reasonAsked", { what: "finding" })),
      "only for today",
    );
    await userEvent.click(screen.getByRole("button", { name: words("bench.accepting.accept") }));
    expect(drafts.at(-1)?.present.notebook.accepted.at(-1)).toEqual({
      rule: "large-sub-trim",
      subject: "elevator",
      reason: "only for today",
    });
    expect(screen.getByText(/as the maker wants it/)).toBeInTheDocument();
    await userEvent.click(screen.getByRole("button", { name: words("bench.accepting.reopen") }));
    expect(drafts.at(-1)?.present.notebook.accepted.map((one) => one.rule)).not.toContain(
      "small-endpoint",
    );
  });
});

describe("what stands beside the sticks", () => {
  it("warns of what was demanded at switch-on", () => {
    program({ "POST /api/program/sheet": answers.program });
    const bench = benchAt();
    const frame = answers.moment.frame;
    (bench as unknown as { change: (state: object) => void }).change({
      frame: { ...frame, bench: { ...frame.bench, warnings: ["Close the throttle."] } },
    });
    show(<PhaseNote />, { bench });
    expect(screen.getByRole("alert")).toHaveTextContent("Close the throttle.");
  });

  it("draws a response with a dot where the stick is", () => {
    const one = answers.moment.sheets[0]?.controls[0];
    expect(one).toBeDefined();
    if (one !== undefined) {
      const { container } = show(<CurvePlot one={one} way={false} />);
      expect(screen.getByRole("img")).toHaveAccessibleName(
        `Response: ${length(one.minusMm, 1)} at full minus stick, ${length(one.plusMm, 1)} at full plus stick`,
      );
      expect(container.querySelector("[data-now]")).toBeInTheDocument();
    }
  });
});
