import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import type { OutputRow } from "@/api/program";
import { answers, program, show, type Asked } from "@/test/page";
import { words } from "@/test/words";
import { OutputCard } from "./OutputCard";

const [left, right] = ["aileron-left", "aileron-right"].map((end) =>
  answers.setup.surfaces.find(({ id }) => id.endsWith(end)),
) as unknown as [{ id: string; name: string }, { id: string; name: string }];

const channelOf = (surface: string) =>
  answers.setup.channels.find(({ carries }) => carries === surface)?.number ?? 0;

const row = (of: { id: string; name: string }, from: number): OutputRow =>
  ({
    surface: of.id,
    name: of.name,
    channel: channelOf(of.id),
    highIsPlus: true,
    plusEndpoint: from + 1,
    minusEndpoint: from + 2,
    plusLimit: from + 3,
    minusLimit: from + 4,
    subTrimMicroseconds: from + 5,
    subTrimPlus: true,
    channelSubTrim: from + 5,
    shares: [],
  }) as unknown as OutputRow;

const ROWS = [row(left, 90), row(right, 70)];

function shown(alike: boolean): Asked[] {
  const asked = program({
    "POST /program/outputs": { rows: ROWS, alike },
    "POST /edits/outputs": [422, { detail: "Not here" }],
  });
  show(<OutputCard surface={left.id} />);
  return asked;
}

const typed = (asked: Asked[]) =>
  asked
    .filter(({ path }) => path.endsWith("/edits/outputs"))
    .map(({ body }) => {
      const wish = body as Record<string, unknown>;
      return [wish.surface, wish.figure, wish.plus, wish.value, wish.pair];
    });

describe("the output stage of a pair", () => {
  it("is typed once where both sides are alike, and for both", async () => {
    const asked = shown(true);
    const chain = await screen.findByRole("button", {
      name: words("aircraft.outputCard.together"),
    });
    expect(chain).toBeEnabled();
    expect(chain).toHaveAttribute("aria-pressed", "false");
    const ends = screen.getAllByRole("textbox").filter((one) => one.getAttribute("value") === "91");
    expect(ends).toHaveLength(1);
    expect(screen.queryByDisplayValue("71")).toBeNull();
    const first = ends[0] as HTMLElement;
    await userEvent.clear(first);
    await userEvent.type(first, "95{Enter}");
    expect(typed(asked)).toEqual([[left.id, "ENDPOINT", true, 95, true]]);
    await userEvent.click(chain);
    expect(
      screen.getByRole("button", { name: words("aircraft.outputCard.separately") }),
    ).toHaveAttribute("aria-pressed", "true");
    const other = screen.getByDisplayValue("72");
    await userEvent.clear(other);
    await userEvent.type(other, "60{Enter}");
    expect(typed(asked).at(-1)).toEqual([right.id, "ENDPOINT", false, 60, false]);
  });

  it("stays two where the sides differ, each with its own figures", async () => {
    const asked = shown(false);
    const chain = await screen.findByRole("button", {
      name: words("aircraft.outputCard.separately"),
    });
    expect(chain).toBeDisabled();
    for (const [from, of] of [
      [90, left],
      [70, right],
    ] as const) {
      for (const more of [1, 2, 3, 4]) {
        const field = screen.getByDisplayValue(String(from + more));
        expect(field).toHaveAccessibleName(expect.stringContaining(of.name));
      }
    }
    const limit = screen.getByDisplayValue("74");
    await userEvent.clear(limit);
    await userEvent.type(limit, "50{Enter}");
    expect(typed(asked)).toEqual([[right.id, "LIMIT", false, 50, false]]);
  });
});
