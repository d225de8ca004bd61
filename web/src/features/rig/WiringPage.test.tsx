import { screen, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { WiringSheet } from "@/api/rig";
import { program, show } from "@/test/page";
import { WiringPage } from "./WiringPage";

const row = (part: Partial<WiringSheet["rows"][number]>): WiringSheet["rows"][number] => ({
  socket: 1,
  channel: 2,
  channelName: "c",
  otherNames: "",
  device: "d",
  moves: "m",
  side: "CENTRE",
  splitter: "",
  extensionMm: 0,
  reverser: false,
  through: "",
  label: "",
  ...part,
});

/** Every value of a row is one that no other has, so that none can stand in another's place. */
const ROWS = [
  row({ socket: -1, channel: 11, channelName: "Q1", device: "Q2", moves: "", side: "LEFT" }),
  row({
    socket: 12,
    channel: 13,
    channelName: "Q3",
    device: "Q4",
    moves: "Q5",
    side: "RIGHT",
    splitter: "Q6",
    extensionMm: 300,
    reverser: true,
    through: "Q7",
    label: "Q8",
  }),
  row({ socket: 14, channel: 15, channelName: "Q9", device: "Q10", moves: "Q11", label: "Q12" }),
];

async function cells() {
  program({
    "POST /api/rig/map/sheet": {
      rows: ROWS,
      parts: [{ count: 7, what: "Q13" }],
      channelCount: 3,
      missingSockets: 0,
    },
  });
  show(<WiringPage />);
  const table = await screen.findByRole("table");
  const [head, ...body] = within(table).getAllByRole("row");
  const names = within(head as HTMLElement).getAllByRole("columnheader");
  return {
    names: names.map((one) => one.textContent),
    body: body.map((one) => within(one).getAllByRole("cell")),
  };
}

describe("the wiring sheet on the page", () => {
  it("has every value of a row under its own head, in the order of the answer", async () => {
    const { names, body } = await cells();
    expect(body).toHaveLength(ROWS.length);
    body.forEach((line) =>
      // On a phone each value carries the head of its column.
      expect(line.map((one) => one.getAttribute("data-label"))).toEqual(names),
    );
    ROWS.forEach((wanted, i) => {
      const [socket, channel, device, , lead, moves, label] = (body[i] ?? []).map(
        (one) => one.textContent ?? "",
      );
      expect(socket).toContain(wanted.socket < 0 ? "" : String(wanted.socket));
      expect(channel).toBe(`${wanted.channel}, ${wanted.channelName}`);
      expect(device).toBe(wanted.device);
      expect(moves).toContain(wanted.moves);
      expect(label).toBe(wanted.label);
      expect(lead?.includes("Q7")).toBe(wanted.through !== "");
      expect(lead?.includes("300")).toBe(wanted.extensionMm > 0);
    });
  });

  it("tells sides, a Y-lead and a reverser apart from none", async () => {
    const { body } = await cells();
    const text = (line: number, cell: number) => body[line]?.[cell]?.textContent ?? "";
    expect(new Set([text(0, 3), text(1, 3), text(2, 3)]).size).toBe(3);
    // Four things in one lead, one in the others.
    expect(text(1, 4).split(", ")).toHaveLength(4);
    expect(text(0, 4)).toBe(text(2, 4));
    const part = screen.getByText("Q13");
    expect(part).toHaveTextContent("7 Q13");
  });
});
