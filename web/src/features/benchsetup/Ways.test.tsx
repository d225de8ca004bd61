import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { beforeEach, describe, expect, it } from "vitest";
import type { ProbeTold } from "@/api/rig";
import { program, show, type Asked } from "@/test/page";
import { like, words } from "@/test/words";
import { Ways } from "./Ways";

const MOMENT = {
  roll: 0,
  pitch: 1,
  yaw: 0,
  throttle: 0,
  throttleCut: true,
  trims: { roll: 0, pitch: 0, yaw: 0 },
  inputs: [],
  readings: { linkPercent: 100, voltage: 12, timerSeconds: [], truths: [] },
};

const line = (surface: string, way: number) => ({
  surface,
  way,
  told: true,
  words: `${surface} must ${way === 0 ? "stay" : "go up"}`,
  plus: "Went up",
  minus: "Went down",
});

const LOOKING: ProbeTold = {
  stage: "LOOKING",
  words: "Look at the whole model.",
  next: {
    look: {
      id: "stick/pitch",
      kind: "STICK",
      subject: "pitch",
      position: 0,
      unplugged: "",
      phase: "normal",
      rest: MOMENT,
      there: MOMENT,
      back: MOMENT,
      microseconds: 0,
      picture: [],
    },
    title: "Pitch: what moves",
    instruction: "From behind.",
    caution: "",
    lines: [line("elevator", 1), line("rudder", 0)],
  },
  changes: [],
  notes: [],
  open: 3,
};

const MENDING: ProbeTold = {
  stage: "MENDING",
  words: "Not as described yet.",
  next: null,
  changes: [
    { change: { part: "CHANNEL_SIGN", subject: "2", other: "" }, words: "Reverse channel 2." },
  ],
  notes: [],
  open: 0,
};

/** Looks until one was answered, then asks for a change. */
const replies = {
  "POST /api/rig/probe": ({ body }: Asked) =>
    (body as { answers: unknown[] }).answers.length === 0 ? LOOKING : MENDING,
  "POST /api/rig/probe/mended": ({ body }: Asked) => ({
    setup: (body as { setup: unknown }).setup,
    answers: [],
  }),
};

const answers = (asked: Asked[]) =>
  asked.map((one) => (one.body as { answers: { seen: unknown }[] }).answers);

describe("which surface moved", () => {
  beforeEach(() => localStorage.clear());

  it("is one answer where all went as it must", async () => {
    const asked = program(replies);
    show(<Ways onLeave={() => {}} />);
    await userEvent.click(
      await screen.findByRole("button", { name: words("benchsetup.ways.asDrawn") }),
    );
    expect(await screen.findByText("Reverse channel 2.")).toBeVisible();
    expect(answers(asked).at(-1)).toEqual([
      {
        look: "stick/pitch",
        seen: [
          { surface: "elevator", way: 1 },
          { surface: "rudder", way: 0 },
        ],
      },
    ]);
  });

  it("says surface by surface what went otherwise, what moved besides too", async () => {
    const asked = program(replies);
    show(<Ways onLeave={() => {}} />);
    await userEvent.click(await screen.findByText("elevator must go up"));
    await userEvent.click(await screen.findByRole("radio", { name: "Went down" }));
    await userEvent.click(screen.getByText(like("benchsetup.ways.other")));
    await userEvent.click(screen.getByText("rudder must stay"));
    const ups = await screen.findAllByRole("radio", { name: "Went up" });
    await userEvent.click(ups[1] as HTMLElement);
    await userEvent.click(screen.getByRole("button", { name: words("benchsetup.ways.seen") }));
    await screen.findByText("Reverse channel 2.");
    expect(answers(asked).at(-1)?.[0]?.seen).toEqual([
      { surface: "elevator", way: -1 },
      { surface: "rudder", way: 1 },
    ]);
  });

  it("takes the last answer back, keeps the rest over a reload, and looks again once made", async () => {
    const asked = program(replies);
    const { unmount } = show(<Ways onLeave={() => {}} />);
    await userEvent.click(
      await screen.findByRole("button", { name: words("benchsetup.ways.asDrawn") }),
    );
    await screen.findByText("Reverse channel 2.");
    unmount();
    show(<Ways onLeave={() => {}} />);
    expect(await screen.findByText("Reverse channel 2.")).toBeVisible();
    await userEvent.click(screen.getByRole("button", { name: words("benchsetup.ways.back") }));
    await userEvent.click(
      await screen.findByRole("button", { name: words("benchsetup.ways.asDrawn") }),
    );
    await userEvent.click(
      await screen.findByRole("button", { name: words("benchsetup.ways.done") }),
    );
    await waitFor(() =>
      expect(asked.some((one) => one.path.endsWith("/api/rig/probe/mended"))).toBe(true),
    );
    expect(await screen.findByText("Pitch: what moves")).toBeVisible();
  });
});
