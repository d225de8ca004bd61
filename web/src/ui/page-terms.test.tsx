import { render, screen, waitFor } from "@testing-library/react";
import userEvent from "@testing-library/user-event";
import { describe, expect, it } from "vitest";
import { GLOSSARY } from "./explained";
import { termsOn } from "./page-terms";
import PageTerms from "./PageTerms";
import { words } from "@/test/words";

const page = (html: string) => {
  const main = document.createElement("main");
  main.innerHTML = html;
  return main;
};

describe("the terms of a page", () => {
  it("finds every term of the glossary by its own name, alone and in a sentence", () => {
    for (const [term, [name]] of Object.entries(GLOSSARY)) {
      const found = termsOn(page(`<p>Look at the ${name.toLowerCase()} first.</p>`));
      expect(found.map((one) => one.term)).toContain(term);
    }
  });

  it("marks the first place that means nothing else yet, and keeps the order of the page", () => {
    const main = page(
      "<button>Sub-trim</button><p>The tally of two revisions.</p><p>Sub-trim, tally.</p>",
    );
    const found = termsOn(main);
    expect(found.map((one) => one.term)).toEqual(["subTrim", "tally", "revision"]);
    expect(found.map((one) => one.at?.toString())).toEqual(["Sub-trim", "tally", "revisions"]);
    expect(found[0]?.at?.startContainer.parentElement?.tagName).toBe("P");
  });

  it("takes no part of another word, and nothing a pilot typed", () => {
    expect(termsOn(page("<p>Totally strange expository prose of High Tally.</p>"))).toEqual([]);
    expect(termsOn(page("<p data-typed>tally</p>"))[0]?.at).toBeUndefined();
  });

  it("lists them for the keyboard, and again when the page has changed", async () => {
    const main = page("<p>Your expo.</p>");
    main.id = "read";
    document.body.append(main);
    render(<PageTerms page="read" />);
    await userEvent.click(await screen.findByRole("button", { name: "expo" }));
    expect(screen.getByText(GLOSSARY.expo[1])).toBeInTheDocument();
    main.append(page("<p>Grounded.</p>"));
    await waitFor(() =>
      expect(screen.getAllByText(words("model.grounded.grounded")).length).toBe(1),
    );
    main.remove();
  });
});
