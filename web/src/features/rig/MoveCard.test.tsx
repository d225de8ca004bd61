import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import type { Draft } from "@/domain/draft";
import { useModel } from "@/features/model/model";
import { answers, program, show } from "@/test/page";
import { like, words } from "@/test/words";
import { MoveCard } from "./MoveCard";

function Elsewhere() {
  const { change } = useModel();
  return (
    <button onClick={() => change({ type: "edit", path: ["notes"], value: "meanwhile" })}>
      Type elsewhere
    </button>
  );
}

describe("a model on another transmitter", () => {
  it("is taken over as it was shown, and not over what was typed since", async () => {
    const drafts: Draft[] = [];
    program({
      "GET /api/fields": answers.fields,
      "POST /rig/map/move": {
        setup: { ...answers.setup, name: "Moved" },
        lines: [],
        largestMm: 0,
        notes: [],
      },
    });
    show(
      <>
        <MoveCard />
        <Elsewhere />
      </>,
      { onDraft: (draft) => drafts.push(draft) },
    );
    await userEvent.click(screen.getByRole("button", { name: words("rig.moveCard.title") }));
    const ask = () =>
      userEvent.click(screen.getByRole("button", { name: like("rig.moveCard.showBoth") }));
    await ask();
    expect(
      await screen.findByRole("button", { name: words("rig.moveCard.use") }),
    ).toBeInTheDocument();
    await userEvent.click(screen.getByRole("button", { name: "Type elsewhere" }));
    expect(
      screen.queryByRole("button", { name: words("rig.moveCard.use") }),
    ).not.toBeInTheDocument();
    expect(screen.getByText(like("ui.message.outdated"))).toBeInTheDocument();
    await ask();
    await userEvent.click(await screen.findByRole("button", { name: words("rig.moveCard.use") }));
    expect(drafts.at(-1)?.present.name).toBe("Moved");
  });
});
