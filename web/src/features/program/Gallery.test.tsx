import { screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { useState } from "react";
import { describe, expect, it } from "vitest";
import type { Draft } from "@/domain/draft";
import { answers, program, show, type Asked } from "@/test/page";
import { words } from "@/test/words";
import { Gallery } from "./Gallery";

const [first, second] = answers.gallery;

function Left() {
  const [left, setLeft] = useState(false);
  return left ? null : (
    <>
      <Gallery />
      <button onClick={() => setLeft(true)}>Leave</button>
    </>
  );
}

describe("the gallery of mixes", () => {
  it("keeps the one taken up while another is being built", async () => {
    let answer: (reply: unknown) => void = () => undefined;
    const drafts: Draft[] = [];
    const asked: Asked[] = program({
      "POST /program/gallery": answers.gallery,
      "POST /edits/mixes": () => new Promise((resolve) => (answer = resolve)),
    });
    show(<Gallery />, { onDraft: (draft) => drafts.push(draft) });
    await userEvent.click(await screen.findByRole("button", { name: first?.title ?? "" }));
    await userEvent.click(screen.getByRole("button", { name: words("program.gallery.add") }));
    await userEvent.click(screen.getByRole("button", { name: second?.title ?? "" }));
    expect(screen.getByText(second?.reason ?? "")).toBeInTheDocument();
    answer({ setup: { ...answers.setup, name: "With a mix" } });
    await waitFor(() => expect(drafts.at(-1)?.present.name).toBe("With a mix"));
    expect(screen.getByText(second?.reason ?? "")).toBeInTheDocument();
    expect(screen.getByRole("button", { name: words("program.gallery.add") })).toBeEnabled();
    expect(asked.filter((one) => one.path.endsWith("/edits/mixes"))).toHaveLength(1);
  });

  it("builds also when its page has been left meanwhile", async () => {
    let answer: (reply: unknown) => void = () => undefined;
    const drafts: Draft[] = [];
    program({
      "POST /program/gallery": answers.gallery,
      "POST /edits/mixes": () => new Promise((resolve) => (answer = resolve)),
    });
    show(<Left />, { onDraft: (draft) => drafts.push(draft) });
    await userEvent.click(await screen.findByRole("button", { name: first?.title ?? "" }));
    await userEvent.click(screen.getByRole("button", { name: words("program.gallery.add") }));
    await userEvent.click(screen.getByRole("button", { name: "Leave" }));
    expect(screen.queryByText(words("program.gallery.title"))).not.toBeInTheDocument();
    answer({ setup: { ...answers.setup, name: "With a mix" } });
    await waitFor(() => expect(drafts.at(-1)?.present.name).toBe("With a mix"));
  });

  it("puts away what has been built", async () => {
    program({
      "POST /program/gallery": answers.gallery,
      "POST /edits/mixes": { setup: answers.setup },
    });
    show(<Gallery />);
    await userEvent.click(await screen.findByRole("button", { name: first?.title ?? "" }));
    await userEvent.click(screen.getByRole("button", { name: words("program.gallery.add") }));
    await waitFor(() =>
      expect(screen.queryByRole("button", { name: words("program.gallery.add") })).toBeNull(),
    );
  });
});
