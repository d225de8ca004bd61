import { screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { day } from "@/domain/words";
import { program, show, told } from "@/test/page";
import { words } from "@/test/words";
import { LESSONS } from "./lessons";
import { SchoolPage } from "./SchoolPage";

const lessons = [
  { lesson: "SPORT" as const, next: 1, steps: 3, done: false },
  { lesson: "GLIDER" as const, next: 2, steps: 4, done: false },
  { lesson: "WING" as const, next: 5, steps: 5, done: true },
];
const run = (id: number, part: object) => ({
  id,
  lesson: null,
  step: 0,
  name: `Model ${id}`,
  flights: id,
  createdAt: `2026-0${id}-04T10:00:00Z`,
  endedAt: null,
  passed: false,
  ...part,
});
const runs = [
  run(3, { lesson: "WING", step: 4 }),
  run(4, { endedAt: "2026-04-05T10:00:00Z", passed: true }),
  run(5, { endedAt: "2026-05-05T10:00:00Z" }),
];
const became = ["schoolPage.open", "schoolPage.found", "schoolPage.notFound"];

const shown = async () => {
  const asked = program({
    "GET /school": { lessons, runs },
    "GET /api/aircraft": { items: [], total: 0 },
    "POST /lessons": [201, { id: 8 }],
  });
  show(<SchoolPage />);
  await screen.findByText(LESSONS.SPORT[0]);
  return asked;
};
const cardOf = (lesson: keyof typeof LESSONS) =>
  screen.getByRole("heading", { name: LESSONS[lesson][0] }).closest("section") as HTMLElement;

describe("the school", () => {
  it("has of each lesson what it teaches, where the pilot is in it, and its own beginning", async () => {
    const asked = await shown();
    for (const { lesson, next, steps, done } of lessons) {
      const [name, learns] = LESSONS[lesson];
      const card = cardOf(lesson);
      expect(told(card)).toContain(learns);
      expect(told(card)).toContain(
        done
          ? words("school.schoolPage.lessonDone")
          : words("school.schoolPage.stepOf", { next, steps }),
      );
      expect(told(within(card).getByRole("button"))).toBe(
        next === 1
          ? words("school.schoolPage.begin", { name })
          : words("school.schoolPage.step", { next, name }),
      );
      const marks = [...(card.querySelector("[aria-hidden]")?.children ?? [])];
      expect(marks).toHaveLength(steps);
      expect(marks.filter((one) => one.className.includes("bg-done"))).toHaveLength(
        done ? steps : next - 1,
      );
    }
    await userEvent.click(within(cardOf("GLIDER")).getByRole("button"));
    await waitFor(() => expect(asked.some((one) => one.method === "POST")).toBe(true));
    expect(asked.find((one) => one.method === "POST")?.body).toMatchObject({ lesson: "GLIDER" });
  });

  it("has of each practice its model or lesson, day, flights and what became of it", async () => {
    await shown();
    const lines = screen.getAllByRole("listitem");
    expect(lines).toHaveLength(runs.length);
    runs.forEach((one, i) => {
      const line = lines[i] as HTMLElement;
      const name =
        one.lesson === null
          ? one.name
          : words("school.schoolPage.lessonStep", { lesson: LESSONS.WING[0], step: one.step });
      const link = within(line).getByRole("link", { name });
      expect(link).toHaveAttribute("href", `/school/${one.id}`);
      expect(told(line)).toContain(
        words("school.schoolPage.practice", {
          day: day(one.createdAt),
          flights: one.flights,
          became: words(`school.${became[i]}`),
        }),
      );
    });
  });

  it("says where it could not be read", async () => {
    program({ "GET /school": [503, { detail: "Not now." }] });
    show(<SchoolPage />);
    expect(await screen.findByText("Not now.")).toBeInTheDocument();
  });
});
