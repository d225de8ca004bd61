import { fireEvent, render, screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it, vi } from "vitest";
import { CurveEditor } from "./CurveEditor";
import { words } from "@/test/words";

const POINTS = [
  { x: -100, y: -100 },
  { x: 0, y: 10 },
  { x: 100, y: 100 },
];

/** The paper as large on the screen as in its own units. */
function paper() {
  vi.spyOn(Element.prototype, "getBoundingClientRect").mockReturnValue({
    left: 0,
    top: 0,
    width: 300,
    height: 200,
  } as DOMRect);
}

const onAdd = vi.fn();
const REST = { limits: { x: { min: -100, max: 100 }, y: { min: -150, max: 150 } }, onAdd };

describe("a curve", () => {
  it("is dragged as one gesture, whole percents, never past its neighbours", () => {
    paper();
    const onPoints = vi.fn<(points: typeof POINTS, gesture?: string) => void>();
    render(<CurveEditor points={POINTS} label="Throttle curve" onPoints={onPoints} {...REST} />);
    const middle = screen.getByRole("slider", {
      name: words("program.curveEditor.point", { i: 2 }),
    });
    fireEvent.pointerDown(middle, { pointerId: 1 });
    fireEvent.pointerMove(middle, { buttons: 1, clientX: 165, clientY: 54 });
    fireEvent.pointerMove(middle, { buttons: 1, clientX: 290, clientY: 54 });
    fireEvent.pointerMove(middle, { buttons: 1, clientX: 900, clientY: -500 });
    fireEvent.pointerUp(middle);
    const [first, second, third] = onPoints.mock.calls;
    expect(first?.[0][1]).toEqual({ x: 10, y: 50 });
    expect(second?.[0][1]?.x).toBe(93);
    expect(third?.[0][1]).toEqual({ x: 99, y: 150 });
    expect(new Set(onPoints.mock.calls.map(([, gesture]) => gesture)).size).toBe(1);
    fireEvent.pointerDown(middle, { pointerId: 1 });
    fireEvent.pointerMove(middle, { buttons: 1, clientX: 165, clientY: 54 });
    expect(onPoints.mock.lastCall?.[1]).not.toBe(first?.[1]);
  });

  it("stays where it is while no button is down", () => {
    paper();
    const onPoints = vi.fn();
    render(<CurveEditor points={POINTS} label="Throttle curve" onPoints={onPoints} {...REST} />);
    fireEvent.pointerMove(
      screen.getByRole("slider", { name: words("program.curveEditor.point", { i: 2 }) }),
      { clientX: 165 },
    );
    expect(onPoints).not.toHaveBeenCalled();
  });

  it("moves by the arrow keys, a percent at a time", async () => {
    const onPoints = vi.fn();
    render(<CurveEditor points={POINTS} label="Throttle curve" onPoints={onPoints} {...REST} />);
    const middle = screen.getByRole("slider", {
      name: words("program.curveEditor.point", { i: 2 }),
    });
    expect(middle).toHaveAttribute("aria-valuetext", "10 % at 0 %");
    middle.focus();
    await userEvent.keyboard("{ArrowUp}");
    expect(onPoints.mock.lastCall?.[0][1]).toEqual({ x: 0, y: 11 });
    await userEvent.keyboard("{ArrowLeft}");
    expect(onPoints.mock.lastCall?.[0][1]).toEqual({ x: -1, y: 10 });
  });

  it("takes typed values when the field is left, and nothing that is no number", async () => {
    const onPoints = vi.fn();
    render(<CurveEditor points={POINTS} label="Throttle curve" onPoints={onPoints} {...REST} />);
    const value = screen.getByLabelText(words("program.curveEditor.pointValue", { i: 2 }));
    await userEvent.clear(value);
    await userEvent.type(value, "-40");
    expect(onPoints).not.toHaveBeenCalled();
    await userEvent.tab();
    expect(onPoints.mock.lastCall?.[0][1]).toEqual({ x: 0, y: -40 });
    const place = screen.getByLabelText(words("program.curveEditor.pointAt", { i: 1 }));
    await userEvent.clear(place);
    await userEvent.tab();
    expect(onPoints).toHaveBeenCalledTimes(1);
  });

  it("asks for another point, loses one, and keeps at least two", async () => {
    const onPoints = vi.fn();
    const wide = [POINTS[0], { x: 60, y: 0 }, POINTS[2]] as typeof POINTS;
    const { rerender } = render(
      <CurveEditor points={wide} label="C" onPoints={onPoints} {...REST} />,
    );
    await userEvent.click(
      screen.getByRole("button", { name: words("program.curveEditor.anotherPoint") }),
    );
    expect(onAdd).toHaveBeenCalledOnce();
    await userEvent.click(
      screen.getByRole("button", { name: words("program.curveEditor.removePoint", { i: 2 }) }),
    );
    expect(onPoints.mock.lastCall?.[0]).toEqual([wide[0], wide[2]]);
    rerender(
      <CurveEditor
        points={[POINTS[0], POINTS[2]] as typeof POINTS}
        label="C"
        onPoints={onPoints}
        {...REST}
      />,
    );
    expect(
      within(screen.getByRole("list")).queryByText(words("program.curveEditor.remove")),
    ).not.toBeInTheDocument();
  });
});
