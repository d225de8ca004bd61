import { screen } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import type { TestResult } from "@/api/fly";
import type { SchoolSheet } from "@/api/school";
import { rowsOf, show, told } from "@/test/page";
import { say } from "@/words/generated/school";
import { ReportCard } from "./ReportCard";

type Report = NonNullable<SchoolSheet["report"]>;

const outcome = (name: TestResult["seen"][number]["outcome"]) => ({
  outcome: name,
  excludes: name,
  words: `words of ${name}`,
  computed: true,
});
const test = (
  name: TestResult["test"],
  part: string,
  ...outcomes: ReturnType<typeof outcome>[]
) => ({
  test: { test: name, part },
  card: { outcomes },
});
/** Two parts of one test call the same outcome by the words of their own card. */
const sheet = {
  tests: [
    test("DIVE", "", outcome("PULLS_OUT"), outcome("TUCKS")),
    test("KNIFE_EDGE", "first", outcome("TO_CANOPY"), outcome("ROLLS_WITH_RUDDER")),
  ],
} as unknown as SchoolSheet;

const dive = (name: TestResult["seen"][number]["outcome"], strength: number): TestResult => ({
  test: "DIVE",
  part: "",
  seen: [{ outcome: name, strength, turn: "BOTH" }],
});
const knife: TestResult = {
  test: "KNIFE_EDGE",
  part: "first",
  seen: [
    { outcome: "TO_CANOPY", strength: 2, turn: "LEFT" },
    { outcome: "ROLLS_WITH_RUDDER", strength: 3, turn: "LEFT" },
  ],
};

const report: Report = {
  faults: ["The balance is 9 mm aft.", "Down thrust is missing."],
  before: 12,
  after: 7,
  found: true,
  words: "Both found.",
  told: [
    {
      flight: 1,
      test: "The dive",
      truth: dive("TUCKS", 1),
      seen: dive("PULLS_OUT", 3),
      right: false,
    },
    { flight: 2, test: "Knife edge", truth: knife, seen: knife, right: true },
    {
      flight: 3,
      test: "The dive",
      truth: { ...dive("TUCKS", 1), seen: [] },
      seen: null,
      right: false,
    },
  ],
  coach: [
    {
      flight: 4,
      test: "The dive",
      seen: dive("TUCKS", 2),
      advice: { words: "Move the pack." } as unknown as Report["coach"][number]["advice"],
    },
    { flight: 5, test: "The dive", seen: { ...dive("TUCKS", 1), seen: [] }, advice: null },
  ],
  coachFlights: 6,
  coachAfter: 2,
};

const STRENGTH = [
  "",
  say("reportCard.slight"),
  say("reportCard.clear"),
  say("reportCard.strong"),
] as const;

const seen = (result: TestResult | null) =>
  result === null
    ? say("reportCard.nothingSaid")
    : result.seen.map((one) => `words of ${one.outcome}, ${STRENGTH[one.strength]}`).join("; ") ||
      say("reportCard.asItShouldBe");

describe("the end of a practice", () => {
  it("has of every flight what it showed, what was said of it, and whether that was right", () => {
    vi.stubGlobal("scrollTo", () => {});
    show(<ReportCard sheet={sheet} report={report} />);
    const [head, ...rows] = rowsOf(screen.getByRole("table"));
    expect(head).toEqual([
      say("reportCard.flight"),
      say("reportCard.itShowed"),
      say("reportCard.youSaid"),
    ]);
    expect(rows).toEqual(
      report.told.map((one) => [
        `${one.flight} ${one.test}`,
        seen(one.truth),
        seen(one.seen) + (one.right ? " ✓" : ""),
      ]),
    );
  });

  it("has what was hidden, how far off it was and is, and the coach's own flights", () => {
    vi.stubGlobal("scrollTo", () => {});
    show(<ReportCard sheet={sheet} report={report} />);
    const [faults, coach] = screen.getAllByRole("list");
    expect([...(faults?.children ?? [])].map(told)).toEqual(report.faults);
    const { before, after, coachAfter, coachFlights } = report;
    expect(
      screen.getByText(say("reportCard.howFarOff", { before, after, coachAfter, coachFlights })),
    ).toBeInTheDocument();
    expect([...(coach?.children ?? [])].map(told)).toEqual(
      report.coach.map((one) =>
        [
          `${say("reportCard.flightNumber", { flight: one.flight })} ${one.test}, ${seen(one.seen)}.`,
          one.advice?.words ?? "",
        ]
          .join(" ")
          .trim(),
      ),
    );
  });
});
