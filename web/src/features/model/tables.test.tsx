import { screen } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import type { Schemas } from "@/api/client";
import { answers, program, rowsOf, show, told } from "@/test/page";
import { say } from "@/words/generated/model";
import { DifferenceList } from "./DifferenceList";
import { GoBack } from "./GoBack";
import { MovementTable } from "./MovementTable";

const { setup } = answers;

const LINES: Schemas["MovementLine"][] = [
  {
    surface: "Left aileron",
    phase: "Normal",
    where: "full right",
    beforeMm: 12.34,
    afterMm: -7.06,
  },
  { surface: "Elevator", phase: "Thermal", where: "full up", beforeMm: -3.2, afterMm: 0.04 },
  { surface: "Elevator", phase: "Normal", where: "full up", beforeMm: 0, afterMm: 21.9 },
];

/** Sign, size, one place; none of it where it reads as nothing. */
const mm = (value: number) =>
  `${value > 0.05 ? "+" : value < -0.05 ? "−" : ""}${Math.abs(value).toFixed(1)}`;

const lineCells = (one: Schemas["MovementLine"]) => [
  one.surface,
  `${one.phase}, ${one.where}`,
  mm(one.beforeMm),
  `${mm(one.afterMm)} mm`,
];

describe("what goes elsewhere than before", () => {
  it("has surface, phase, where, before and after of every line", () => {
    show(<MovementTable lines={LINES} />);
    const [head, ...rows] = rowsOf(screen.getByRole("table"));
    expect(head?.slice(1)).toEqual([say("movementTable.before"), say("movementTable.after")]);
    expect(rows).toEqual(LINES.map(lineCells));
  });
});

describe("two setups side by side", () => {
  const values = [
    { place: "Roll", what: "full throw", before: "18 mm", after: "25 mm" },
    { place: "Channel 4", what: "sub-trim", before: "0 %", after: "−3 %" },
  ];

  it("has every value under the setup it is of, and what it moves under the same names", async () => {
    program({ "POST /difference": { values, movements: LINES } });
    show(<DifferenceList before={setup} after={setup} beforeName="Plan" afterName="Own" />);
    const [differing, moving] = (await screen.findAllByRole("table")).map(rowsOf);
    expect(differing?.[0]?.slice(1)).toEqual(["Plan", "Own"]);
    expect(differing?.slice(1)).toEqual(
      values.map(({ place, what, before, after }) => [`${place} ${what}`, before, after]),
    );
    expect(moving?.[0]?.slice(1)).toEqual(["Plan", "Own"]);
    expect(moving?.slice(1)).toEqual(LINES.map(lineCells));
  });

  it("says so where nothing differs", async () => {
    program({ "POST /difference": { values: [], movements: [] } });
    show(<DifferenceList before={setup} after={setup} beforeName="Plan" afterName="Own" />);
    expect(await screen.findByText(say("differenceList.same"))).toBeInTheDocument();
    expect(screen.queryByRole("table")).not.toBeInTheDocument();
  });
});

describe("the way back", () => {
  const entry = (key: string, what: string, before: string, value: string) => ({
    key,
    section: "TRIM" as const,
    place: "Normal",
    menu: "",
    what,
    value,
    before,
    twin: "",
  });
  const back: Schemas["Restoration"] = {
    revision: 3,
    setup,
    rods: [
      { surface: "elevator", name: "Elevator", steps: -3, turn: "1½ turns out", rotation: "Left." },
      { surface: "rudder", name: "Rudder", steps: 1, turn: "½ turn in", rotation: "Right." },
    ],
    parts: ["Horn of the rudder", "Arm of the elevator"],
    entries: [
      entry("a", "pitch trim", "4 clicks nose up", "0 clicks"),
      entry("b", "roll trim", "0 clicks", "9 clicks left"),
    ],
  };

  const opened = async (way: Schemas["Restoration"]) => {
    const asked = program({ "GET /way-back": way, "POST /way-back": { number: 5, setup } });
    show(<GoBack revision={3} flight={8} />);
    await userEvent.click(screen.getByRole("button"));
    await screen.findByText(way.rods.length > 0 ? /Elevator/ : say("goBack.nothingToTurn"));
    return asked;
  };

  it("has each pushrod's turn, what a turn cannot undo, and what to enter in place of what", async () => {
    const asked = await opened(back);
    const turns = [...document.querySelectorAll("[data-rods-back] li")].map(told);
    expect(turns).toEqual(back.rods.map((one) => `${one.name}: ${one.turn}. ${one.rotation}`));
    expect(screen.getByRole("note")).toHaveTextContent(back.parts.join(", "));
    const rows = rowsOf(screen.getByRole("table"));
    expect(rows).toEqual(back.entries.map((one) => [one.what, one.before, one.value]));
    await userEvent.click(screen.getByRole("button", { name: say("goBack.do", { revision: 3 }) }));
    expect(
      asked.map(({ method, path }) => `${method} ${path.replace(/.*way-back/, "")}`),
    ).toContain("GET ?revision=3&flight=8");
    expect(asked.find((one) => one.method === "POST")?.body).toEqual({
      basedOn: answers.standing.newest.number,
      revision: 3,
      flight: 8,
    });
  });

  it("has nothing of what is not there", async () => {
    await opened({ ...back, rods: [], parts: [], entries: [] });
    expect(screen.queryByRole("table")).not.toBeInTheDocument();
    expect(screen.queryByRole("note")).not.toBeInTheDocument();
  });
});
