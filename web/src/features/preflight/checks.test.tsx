import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { program, show, type Asked } from "@/test/page";
import { like, words } from "@/test/words";
import { CheckRunPage } from "./CheckRunPage";
import { LinkPractice } from "./LinkPractice";

const step = (id: string, counted: boolean) => ({
  id,
  title: `Step ${id}`,
  words: "Do it.",
  lines: ["Right aileron: up, 22 mm"],
  caution: "",
  counted,
  concern: "MODEL",
});

const run = (next: number, reasons: string[] = []) => ({
  id: 0,
  revisionNumber: 1,
  kind: "RANGE",
  pack: "",
  state: "OPEN",
  steps: [step("one", false), step("two", true)],
  answers: [],
  judged: { next, reasons },
  createdAt: "2026-09-05T10:00:00Z",
  closedAt: null,
  version: 0,
});

const page = <CheckRunPage />;

describe("a check, step by step", () => {
  it("notes an answer and goes on to the next step without one", async () => {
    let at = 0;
    const asked = program({
      "GET /checks/0": () => run(at),
      "PUT /answers": () => run((at = 1)),
    });
    show(page);
    expect(await screen.findByRole("heading", { name: "Step one" })).toBeInTheDocument();
    await userEvent.click(
      screen.getByRole("button", { name: words("preflight.checkRunPage.asItShouldBe") }),
    );
    expect(await screen.findByRole("heading", { name: "Step two" })).toBeInTheDocument();
    expect(asked.find((one) => one.method === "PUT")?.body).toMatchObject({
      step: "one",
      verdict: "RIGHT",
      holds: null,
    });
  });

  it("says at once that a hold grounds the model", async () => {
    const asked = program({ "GET /checks/0": run(1), "PUT /answers": run(-1, ["one hold"]) });
    show(page);
    await userEvent.clear(await screen.findByLabelText(words("preflight.linkPractice.holds")));
    await userEvent.type(screen.getByLabelText(words("preflight.linkPractice.holds")), "2");
    expect(screen.getByText(like("preflight.counts.holdGrounds"))).toBeInTheDocument();
    await userEvent.click(
      screen.getByRole("button", { name: words("preflight.checkRunPage.noteIt") }),
    );
    await waitFor(() => expect(asked.some((one) => one.method === "PUT")).toBe(true));
    expect(asked.find((one) => one.method === "PUT")?.body).toMatchObject({
      step: "two",
      holds: 2,
    });
  });

  it("leaves a step out only with a reason", async () => {
    program({ "GET /checks/0": run(0) });
    show(page);
    await userEvent.click(
      await screen.findByRole("button", { name: words("preflight.checkRunPage.wrong") }),
    );
    expect(
      screen.getByRole("button", { name: words("preflight.checkRunPage.leaveOut") }),
    ).toBeDisabled();
    await userEvent.type(
      screen.getByLabelText(like("preflight.checkRunPage.whyAsked")),
      "no wind sock here",
    );
    expect(
      screen.getByRole("button", { name: words("preflight.checkRunPage.leaveOut") }),
    ).toBeEnabled();
  });

  it("shows what grounds it at the end", async () => {
    program({ "GET /checks/0": run(-1, ["Motor off: one hold."]) });
    show(page);
    expect(await screen.findByText(words("preflight.checkRunPage.doNotFly"))).toBeInTheDocument();
    expect(screen.getByText("Motor off: one hold.")).toBeInTheDocument();
  });
});

describe("the simulated link", () => {
  it("is asked anew for every quarter and says that it is simulated", async () => {
    const asked = program({
      "POST /api/link/range-check": ({ body }: Asked) => ({
        frames: 1000,
        fades: [1000, 2],
        lostFrames: 0,
        holds: (body as { quarter: number }).quarter,
        levelsDb: [1, 2],
        words: "Simulated.",
      }),
    });
    show(<LinkPractice />);
    expect(await screen.findByText("Simulated.")).toBeInTheDocument();
    await userEvent.click(
      screen.getByRole("button", { name: words("preflight.linkPractice.nose") }),
    );
    await waitFor(() =>
      expect(asked.map((one) => (one.body as { quarter: number }).quarter)).toContain(2),
    );
  });
});
