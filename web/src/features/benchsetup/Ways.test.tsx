import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import type { ProbeTold, WaysStanding } from "@/api/rig";
import { program, show, type Asked } from "@/test/page";
import { like, words } from "@/test/words";
import { useOpenSetUp } from "@/api/rig";
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

const standing = (seen: number, told: ProbeTold): WaysStanding => ({
  version: 4 + seen,
  revision: 1,
  seen,
  changed: false,
  told,
});

/** Looks until one was answered, then asks for a change. */
function replies(): Parameters<typeof program>[0] {
  let now = standing(0, LOOKING);
  const next = (one: WaysStanding) => () => (now = one);
  return {
    "GET /bench-set-up/ways": () => now,
    "GET /bench-set-up": () => now,
    "PUT /bench-set-up/ways": next(standing(1, MENDING)),
    "POST /bench-set-up/ways/back": next(standing(0, LOOKING)),
    "POST /bench-set-up/ways/again": next(standing(0, LOOKING)),
    "POST /bench-set-up/ways/mended": next(standing(0, LOOKING)),
  };
}

/** The step as the set-up shows it: with the version that was answered last. */
function Looking() {
  const open = useOpenSetUp(1);
  return open.data == null ? null : (
    <Ways how="" version={open.data.version} onConflict={() => void open.refetch()} />
  );
}

const sent = (asked: Asked[], method: string, path: string) =>
  asked.filter((one) => one.method === method && one.path.endsWith(path)).map((one) => one.body);

const asDrawn = () => screen.findByRole("button", { name: words("benchsetup.ways.asDrawn") });

describe("which surface moved", () => {
  it("is one answer where all went as it must", async () => {
    const asked = program(replies());
    show(<Looking />);
    await userEvent.click(await asDrawn());
    expect(await screen.findByText("Reverse channel 2.")).toBeVisible();
    expect(sent(asked, "PUT", "/ways")).toEqual([
      {
        version: 4,
        answer: {
          look: "stick/pitch",
          seen: [
            { surface: "elevator", way: 1 },
            { surface: "rudder", way: 0 },
          ],
        },
      },
    ]);
  });

  it("says surface by surface what went otherwise, what moved besides too", async () => {
    const asked = program(replies());
    show(<Looking />);
    await userEvent.click(await screen.findByText("elevator must go up"));
    await userEvent.click(await screen.findByRole("radio", { name: "Went down" }));
    await userEvent.click(screen.getByText(like("benchsetup.ways.other")));
    await userEvent.click(screen.getByText("rudder must stay"));
    const ups = await screen.findAllByRole("radio", { name: "Went up" });
    await userEvent.click(ups[1] as HTMLElement);
    await userEvent.click(screen.getByRole("button", { name: words("benchsetup.ways.seen") }));
    await screen.findByText("Reverse channel 2.");
    expect(sent(asked, "PUT", "/ways")).toMatchObject([
      {
        answer: {
          seen: [
            { surface: "elevator", way: -1 },
            { surface: "rudder", way: 1 },
          ],
        },
      },
    ]);
  });

  it("takes the last answer back, and looks again once a change was made", async () => {
    const asked = program(replies());
    show(<Looking />);
    const back = await screen.findByRole("button", { name: words("benchsetup.ways.back") });
    expect(back, "nothing yet").toBeDisabled();
    await userEvent.click(await asDrawn());
    await screen.findByText("Reverse channel 2.");
    await userEvent.click(back);
    const answer = await asDrawn();
    expect(sent(asked, "POST", "/back")).toEqual([{ version: 5 }]);
    await userEvent.click(answer);
    await userEvent.click(
      await screen.findByRole("button", { name: words("benchsetup.ways.done") }),
    );
    expect(await screen.findByText("Pitch: what moves")).toBeVisible();
    expect(sent(asked, "POST", "/mended")).toEqual([{ version: 5, basedOn: 1 }]);
  });

  it("is answered with one key after the other", async () => {
    const again: ProbeTold = {
      ...LOOKING,
      next: { ...(LOOKING.next as NonNullable<ProbeTold["next"]>), title: "Roll: what moves" },
    };
    const asked = program({
      "GET /bench-set-up/ways": standing(1, LOOKING),
      "GET /bench-set-up": standing(1, LOOKING),
      "PUT /bench-set-up/ways": standing(2, again),
    });
    show(<Looking />);
    await waitFor(async () => expect(await asDrawn()).toHaveFocus());
    expect(await asDrawn()).toHaveAccessibleDescription(/Pitch: what moves.*From behind/);
    await userEvent.keyboard("{Enter}");
    await waitFor(() => expect(sent(asked, "PUT", "/ways")).toHaveLength(1));
  });

  it("shows where another page went on, and keeps what was picked", async () => {
    let now = standing(0, LOOKING);
    const asked = program({
      "GET /bench-set-up/ways": () => now,
      "GET /bench-set-up": () => now,
      "PUT /bench-set-up/ways": () => {
        now = { ...now, version: 9 };
        return [409, { detail: "This set-up has moved on." }];
      },
    });
    show(<Looking />);
    await userEvent.click(await screen.findByText("elevator must go up"));
    await userEvent.click(await screen.findByRole("radio", { name: "Went down" }));
    const seen = screen.getByRole("button", { name: words("benchsetup.ways.seen") });
    await userEvent.click(seen);
    expect(await screen.findByText("This set-up has moved on.")).toBeInTheDocument();
    expect(screen.getByRole("radio", { name: "Went down" })).toBeChecked();
    await userEvent.click(seen);
    await waitFor(() => expect(sent(asked, "PUT", "/ways").at(-1)).toMatchObject({ version: 9 }));
  });

  it("makes no revision beside a draft, and says why", async () => {
    program({
      "GET /bench-set-up/ways": standing(3, MENDING),
      "GET /bench-set-up": standing(3, MENDING),
    });
    show(<Looking />, { changed: true });
    const done = await screen.findByRole("button", { name: words("benchsetup.ways.done") });
    expect(done).toBeDisabled();
    expect(done).toHaveAccessibleDescription(words("benchsetup.ways.unsaved"));
  });
});
