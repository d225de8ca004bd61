import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { answers, program, show, type Asked } from "@/test/page";
import { like, words } from "@/test/words";
import { WorkOrderView } from "./WorkOrderView";

const order = answers.order;
const at = (step: number) => ({ ...order, step });
const moved = ({ body }: Asked) => ({ ...order, ...(body as object) });

describe("a step of the work", () => {
  it("says what to do, how far the work is, and what can hurt", () => {
    program({});
    show(<WorkOrderView open={at(0)} />);
    const first = order.plan.steps[0];
    expect(screen.getByRole("heading", { level: 2 })).toHaveTextContent(first?.title ?? "");
    expect(screen.getByText(`Step 1 of ${order.plan.steps.length}, 0 done`)).toBeInTheDocument();
    expect(
      screen.getByRole("button", { name: words("adjustment.workOrderView.back") }),
    ).toBeDisabled();
    if (first?.caution) {
      expect(screen.getByRole("note")).toHaveTextContent(first.caution);
    }
  });

  it("has the focus where the start button was, and takes it from nobody", () => {
    program({});
    const shown = show(<WorkOrderView open={at(0)} />);
    expect(screen.getByRole("heading", { level: 2 })).toHaveFocus();
    shown.unmount();
    show(
      <>
        <input aria-label="Held" ref={(one) => one?.focus()} />
        <WorkOrderView open={at(0)} />
      </>,
    );
    expect(screen.getByRole("textbox", { name: "Held" })).toHaveFocus();
  });

  it("goes on by button and by key, naming the version the pilot saw", async () => {
    const asked = program({ "PUT /adjustment": moved });
    show(<WorkOrderView open={at(1)} />);
    await userEvent.click(
      screen.getByRole("button", { name: words("adjustment.workOrderView.next") }),
    );
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]?.body).toEqual({ step: 2, version: order.version });
    await waitFor(() =>
      expect(
        screen.getByRole("button", { name: words("adjustment.workOrderView.next") }),
      ).toBeEnabled(),
    );
    await userEvent.keyboard("b");
    await waitFor(() => expect(asked).toHaveLength(2));
    expect(asked[1]?.body).toEqual({ step: 0, version: order.version });
  });

  it("says why it could not go on and stays", async () => {
    program({ "PUT /adjustment": [409, { detail: "This work order was moved on elsewhere." }] });
    show(<WorkOrderView open={at(1)} />);
    await userEvent.click(
      screen.getByRole("button", { name: words("adjustment.workOrderView.next") }),
    );
    expect(await screen.findByText("This work order was moved on elsewhere.")).toBeInTheDocument();
    expect(screen.getByText(`Step 2 of ${order.plan.steps.length}, 0 done`)).toBeInTheDocument();
  });

  it("shows which way the clevis turns where there is something to turn", () => {
    program({});
    const turn = order.plan.steps.findIndex((one) => one.kind === "TURN");
    expect(turn).toBeGreaterThan(0);
    show(<WorkOrderView open={at(turn)} />);
    const step = order.plan.steps[turn];
    const rod = order.plan.rods.find((one) => one.surface === step?.surface);
    expect(rod?.steps).not.toBe(0);
    const way =
      (rod?.steps ?? 0) > 0
        ? "counter-clockwise, pushrod gets longer"
        : "clockwise, pushrod gets shorter";
    expect(screen.getByRole("img").getAttribute("aria-label")).toMatch(new RegExp(`^${way}`));
  });

  it("ends with the revision it makes", async () => {
    const asked = program({ "POST /adjustment/close": { number: 2, setup: order.plan.after } });
    show(<WorkOrderView open={at(order.plan.steps.length - 1)} />);
    await userEvent.click(
      screen.getByRole("button", {
        name: words("adjustment.workOrderView.saveRevision", { number: 2 }),
      }),
    );
    await waitFor(() => expect(asked[0]?.body).toEqual({ version: order.version, because: "" }));
  });

  it("does not close over what is not as planned without a word of the pilot", async () => {
    const asked = program({ "POST /adjustment/close": { number: 2, setup: order.plan.after } });
    const off = { ...at(order.plan.steps.length - 1), notAsPlanned: ["Elevator: 4 mm off"] };
    show(<WorkOrderView open={off} />);
    expect(screen.getByText("Elevator: 4 mm off")).toBeInTheDocument();
    const done = screen.getByRole("button", {
      name: words("adjustment.workOrderView.saveRevision", { number: 2 }),
    });
    expect(done).toBeDisabled();
    await userEvent.type(
      screen.getByRole("textbox", { name: like("adjustment.workOrderView.reasonForClosing") }),
      "Rod bent, flown so",
    );
    await userEvent.click(done);
    await waitFor(() =>
      expect(asked[0]?.body).toEqual({ version: order.version, because: "Rod bent, flown so" }),
    );
  });

  it("asks for a size and a word, never a sign, and stops where gauge and arithmetic disagree", async () => {
    const asked = program({ "PUT /adjustment/gauge": moved });
    const zero = order.plan.steps.findIndex((one) => one.kind === "ZERO");
    const surface = order.plan.steps[zero]?.surface ?? "";
    const shown = show(<WorkOrderView open={at(zero)} />);
    await userEvent.type(
      screen.getByLabelText(words("adjustment.gaugePanel.itWent", { lengthSign: "mm" })),
      "1,4",
    );
    expect(
      screen.getByRole("button", { name: words("adjustment.gaugePanel.compare") }),
    ).toBeDisabled();
    await userEvent.click(screen.getByRole("radio", { name: "up" }));
    await userEvent.click(
      screen.getByRole("button", { name: words("adjustment.gaugePanel.compare") }),
    );
    await waitFor(() =>
      expect(asked[0]?.body).toEqual({
        version: order.version,
        gauge: { surface, sizeMm: 1.4, way: "UP", choice: "OPEN" },
      }),
    );
    shown.unmount();
    const check = {
      computedMm: 0.7,
      measuredMm: -1.4,
      toleranceMm: 0.5,
      agree: false,
      tells: false,
      explanations: ["Check the direction first."],
    };
    const gauge = { surface, mm: -1.4, choice: "OPEN" as const };
    const disagreeing = {
      ...at(zero),
      gauges: [{ gauge, check, sizeMm: 1.4, way: "UP" as const }],
      bars: order.plan.steps.map((_, i) => (i === zero ? "Settle that first." : "")),
    };
    show(<WorkOrderView open={disagreeing} />);
    expect(screen.getByText("Check the direction first.")).toBeInTheDocument();
    expect(
      screen.getByRole("button", { name: words("adjustment.workOrderView.next") }),
    ).toBeDisabled();
    await userEvent.click(
      screen.getByRole("button", { name: like("adjustment.gaugePanel.goByMark") }),
    );
    await waitFor(() =>
      expect(asked[1]?.body).toMatchObject({ gauge: { sizeMm: 1.4, way: "UP", choice: "RULER" } }),
    );
  });

  it("asks at the mark, how many turns, off by how much", async () => {
    const asked = program({ "PUT /adjustment/mark": moved });
    const check = order.plan.steps.findIndex((one) => one.kind === "CHECK");
    const surface = order.plan.steps[check]?.surface ?? "";
    const rod = order.plan.rods.find((one) => one.surface === surface);
    show(<WorkOrderView open={at(check)} />);
    await userEvent.click(
      screen.getByRole("button", { name: words("ui.stepper.oneMore", { label: "Turned" }) }),
    );
    await userEvent.click(screen.getByRole("radio", { name: "down" }));
    await userEvent.type(
      screen.getByLabelText(words("adjustment.markPanel.offBy", { lengthSign: "mm" })),
      "0.3",
    );
    await userEvent.click(
      screen.getByRole("button", { name: words("adjustment.markPanel.noteOff") }),
    );
    await waitFor(() =>
      expect(asked[0]?.body).toEqual({
        version: order.version,
        mark: { surface, steps: (rod?.steps ?? 0) + 1, offMm: 0.3, way: "DOWN" },
      }),
    );
  });
});
