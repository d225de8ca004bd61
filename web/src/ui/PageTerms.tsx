import { Popover } from "radix-ui";
import { useEffect, useRef, useState } from "react";
import { say } from "@/words/generated/ui";
import { Explained, TermSentence, type TermName } from "./explained";
import { termsOn, type Standing } from "./page-terms";

/** How long a page must hold still before it is read again, ms. */
const STILL_MS = 400;

const NAME = "term";

/**
 * The terms a newcomer may not know, whatever page it is: each is marked where it first stands and
 * explains itself when it is tapped there; all of them are listed below for the keyboard.
 */
export default function PageTerms({ page }: { page: string }) {
  const [terms, setTerms] = useState<TermName[]>([]);
  const standing = useRef<Standing[]>([]);
  const [tapped, setTapped] = useState<Standing>();
  useEffect(() => {
    const main = document.getElementById(page);
    if (main === null) {
      return undefined;
    }
    let soon = 0;
    const read = () => {
      standing.current = termsOn(main);
      mark(standing.current);
      const now = standing.current.map((one) => one.term);
      setTerms((before) => (before.join() === now.join() ? before : now));
    };
    const later = () => {
      clearTimeout(soon);
      soon = window.setTimeout(read, STILL_MS);
    };
    const tap = (event: MouseEvent) => {
      const at = caretAt(event);
      setTapped(at && standing.current.find((one) => one.at?.isPointInRange(...at) === true));
    };
    const watch = new MutationObserver(later);
    watch.observe(main, { childList: true, subtree: true });
    main.addEventListener("click", tap);
    later();
    return () => {
      clearTimeout(soon);
      watch.disconnect();
      main.removeEventListener("click", tap);
      mark([]);
    };
  }, [page]);
  if (terms.length === 0) {
    return null;
  }
  return (
    <aside
      className="no-print mx-auto flex max-w-[1400px] flex-wrap items-baseline gap-x-3 px-4 py-3 text-sm text-soft max-sm:text-base [&_button]:min-w-[24px] max-sm:[&_button]:min-h-[48px] max-sm:[&_button]:min-w-[48px]"
      data-terms
    >
      <span>{say("pageTerms.termsHere")}</span>
      {terms.map((term) => (
        <Explained key={term} term={term} />
      ))}
      <Popover.Root open={tapped !== undefined} onOpenChange={() => setTapped(undefined)}>
        <Popover.Anchor virtualRef={{ current: tapped?.at ?? document.body }} />
        <Popover.Portal>{tapped && <TermSentence term={tapped.term} />}</Popover.Portal>
      </Popover.Root>
    </aside>
  );
}

/** Marks the places, where the browser can. */
function mark(standing: Standing[]) {
  if (typeof CSS !== "undefined" && "highlights" in CSS && typeof Highlight !== "undefined") {
    const ranges = standing.flatMap(({ at }) => at ?? []);
    CSS.highlights.set(NAME, new Highlight(...ranges));
  }
}

/** The letter under a tap. */
function caretAt({ clientX, clientY }: MouseEvent): [node: Node, offset: number] | undefined {
  const range = document.caretRangeFromPoint?.(clientX, clientY);
  return range == null ? undefined : [range.startContainer, range.startOffset];
}
