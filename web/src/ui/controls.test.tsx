import type { Field } from "@/api/queries";
import { render, screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { describe, expect, it, vi } from "vitest";
import { Check } from "./check";
import { Choice } from "./choice";
import { Fold } from "./fold";
import { More } from "./more";
import { NumberField } from "./number-field";
import { PartDone } from "./part-done";
import { Slide } from "./slide";
import { Stepper } from "./stepper";
import { SwitchTabs } from "./switch-tabs";
import { Tip } from "./tip";
import { words } from "@/test/words";

const CHORD: Field = {
  path: "setup.surfaces[].chordMm",
  label: "Chord",
  unit: "MILLIMETRES",
  hint: "behind the hinge line",
  min: 5,
  max: 600,
  kind: "NUMBER",
  options: [],
  carried: false,
};

describe("a stepper", () => {
  const stepper = (value: number, onValue: (value: number) => void) => (
    <Stepper
      label="Roll trim"
      words="3 clicks right"
      value={value}
      min={-5}
      max={5}
      onValue={onValue}
    />
  );

  it("goes one click at a time and stops at the ends", async () => {
    const onValue = vi.fn();
    const { rerender } = render(stepper(4, onValue));
    await userEvent.click(
      screen.getByLabelText(words("ui.stepper.oneMore", { label: "Roll trim" })),
    );
    expect(onValue).toHaveBeenLastCalledWith(5);
    await userEvent.click(
      screen.getByLabelText(words("ui.stepper.oneLess", { label: "Roll trim" })),
    );
    expect(onValue).toHaveBeenLastCalledWith(3);
    rerender(stepper(5, onValue));
    expect(
      screen.getByLabelText(words("ui.stepper.oneMore", { label: "Roll trim" })),
    ).toBeDisabled();
    rerender(stepper(-5, onValue));
    expect(
      screen.getByLabelText(words("ui.stepper.oneLess", { label: "Roll trim" })),
    ).toBeDisabled();
  });

  it("takes a typed number and holds it within the range", async () => {
    const onValue = vi.fn();
    render(stepper(0, onValue));
    const field = screen.getByLabelText("Roll trim, clicks");
    await userEvent.clear(field);
    await userEvent.type(field, "-9");
    expect(onValue).toHaveBeenLastCalledWith(-5);
    expect(screen.getByText("3 clicks right")).toBeInTheDocument();
  });
});

describe("a number with its range", () => {
  function Field({ onValue }: { onValue: (value: number, gesture: string) => void }) {
    const [value, setValue] = useState(40);
    return (
      <NumberField
        field={CHORD}
        value={value}
        onValue={(typed, gesture) => {
          setValue(typed);
          onValue(typed, gesture);
        }}
      />
    );
  }

  it("hands on only what is legal and says what would be", async () => {
    const onValue = vi.fn();
    render(<Field onValue={onValue} />);
    const field = screen.getByLabelText("Chord");
    await userEvent.clear(field);
    await userEvent.type(field, "4");
    expect(onValue).not.toHaveBeenCalled();
    expect(screen.getByRole("alert")).toHaveTextContent("5 to 600");
    expect(field).toBeInvalid();
    await userEvent.type(field, "5");
    expect(onValue).toHaveBeenLastCalledWith(45, expect.any(String));
    expect(field).toBeValid();
  });

  it("gives all that is typed in one visit the same gesture, and the next visit another", async () => {
    const onValue = vi.fn<(value: number, gesture: string) => void>();
    render(<Field onValue={onValue} />);
    const field = screen.getByLabelText("Chord");
    await userEvent.clear(field);
    await userEvent.type(field, "123");
    const first = new Set(onValue.mock.calls.map(([, gesture]) => gesture));
    expect(onValue.mock.calls.map(([value]) => value)).toEqual([12, 123]);
    expect(first.size).toBe(1);
    await userEvent.tab();
    await userEvent.type(field, "4", { initialSelectionStart: 0, initialSelectionEnd: 3 });
    await userEvent.type(field, "7");
    expect(first.has(onValue.mock.lastCall?.[1] ?? "")).toBe(false);
  });
});

describe("one of a few values", () => {
  it("shows the chosen one, lists all, and hands on the value, the empty one too", async () => {
    const onValue = vi.fn();
    render(
      <Choice
        label="Stays in"
        value="landing"
        onValue={onValue}
        options={[
          ["", "every phase"],
          ["landing", "Landing"],
        ]}
      />,
    );
    const list = screen.getByLabelText("Stays in");
    expect(list).toHaveTextContent("Landing");
    await userEvent.click(list);
    await userEvent.click(screen.getByRole("option", { name: "every phase" }));
    expect(onValue).toHaveBeenCalledExactlyOnceWith("");
  });

  it("is worked with the keyboard alone", async () => {
    const onValue = vi.fn();
    const options = [["a", "One"] as const, ["b", "Two"] as const];
    render(<Choice label="Which" value="a" onValue={onValue} options={options} />);
    await userEvent.tab();
    await userEvent.keyboard("{Enter}{ArrowDown}{Enter}");
    expect(onValue).toHaveBeenCalledExactlyOnceWith("b");
  });
});

describe("small parts", () => {
  it("ticks and unticks, by its label as well", async () => {
    const onChecked = vi.fn();
    const { rerender } = render(<Check label="Reversed" checked={false} onChecked={onChecked} />);
    await userEvent.click(screen.getByText("Reversed"));
    expect(onChecked).toHaveBeenLastCalledWith(true);
    rerender(<Check hidden label="Reversed" checked onChecked={onChecked} />);
    await userEvent.click(screen.getByRole("checkbox", { name: "Reversed" }));
    expect(onChecked).toHaveBeenLastCalledWith(false);
  });

  it("folds away what is not wanted and says when it is opened", async () => {
    const onOpen = vi.fn();
    render(
      <Fold title="What it is for" onOpen={onOpen}>
        A servo stalls.
      </Fold>,
    );
    expect(screen.queryByText("A servo stalls.")).not.toBeInTheDocument();
    await userEvent.click(screen.getByRole("button", { name: "What it is for" }));
    expect(screen.getByText("A servo stalls.")).toBeVisible();
    expect(onOpen).toHaveBeenCalledExactlyOnceWith(true);
  });

  it("moves a slider with the arrow keys, in its steps", async () => {
    const onValue = vi.fn();
    render(
      <Slide
        label="Throttle"
        min={0}
        max={100}
        step={5}
        value={50}
        words="50 %"
        onValue={onValue}
      />,
    );
    screen.getByRole("slider", { name: "Throttle" }).focus();
    await userEvent.keyboard("{ArrowRight}");
    expect(onValue).toHaveBeenLastCalledWith(55);
    expect(screen.getByRole("slider")).toHaveAttribute("aria-valuetext", "50 %");
  });

  it("asks for the next part of a list only where there is one", async () => {
    const more = vi.fn();
    const { rerender } = render(<More shown={50} total={120} more={more} coming={false} />);
    expect(screen.getByText("50 of 120")).toBeInTheDocument();
    await userEvent.click(screen.getByRole("button", { name: words("ui.more.showMore") }));
    expect(more).toHaveBeenCalledOnce();
    rerender(<More shown={50} total={120} more={more} coming />);
    expect(screen.getByRole("button")).toBeDisabled();
    rerender(<More shown={120} total={120} more={undefined} coming={false} />);
    expect(screen.queryByRole("button")).not.toBeInTheDocument();
  });

  it("says how much is done", () => {
    render(<PartDone label="Trying every position" done={0.25} />);
    expect(screen.getByRole("progressbar")).toHaveAttribute("aria-valuenow", "25");
  });

  it("changes from one way of looking to the other", async () => {
    function Both() {
      const [way, setWay] = useState<"one" | "two">("one");
      return (
        <SwitchTabs
          label="Entered"
          value={way}
          onValue={setWay}
          options={[
            ["one", "On the phone", <p key="1">steppers</p>],
            ["two", "From the card", <p key="2">table</p>],
          ]}
        />
      );
    }
    render(<Both />);
    await userEvent.click(screen.getByRole("tab", { name: "From the card" }));
    expect(screen.getByText("table")).toBeVisible();
    expect(screen.queryByText("steppers")).not.toBeInTheDocument();
  });

  it("keeps the field that has the focus when words come up beside it", async () => {
    const { rerender } = render(
      <Tip words={undefined}>
        <input aria-label="Figure" />
      </Tip>,
    );
    const field = screen.getByLabelText("Figure");
    await userEvent.type(field, "9");
    rerender(
      <Tip words="5 to 600 mm">
        <input aria-label="Figure" />
      </Tip>,
    );
    expect(screen.getByLabelText("Figure")).toBe(field);
    expect(field).toHaveFocus();
  });
});
