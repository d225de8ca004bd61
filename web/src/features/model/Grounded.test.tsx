import { screen } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { show } from "@/test/page";
import { CheckVerdict, Grounded, GroundedMark } from "./Grounded";

const CLEAR = { reasons: [], proven: true };
const FOUND = {
  reasons: [
    {
      kind: "FINDING" as const,
      id: "servo-at-stop",
      subject: "rudder",
      words: "Servo at its stop",
    },
    { kind: "HAZARD" as const, id: "CANNOT_STOP", subject: "base", words: "Motor runs at rest" },
  ],
  proven: true,
};

describe("what grounds a model", () => {
  it("is shown with the way to where it is mended", () => {
    show(<Grounded model={3} grounding={FOUND} />);
    expect(screen.getByRole("note")).toHaveTextContent("Not to be flown before this is mended");
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
      reasons: [1, 2, 3, 4, 5].map((i) => ({
        kind: "FINDING" as const,
        id: `rule-${i}`,
        subject: "",
        words: `Finding ${i}`,
      })),
      proven: true,
    };
    const { unmount } = show(<Grounded model={3} grounding={many} />);
    expect(screen.queryByText("Finding 4")).toBeNull();
    expect(screen.getByRole("link", { name: "all 5 of them" })).toHaveAttribute(
      "href",
      "/models/3/check",
    );
    unmount();
    show(<CheckVerdict model={3} grounding={many} />);
    expect(screen.getByText("Finding 5")).toBeInTheDocument();
  });

  it("is nothing where nothing does, and says so only when all was looked at", () => {
    const { unmount } = show(<Grounded model={3} grounding={CLEAR} />);
    expect(screen.queryByRole("note")).toBeNull();
    unmount();
    show(<CheckVerdict model={3} grounding={CLEAR} />);
    expect(screen.getByText("Nothing found that grounds it.")).toBeInTheDocument();
  });

  it("never turns green while something is open or not proven", () => {
    const { unmount } = show(<CheckVerdict model={3} grounding={{ reasons: [], proven: false }} />);
    expect(screen.queryByText("Nothing found that grounds it.")).toBeNull();
    expect(screen.getByRole("note")).toHaveTextContent("Not proven");
    unmount();
    show(
      <>
        <GroundedMark grounding={FOUND} />
        <GroundedMark grounding={{ reasons: [], proven: false }} />
        <GroundedMark grounding={CLEAR} />
      </>,
    );
    expect(screen.getByLabelText("grounded")).toBeInTheDocument();
    expect(screen.getByLabelText("not proven")).toBeInTheDocument();
    expect(screen.getByLabelText("nothing grounds it")).toBeInTheDocument();
  });
});
