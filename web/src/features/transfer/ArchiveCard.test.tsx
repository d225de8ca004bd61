import { screen, within } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { expect, it } from "vitest";
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

it("tells what is wrong with a model of an archive, keeps it out and lets the others come", async () => {
  const fault = { field: "flight[3].wind", value: "BLOWY", requirement: "one of [CALM]" };
  const asked = program({
    "GET /api/devices/here": { host: true },
    "GET /api/archive/backups": [],
    "POST /api/archive/look": {
      writtenAt: "2026-05-01T12:00:00Z",
      models: [model(3, "Whole"), model(4, "Broken", [fault])],
      practice: 1,
      practiceFaults: [{ ...fault, field: "school_run[0].events" }],
    },
    "POST /api/archive/bring": [{ id: 9, name: "Whole" }],
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
  const sent = asked.find((one) => one.path.startsWith("/api/archive/bring"));
  expect(sent?.path).toContain("chosen=3");
  expect(sent?.path).not.toContain("4");
  expect(sent?.path).toContain("practice=false");
});
