import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import { SHORTCUTS, useShortcut, useStepKeys } from "./shortcuts";

function Steps({ busy, next, back }: { busy: boolean; next: () => void; back: () => void }) {
  useStepKeys({ busy, next, back });
  return <input aria-label="Off level" />;
}

describe("shortcuts", () => {
  it("go a step on and back", async () => {
    const [next, back] = [vi.fn(), vi.fn()];
    render(<Steps busy={false} next={next} back={back} />);
    await userEvent.keyboard("n{ArrowRight}b{ArrowLeft}");
    expect(next).toHaveBeenCalledTimes(2);
    expect(back).toHaveBeenCalledTimes(2);
  });

  it("belong to the field while a field is typed in", async () => {
    const next = vi.fn();
    render(<Steps busy={false} next={next} back={vi.fn()} />);
    await userEvent.type(screen.getByLabelText("Off level"), "n{ArrowRight}");
    expect(next).not.toHaveBeenCalled();
    expect(screen.getByLabelText("Off level")).toHaveValue("n");
  });

  it("pressed during a save are carried out after it, one save at a time", async () => {
    const next = vi.fn();
    const { rerender } = render(<Steps busy next={next} back={vi.fn()} />);
    await userEvent.keyboard("nn");
    expect(next).not.toHaveBeenCalled();
    rerender(<Steps busy={false} next={next} back={vi.fn()} />);
    expect(next).toHaveBeenCalledTimes(1);
    rerender(<Steps busy next={next} back={vi.fn()} />);
    rerender(<Steps busy={false} next={next} back={vi.fn()} />);
    expect(next).toHaveBeenCalledTimes(2);
    rerender(<Steps busy next={next} back={vi.fn()} />);
    rerender(<Steps busy={false} next={next} back={vi.fn()} />);
    expect(next).toHaveBeenCalledTimes(2);
  });

  it("survive the step coming up anew", async () => {
    const next = vi.fn();
    const { rerender } = render(<Steps key="1" busy next={vi.fn()} back={vi.fn()} />);
    await userEvent.keyboard("n");
    rerender(<Steps key="2" busy={false} next={next} back={vi.fn()} />);
    expect(next).toHaveBeenCalledOnce();
  });

  it("know undo from redo", async () => {
    const [undo, redo] = [vi.fn(), vi.fn()];
    function Draft() {
      useShortcut("undo", undo);
      useShortcut("redo", redo);
      return null;
    }
    render(<Draft />);
    await userEvent.keyboard("{Control>}z{/Control}");
    expect(undo).toHaveBeenCalledOnce();
    expect(redo).not.toHaveBeenCalled();
    await userEvent.keyboard("{Control>}{Shift>}Z{/Shift}{/Control}");
    expect(redo).toHaveBeenCalledOnce();
    expect(undo).toHaveBeenCalledOnce();
  });

  it("work while a point of a curve has the focus, which takes its own keys first", async () => {
    const [next, undo] = [vi.fn(), vi.fn()];
    function Point() {
      useShortcut("next", next);
      useShortcut("undo", undo);
      return (
        <button
          type="button"
          role="slider"
          aria-valuenow={0}
          onKeyDown={(event) => event.key === "ArrowRight" && event.preventDefault()}
        />
      );
    }
    render(<Point />);
    screen.getByRole("slider").focus();
    await userEvent.keyboard("{Control>}z{/Control}{ArrowRight}");
    expect(undo).toHaveBeenCalledOnce();
    expect(next).not.toHaveBeenCalled();
  });

  it("are all told apart in the list", () => {
    const shown = Object.values(SHORTCUTS).map((one) => one.keys);
    expect(new Set(shown).size).toBe(shown.length);
  });
});
