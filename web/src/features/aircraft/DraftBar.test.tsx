import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import type { Setup } from "@/api/queries";
import { keepDraft, type Draft } from "@/domain/draft";
import { DraftNumber } from "@/features/model/fields";
import { answers, program, show } from "@/test/page";
import { like, words } from "@/test/words";
import { DraftBar } from "./DraftBar";

const CHORD = ["surfaces", 0, "chordMm"] as const;
const FIELDS = { "GET /api/fields": answers.fields };

function Page() {
  return (
    <>
      <DraftBar broken={false} />
      <DraftNumber path={CHORD} />
    </>
  );
}

async function typeChord(text: string) {
  const field = await screen.findByLabelText(/behind the hinge|chord/i);
  await userEvent.clear(field);
  await userEvent.type(field, text);
  await userEvent.tab();
  return field;
}

describe("the bar of unsaved changes", () => {
  it("counts what was typed as one change and takes it back with one undo", async () => {
    program(FIELDS);
    show(<Page />);
    const field = await typeChord("45");
    expect(screen.getByText(words("aircraft.draftBar.unsaved", { past: 1 }))).toBeInTheDocument();
    await userEvent.click(screen.getByRole("button", { name: like("aircraft.draftBar.undo") }));
    expect(field).toHaveValue(String(answers.setup.surfaces[0]?.chordMm));
    expect(screen.getByRole("button", { name: like("aircraft.draftBar.undo") })).toBeDisabled();
    await userEvent.click(screen.getByRole("button", { name: like("aircraft.draftBar.redo") }));
    expect(field).toHaveValue("45");
  });

  it("saves with its reason on the revision it was made on, and puts the focus on what came of it", async () => {
    const asked = program({
      ...FIELDS,
      "POST /revisions": ({ body }: { body: unknown }) => [
        201,
        { number: 2, setup: (body as { setup: Setup }).setup },
      ],
    });
    show(<Page />);
    await typeChord("45");
    await userEvent.type(
      screen.getByLabelText(words("aircraft.draftBar.reason")),
      " measured again ",
    );
    await userEvent.click(
      screen.getByRole("button", { name: words("aircraft.draftBar.save", { number: 2 }) }),
    );
    const said = await screen.findByText(words("aircraft.draftBar.saved", { saved: 2 }));
    expect(said).toHaveFocus();
    const sent = asked.find((one) => one.method === "POST")?.body as Draft & { reason: string };
    expect(sent).toMatchObject({ basedOn: 1, reason: "measured again" });
    expect(screen.queryByText(like("aircraft.draftBar.unsaved"))).not.toBeInTheDocument();
  });

  it("keeps what is typed while a save is on its way, and leaves the focus where it is", async () => {
    let answer: (reply: unknown) => void = () => undefined;
    const drafts: Draft[] = [];
    const asked = program({
      ...FIELDS,
      "POST /revisions": () => new Promise((resolve) => (answer = resolve)),
    });
    show(<Page />, { onDraft: (draft) => drafts.push(draft) });
    await typeChord("45");
    await userEvent.type(
      screen.getByLabelText(words("aircraft.draftBar.reason")),
      "measured again",
    );
    await userEvent.click(
      screen.getByRole("button", { name: words("aircraft.draftBar.save", { number: 2 }) }),
    );
    const field = await typeChord("46");
    await userEvent.click(field);
    const { setup } = asked.find((one) => one.method === "POST")?.body as { setup: Setup };
    answer([201, { number: 2, setup }]);
    expect(
      await screen.findByText(words("aircraft.draftBar.unsaved", { past: 1 })),
    ).toBeInTheDocument();
    expect(field).toHaveValue("46");
    expect(field).toHaveFocus();
    expect(setup.surfaces[0]?.chordMm).toBe(45);
    expect(drafts.at(-1)).toMatchObject({ basedOn: 2, past: [setup] });
    expect(screen.getByLabelText(words("aircraft.draftBar.reason"))).toHaveValue("");
  });

  it("keeps everything when the save is refused, and says why", async () => {
    program({
      ...FIELDS,
      "POST /revisions": [409, { detail: "Revision 2 has been saved since." }],
    });
    show(<Page />);
    await typeChord("45");
    await userEvent.type(
      screen.getByLabelText(words("aircraft.draftBar.reason")),
      "measured again",
    );
    await userEvent.click(
      screen.getByRole("button", { name: words("aircraft.draftBar.save", { number: 2 }) }),
    );
    expect(await screen.findByText("Revision 2 has been saved since.")).toBeInTheDocument();
    expect(screen.getByText(words("aircraft.draftBar.unsaved", { past: 1 }))).toBeInTheDocument();
    expect(screen.getByLabelText(words("aircraft.draftBar.reason"))).toHaveValue("measured again");
  });

  it("says what a save elsewhere means, and lets the pilot keep or drop what is his", async () => {
    program({ ...FIELDS, "POST /difference": { values: [], movements: [] } });
    const newest = { ...answers.standing.newest, number: 3 };
    const drafts: Draft[] = [];
    const on: Draft[] = [];
    show(
      <>
        <DraftBar broken={false} />
        <DraftNumber path={CHORD} />
      </>,
      { standing: { ...answers.standing, newest }, onDraft: (draft) => drafts.push(draft) },
    );
    await typeChord("45");
    on.push(drafts.at(-1) as Draft);
    expect(
      screen.getByRole("button", { name: words("aircraft.draftBar.save", { number: 4 }) }),
    ).toBeInTheDocument();
    expect(on[0]?.basedOn).toBe(3);
  });

  it("tells what this browser could not keep", async () => {
    program(FIELDS);
    show(<Page />);
    await typeChord("45");
    vi.spyOn(Storage.prototype, "setItem").mockImplementation(() => {
      throw new DOMException("full", "QuotaExceededError");
    });
    keepDraft(1, { basedOn: 1, present: answers.setup, past: [answers.setup], future: [] });
    await waitFor(() =>
      expect(screen.getByText(like("aircraft.draftBar.storageNone"))).toBeInTheDocument(),
    );
    vi.restoreAllMocks();
    keepDraft(1, { basedOn: 1, present: answers.setup, past: [answers.setup], future: [] });
    await waitFor(() =>
      expect(screen.queryByText(like("aircraft.draftBar.storageNone"))).not.toBeInTheDocument(),
    );
  });

  it("tells when what was kept cannot be read", () => {
    program(FIELDS);
    show(<DraftBar broken />);
    expect(screen.getByText(like("aircraft.draftBar.unreadable"))).toBeInTheDocument();
  });
});
