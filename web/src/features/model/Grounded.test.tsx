import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { program, show } from "@/test/page";
import { like, words } from "@/test/words";
import { CheckVerdict, Grounded, GroundedMark } from "./Grounded";

const CLEAR = {
  verdict: "CLEAR" as const,
  reasons: [],
  missing: [],
  searched: 1,
  because: "",
};
const NOT_YET = {
  ...CLEAR,
  verdict: "NOT_YET" as const,
  missing: [
    { lack: "NOT_MEASURED" as const, words: "Nothing was measured on the model yet." },
    { lack: "FULL_CHECK" as const, words: "Full check: never done on this model." },
  ],
};
const SEARCHING = {
  ...CLEAR,
  verdict: "NOT_YET" as const,
  missing: [{ lack: "SEARCHING" as const, words: "The switches are still being checked." }],
  searched: 0.4,
};
const FOUND = {
  ...CLEAR,
  verdict: "GROUNDED" as const,
  reasons: [
    {
      kind: "FINDING" as const,
      id: "servo-at-stop",
      subject: "rudder",
      words: "Servo at its stop",
    },
    { kind: "HAZARD" as const, id: "CANNOT_STOP", subject: "base", words: "Motor runs at rest" },
  ],
};

describe("what grounds a model", () => {
  it("is shown with the way to where it is mended", () => {
    show(<Grounded model={3} grounding={FOUND} />);
    expect(screen.getByRole("note")).toHaveTextContent("Fix this before you fly");
    expect(screen.getByRole("link", { name: "Servo at its stop" })).toHaveAttribute(
      "href",
      "/models/3/rig",
    );
    expect(screen.getByRole("link", { name: "Motor runs at rest" })).toHaveAttribute(
      "href",
      "/models/3/program/hazards",
    );
  });

  it("lists a few, and all of them on the check page", () => {
    const many = {
      ...FOUND,
      reasons: [1, 2, 3, 4, 5].map((i) => ({
        kind: "FINDING" as const,
        id: `rule-${i}`,
        subject: "",
        words: `Finding ${i}`,
      })),
    };
    const { unmount } = show(<Grounded model={3} grounding={many} />);
    expect(screen.queryByText("Finding 4")).toBeNull();
    expect(
      screen.getByRole("link", { name: words("model.grounded.allReasons", { reasons: 5 }) }),
    ).toHaveAttribute("href", "/models/3/check");
    unmount();
    show(<CheckVerdict model={3} grounding={many} />);
    expect(screen.getByText("Finding 5")).toBeInTheDocument();
  });

  it("is nothing where nothing does, and says so only when all was looked at", () => {
    const { unmount } = show(<Grounded model={3} grounding={CLEAR} />);
    expect(screen.queryByRole("note")).toBeNull();
    unmount();
    show(<CheckVerdict model={3} grounding={CLEAR} />);
    expect(screen.getByText("Cleared to fly.")).toBeInTheDocument();
  });

  it("says what is missing, each with the way to where it is done, and is never green", async () => {
    const { unmount } = show(<CheckVerdict model={3} grounding={NOT_YET} />);
    await userEvent.click(screen.getByRole("button", { name: like("model.grounded.because") }));
    expect(screen.queryByText("Cleared to fly.")).toBeNull();
    const note = screen.getByRole("note");
    expect(note).toHaveAttribute("data-verdict", "NOT_YET");
    expect(screen.getByRole("link", { name: words("model.grounded.benchSetUp") })).toHaveAttribute(
      "href",
      "/models/3/rig/set-up",
    );
    expect(screen.getByRole("link", { name: words("model.grounded.fullCheck") })).toHaveAttribute(
      "href",
      "/models/3/fly/checks",
    );
    unmount();
    show(
      <>
        <GroundedMark grounding={FOUND} />
        <GroundedMark grounding={NOT_YET} />
        <GroundedMark grounding={SEARCHING} />
        <GroundedMark grounding={CLEAR} />
      </>,
    );
    expect(screen.getByLabelText(words("model.grounded.grounded"))).toBeInTheDocument();
    expect(screen.getByLabelText(words("model.grounded.notCleared"))).toBeInTheDocument();
    expect(screen.getByLabelText(words("model.grounded.beingChecked"))).toBeInTheDocument();
    expect(screen.getByLabelText(words("model.grounded.cleared"))).toBeInTheDocument();
  });

  it("shows how far the search is, and offers no way round it", () => {
    show(<CheckVerdict model={3} grounding={SEARCHING} />);
    expect(screen.getByRole("progressbar")).toHaveAttribute("value", "0.4");
    expect(screen.queryByRole("button", { name: words("model.objections.flyAnyway") })).toBeNull();
  });

  it("takes the pilot's reason and sends it as it was typed", async () => {
    const asked = program({ "PUT /api/aircraft/3/clearance": {} });
    show(<CheckVerdict model={3} grounding={NOT_YET} />);
    await userEvent.click(screen.getByRole("button", { name: like("model.grounded.because") }));
    await userEvent.click(
      screen.getByRole("button", { name: words("model.objections.flyAnyway") }),
    );
    const keep = screen.getByRole("button", { name: words("model.objections.keepReason") });
    expect(keep).toBeDisabled();
    await userEvent.type(
      screen.getByLabelText(words("model.objections.because")),
      "flies since two years",
    );
    await userEvent.click(keep);
    await waitFor(() =>
      expect(asked.find((one) => one.method === "PUT")?.body).toEqual({
        because: "flies since two years",
      }),
    );
  });
});
