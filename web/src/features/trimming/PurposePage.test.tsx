import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { beforeEach, describe, expect, it } from "vitest";
import type { WishSheet } from "@/api/fly";
import { program, show, type Asked } from "@/test/page";
import { words } from "@/test/words";
import { PurposePage } from "./PurposePage";

const sheet = (version: number, balanceWhy: string): WishSheet => ({
  wishes: {
    pilot: "INTERMEDIATE",
    balancePercent: 40,
    balanceWhy,
    turnedRound: false,
    limits: { windMetresPerSecond: 5, field: "" },
    regimes: [],
    stations: [],
  },
  version,
  balanceMm: 118,
  notes: [],
  between: [],
});

let now: WishSheet;
let answer: (reply: unknown) => void;
let asked: Asked[];

const type = async (text: string) => {
  const field = screen.getByLabelText(words("trimming.purposePage.reason"));
  await userEvent.clear(field);
  await userEvent.type(field, text);
};
const save = () =>
  userEvent.click(screen.getByRole("button", { name: words("trimming.purposePage.save") }));

beforeEach(async () => {
  now = sheet(3, "by the book");
  asked = program({
    "GET /wishes": () => now,
    "PUT /wishes": () => new Promise((resolve) => (answer = resolve)),
  });
  show(<PurposePage />);
  await screen.findByDisplayValue("by the book");
});

describe("wishes", () => {
  it("keep what is typed while they are being saved, to be saved over what came of it", async () => {
    await type("calm air");
    await save();
    await type("calm air, and gusts");
    now = sheet(4, "calm air");
    answer(now);
    await waitFor(() =>
      expect(
        screen.getByRole("button", { name: words("trimming.purposePage.save") }),
      ).toBeEnabled(),
    );
    expect(screen.getByLabelText(words("trimming.purposePage.reason"))).toHaveValue(
      "calm air, and gusts",
    );
    expect(screen.queryByRole("alert")).not.toBeInTheDocument();
    await save();
    const sent = asked.filter((one) => one.method === "PUT").map((one) => one.body);
    expect(sent).toMatchObject([
      { version: 3, wishes: { balanceWhy: "calm air" } },
      { version: 4, wishes: { balanceWhy: "calm air, and gusts" } },
    ]);
  });

  it("changed elsewhere are told, and what is typed here stays until it is said whose they are", async () => {
    await type("mine");
    await save();
    now = sheet(4, "theirs");
    answer([409, { detail: "These wishes were changed on another page meanwhile." }]);
    window.dispatchEvent(new Event("visibilitychange"));
    await screen.findByRole("button", { name: words("trimming.purposePage.keepMine") });
    expect(screen.getByLabelText(words("trimming.purposePage.reason"))).toHaveValue("mine");
    await userEvent.click(
      screen.getByRole("button", { name: words("trimming.purposePage.keepMine") }),
    );
    await save();
    expect(asked.at(-1)?.body).toMatchObject({ version: 4, wishes: { balanceWhy: "mine" } });
  });

  it("changed elsewhere come in where nothing was typed", async () => {
    now = sheet(4, "theirs");
    window.dispatchEvent(new Event("visibilitychange"));
    expect(await screen.findByDisplayValue("theirs")).toBeInTheDocument();
    expect(screen.queryByRole("alert")).not.toBeInTheDocument();
  });
});
