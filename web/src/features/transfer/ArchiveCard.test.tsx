import { screen, waitFor, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, it, vi } from "vitest";
import { program, show } from "@/test/page";
import { words } from "@/test/words";
import { ArchiveCard } from "./ArchiveCard";

const model = (number: number, name: string, faults: unknown[] = []) => ({
  number,
  name,
  revisions: 1,
  flights: 2,
  here: false,
  faults,
});

const work = (id: number, task: string, more: object = {}) => ({
  id,
  task,
  part: 0,
  end: null,
  contents: null,
  brought: [],
  ...more,
});

it("tells how far the file is, stops it, and fetches it once it is written", async () => {
  const answers: Record<string, unknown> = {
    "GET /api/devices/here": { host: true },
    "GET /api/archive/backups": [],
    "POST /api/archive/works/save": work(5, "SAVE"),
    "GET /api/archive/works/5": work(5, "SAVE", { part: 0.25 }),
    "DELETE /api/archive/works/5": work(5, "SAVE", { part: 0.25 }),
  };
  const fetched: string[] = [];
  vi.spyOn(HTMLAnchorElement.prototype, "click").mockImplementation(function (
    this: HTMLAnchorElement,
  ) {
    fetched.push(new URL(this.href).pathname);
  });
  const asked = program(answers);
  show(<ArchiveCard />);
  const save = screen.getByRole("button", { name: words("transfer.archiveCard.save") });
  await userEvent.click(save);
  expect(await screen.findByRole("progressbar")).toHaveAttribute("aria-valuenow", "25");
  expect(save).toBeDisabled();
  await userEvent.click(screen.getByRole("button", { name: words("transfer.archiveCard.stop") }));
  expect(asked.some((one) => one.method === "DELETE")).toBe(true);
  expect(fetched).toEqual([]);
  answers["GET /api/archive/works/5"] = work(5, "SAVE", { end: "STOPPED" });
  expect(await screen.findByRole("status")).toHaveTextContent(
    words("transfer.archiveCard.stopped"),
  );
  answers["POST /api/archive/works/save"] = work(6, "SAVE");
  answers["GET /api/archive/works/6"] = work(6, "SAVE", { end: "DONE", part: 1 });
  await userEvent.click(save);
  await waitFor(() => expect(fetched).toEqual(["/api/archive/works/6/file"]));
  expect(screen.queryByRole("progressbar")).not.toBeInTheDocument();
});

it("says why a file was refused", async () => {
  program({
    "GET /api/devices/here": { host: true },
    "GET /api/archive/backups": [],
    "POST /api/archive/works/look": work(1, "LOOK"),
  });
  show(<ArchiveCard />);
  await userEvent.upload(
    screen.getByLabelText(words("transfer.archiveCard.restoreHint")),
    new File(["no"], "all.zip", { type: "application/zip" }),
  );
  expect(await screen.findByRole("alert")).toBeVisible();
  expect(screen.queryByRole("progressbar")).not.toBeInTheDocument();
});

it("tells what is wrong with a model of an archive, keeps it out and lets the others come", async () => {
  const fault = { field: "flight[3].wind", value: "BLOWY", requirement: "one of [CALM]" };
  const asked = program({
    "GET /api/devices/here": { host: true },
    "GET /api/archive/backups": [],
    "POST /api/archive/works/look": work(1, "LOOK"),
    "GET /api/archive/works/1": work(1, "LOOK", {
      end: "DONE",
      contents: {
        writtenAt: "2026-05-01T12:00:00Z",
        models: [model(3, "Whole"), model(4, "Broken", [fault])],
        practice: 1,
        practiceFaults: [{ ...fault, field: "school_run[0].events" }],
      },
    }),
    "POST /api/archive/works/bring": work(2, "BRING"),
    "GET /api/archive/works/2": work(2, "BRING", {
      end: "DONE",
      brought: [{ id: 9, name: "Whole" }],
    }),
  });
  show(<ArchiveCard />);
  await userEvent.upload(
    screen.getByLabelText(words("transfer.archiveCard.restoreHint")),
    new File(["PK"], "all.zip", { type: "application/zip" }),
  );
  const broken = (await screen.findByText("Broken")).closest("li") ?? document.body;
  expect(within(broken).getByText("flight[3].wind")).toBeVisible();
  expect(within(broken).queryByRole("radiogroup")).not.toBeInTheDocument();
  expect(screen.getByText("school_run[0].events")).toBeVisible();
  await userEvent.click(
    screen.getByRole("button", {
      name: words("transfer.archiveCard.bring", { chosen: 1, withPractice: "false" }),
    }),
  );
  expect(await screen.findByRole("link", { name: "Whole" })).toHaveAttribute(
    "href",
    "/models/9/rig",
  );
  const sent = asked.find((one) => one.path.startsWith("/api/archive/works/bring"));
  expect(sent?.path).toContain("chosen=3");
  expect(sent?.path).not.toContain("4");
  expect(sent?.path).toContain("practice=false");
});
