import { CircleHelp, Contrast, Menu, Moon, Sun } from "lucide-react";
import { lazy, Suspense, useEffect, useRef, useState } from "react";
import {
  Link,
  NavigationType,
  Outlet,
  useLocation,
  useMatches,
  useNavigationType,
} from "react-router";
import { useShutOut } from "@/api/door";
import { usePreference } from "@/domain/preference";
import { decimalMark, lengthUnit } from "@/domain/reader";
import { useStandingIf } from "@/api/queries";
import { usePost } from "@/api/field-work";
import { OfflineBanner } from "./OfflineBanner";
import { focusMain, MAIN } from "@/ui/focus";
import { Modal } from "@/ui/modal";
import { SHORTCUTS, useShortcut } from "@/ui/shortcuts";
import { useTheme } from "@/ui/theme";
import { Say, say } from "@/words/generated/hangar";

/** The glossary comes once the page is there. */
const PageTerms = lazy(() => import("@/ui/PageTerms"));

const PAGES = [
  ["/", say("shell.hangar")],
  ["/new", say("shell.newModel")],
  ["/school", say("shell.school")],
  ["/bring-in", say("shell.files")],
  ["/settings", say("shell.settings")],
] as const;

const THEMES = {
  light: say("shell.lightTheme"),
  dark: say("shell.darkTheme"),
  sun: say("shell.sunlightTheme"),
};
const ICONS = { light: Sun, dark: Moon, sun: Contrast };
const IN_HEADER =
  "rounded-card hover:bg-white/15 focus-visible:outline-[#f4f7f4] grid place-items-center";

/** The frame around every page. */
export function Shell() {
  const theme = useTheme();
  const [help, setHelp] = useState(false);
  const [length] = usePreference(lengthUnit);
  const [mark] = usePreference(decimalMark);
  useShortcut("help", () => setHelp(true));
  useArrival();
  usePost();
  const Icon = ICONS[theme.next];
  return (
    <div className="min-h-dvh">
      <a
        href={`#${MAIN}`}
        className="sr-only z-50 rounded-card bg-sheet px-4 py-2 text-ink focus:not-sr-only focus:absolute focus:top-1 focus:left-1"
        onClick={(event) => {
          event.preventDefault();
          focusMain();
        }}
      >
        {say("shell.skip")}
      </a>
      <header className="no-print flex h-12 items-center gap-4 bg-[#12433d] px-4 text-[#f4f7f4]">
        <Link
          to="/"
          className="flex items-center gap-2 rounded-card text-lg font-semibold tracking-tight whitespace-nowrap focus-visible:outline-[#f4f7f4]"
        >
          <img src="/tally.svg" alt="" className="size-8" />
          {say("shell.highTally")}
        </Link>
        <nav
          className="hidden gap-1 text-sm whitespace-nowrap sm:flex"
          aria-label={say("shell.highTally")}
        >
          {PAGES.map(([to, words]) => (
            <Link key={to} to={to} className={`${IN_HEADER} px-3 py-1.5`}>
              {words}
            </Link>
          ))}
        </nav>
        <div className="ml-auto flex gap-1">
          <button
            type="button"
            className={`${IN_HEADER} hidden size-9 sm:grid`}
            aria-label={say("shell.keyboardShortcuts")}
            onClick={() => setHelp(true)}
          >
            <CircleHelp aria-hidden size={19} />
          </button>
          <button
            type="button"
            className={`${IN_HEADER} size-12 sm:size-9`}
            aria-label={THEMES[theme.next]}
            onClick={theme.turn}
          >
            <Icon aria-hidden size={19} />
          </button>
          <PhoneMenu />
        </div>
      </header>
      <Notices />
      <main id={MAIN} tabIndex={-1} className="outline-none">
        <Outlet key={`${length} ${mark}`} />
      </main>
      <Suspense>
        <PageTerms page={MAIN} />
      </Suspense>
      <Modal
        open={help}
        onOpen={setHelp}
        title={say("shell.keyboard")}
        description={say("shell.keys")}
      >
        <ShortcutList />
      </Modal>
    </div>
  );
}

/** All pages in one list, where the header has no room for them. */
function PhoneMenu() {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className={`${IN_HEADER} size-12 sm:hidden`}
        aria-label={say("shell.allPages")}
        onClick={() => setOpen(true)}
      >
        <Menu aria-hidden size={22} />
      </button>
      <Modal
        open={open}
        onOpen={setOpen}
        title={say("shell.allPages")}
        description={say("shell.menu")}
      >
        <nav aria-label={say("shell.allPages")}>
          {PAGES.map(([to, words]) => (
            <Link
              key={to}
              to={to}
              className="flex min-h-12 items-center rounded-card px-2 text-lg hover:bg-inset"
              onClick={() => setOpen(false)}
            >
              {words}
            </Link>
          ))}
        </nav>
      </Modal>
    </>
  );
}

/** What holds for every page: this device is not let in, or the program is out of reach. */
function Notices() {
  const shut = useShutOut();
  const { pathname } = useLocation();
  return (
    <div className="no-print">
      {shut && pathname !== "/let-in" && (
        <p role="alert" className="border-l-4 border-grounded bg-sheet px-4 py-3">
          <Say
            id="shell.noAccess"
            values={{
              link: (words) => (
                <Link to="/let-in" className="font-semibold underline">
                  {words}
                </Link>
              ),
            }}
          />
        </p>
      )}
      <OfflineBanner />
    </div>
  );
}

function ShortcutList() {
  return (
    <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
      {Object.values(SHORTCUTS).map(({ keys, what }) => (
        <div key={keys} className="contents">
          <dt className="font-semibold">{keys}</dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  );
}

/** Every page has its own title, the model’s name in it, and begins where the focus is put when it is opened. */
function useArrival(): void {
  const matches = useMatches();
  const { pathname } = useLocation();
  const titles = matches.flatMap((one) => {
    const { title } = (one.handle ?? {}) as { title?: string };
    return title === undefined ? [] : [title];
  });
  const open = useStandingIf(matches.at(-1)?.params.id);
  const model = open.data?.newest.setup.name;
  const title = [titles.at(-1), model, say("shell.highTally")].filter(Boolean).join(" · ");
  const how = useNavigationType();
  const before = useRef(pathname);
  useEffect(() => {
    if (before.current !== pathname) {
      before.current = pathname;
      // Another page begins at its top; going back finds the place that was left.
      if (how !== NavigationType.Pop) {
        scrollTo(0, 0);
      }
      focusMain();
    }
  }, [pathname, how]);
  useEffect(() => {
    document.title = title;
  }, [title]);
}
