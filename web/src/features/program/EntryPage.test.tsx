import { screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { answers, program, show } from "@/test/page";
import { EntryPage } from "./EntryPage";

/** Every text is one that no other has. */
const line = (i: number, part: object = {}) => ({
  key: `key-${i}`,
  section: "ENDPOINT" as const,
  place: `Place ${i}`,
  menu: "",
  what: `What ${i}`,
  value: `Value ${i}`,
  before: `Value ${i}`,
  twin: "",
  data: `data-${i}`,
  ...part,
});

const ENTRIES = [
  line(1),
  line(2, { menu: "Menu 2", before: "Before 2" }),
  line(3, { before: "", twin: "key-1" }),
  line(4, { place: "Place 1" }),
];

function sheet() {
  return program({
    "GET /api/aircraft": { items: [], total: 0 },
    "POST /entry-sheet": { entries: ENTRIES, notes: ["Note of the sheet"] },
    "GET /entered": [
      { transmitter: answers.setup.transmitter.name, key: "key-1", data: "data-1", readBack: true },
      {
        transmitter: answers.setup.transmitter.name,
        key: "key-4",
        data: "data-4",
        readBack: false,
      },
    ],
    "PUT /entered": [],
  });
}

const entry = async (key: string) => {
  await waitFor(() => expect(document.querySelector(`[data-entry="${key}"]`)).not.toBeNull());
  return document.querySelector<HTMLElement>(`[data-entry="${key}"]`) as HTMLElement;
};

const everything = async () => {
  // Where something was typed in before, the sheet opens on what differs.
  await entry("key-2");
  expect(document.querySelectorAll("[data-entry]")).toHaveLength(2);
  const chosen = screen.getAllByRole("combobox").at(1) as HTMLElement;
  await userEvent.click(chosen);
  await userEvent.click(screen.getAllByRole("option")[0] as HTMLElement);
  await entry("key-1");
};

describe("the entry sheet on the page", () => {
  it("has what, what stood there and what is to, line by line, under its own place", async () => {
    sheet();
    show(<EntryPage />);
    await everything();
    for (const wanted of ENTRIES) {
      const found = await entry(wanted.key);
      const texts = within(found)
        .getAllByRole("cell")
        .slice(2)
        .map((one) => one.textContent ?? "");
      const differs = wanted.before !== wanted.value;
      expect(texts[0]).toContain(wanted.what);
      expect(texts[0]?.includes(wanted.place)).toBe(wanted.menu !== "");
      expect(texts[1]).toBe(differs ? wanted.before : "");
      expect(texts[2]).toBe(wanted.value);
      expect(texts[3]?.includes("Place 1")).toBe(wanted.twin === "key-1");
      const under = found.closest("section")?.querySelector("h3")?.textContent;
      expect(under).toBe(wanted.menu || wanted.place);
    }
    expect(document.querySelectorAll("section h3"), "each place once").toHaveLength(3);
    expect(screen.getByText("Note of the sheet")).toBeInTheDocument();
    expect(document.querySelector("[data-open]")?.getAttribute("data-open")).toBe("2");
  });

  it("ticks what differs, reads back only what is typed, and sends the line it was", async () => {
    const asked = sheet();
    show(<EntryPage />);
    await everything();
    const boxes = async (key: string) =>
      within(await entry(key)).getAllByRole("checkbox") as [HTMLElement, HTMLElement];
    const [typed, read] = await boxes("key-1");
    expect(typed).toBeChecked();
    expect(read).toBeChecked();
    expect((await boxes("key-4"))[1]).not.toBeChecked();
    const [open, unread] = await boxes("key-2");
    expect(open).not.toBeChecked();
    expect(unread).toBeDisabled();
    await userEvent.click(open);
    await waitFor(() => expect(asked.some((one) => one.method === "PUT")).toBe(true));
    expect(asked.find((one) => one.method === "PUT")?.body).toEqual([
      {
        transmitter: answers.setup.transmitter.name,
        key: "key-2",
        data: "data-2",
        readBack: false,
      },
    ]);
  });
});
