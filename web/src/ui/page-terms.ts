import { GLOSSARY, type TermName } from "./explained";

/** What is in the made-up language around every message. */
const MARKS = /[⟦⟧]/g;

const NAMES = (Object.keys(GLOSSARY) as TermName[]).map((term) => {
  const name = GLOSSARY[term][0].replace(MARKS, "").replace(/[.*+?^${}()|[\]\\]/g, "\\$&");
  return [term, new RegExp(`(?<!High )\\b${name}s?\\b`, "i")] as const;
});

/** A tap there already means something, or the words are a pilot's own. */
const TAKEN = "a, button, label, input, select, textarea, svg, [role=button], [data-typed]";

/** A term of a page, and the first place where its words can be marked; none where all are taken. */
export interface Standing {
  term: TermName;
  at: Range | undefined;
}

/** The terms of the glossary that a page says, in the order in which they first stand on it. */
export function termsOn(page: HTMLElement): Standing[] {
  const found = new Map<TermName, Standing>();
  const texts = document.createTreeWalker(page, NodeFilter.SHOW_TEXT);
  while (texts.nextNode()) {
    const text = texts.currentNode as Text;
    const matches = NAMES.filter(([term]) => found.get(term)?.at === undefined)
      .flatMap(([term, name]) => {
        const match = name.exec(text.data);
        return match === null ? [] : [{ term, from: match.index, length: match[0].length }];
      })
      .sort((one, other) => one.from - other.from);
    for (const { term, from, length } of matches) {
      found.set(term, { term, at: placeOf(text, from, length) });
    }
  }
  return [...found.values()];
}

function placeOf(text: Text, from: number, length: number): Range | undefined {
  if (text.parentElement?.closest(TAKEN) != null) {
    return undefined;
  }
  const range = document.createRange();
  range.setStart(text, from);
  range.setEnd(text, from + length);
  return range;
}
