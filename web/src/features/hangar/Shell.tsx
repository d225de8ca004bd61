import { CircleHelp, Moon, Sun } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { Link, Outlet, useLocation, useMatches } from "react-router";
import { focusMain, MAIN } from "@/ui/focus";
import { Modal } from "@/ui/modal";
import { SHORTCUTS, useShortcut } from "@/ui/shortcuts";
import { useTheme } from "@/ui/theme";

/** The frame around every page. */
export function Shell() {
  const [theme, turnTheme] = useTheme();
  const [help, setHelp] = useState(false);
  useShortcut("help", () => setHelp(true));
  useArrival();
  const icon = "grid size-9 place-items-center rounded-card hover:bg-white/15";
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
        Skip to the page
      </a>
      <header className="no-print flex h-12 items-center gap-4 bg-[#12433d] px-4 text-[#f4f7f4]">
        <Link
          to="/"
          className="flex items-center gap-2 text-lg font-semibold tracking-tight whitespace-nowrap"
        >
          <img src="/tally.svg" alt="" className="size-8" />
          High Tally
        </Link>
        <nav className="flex gap-1 text-sm whitespace-nowrap" aria-label="High Tally">
          <Link to="/" className="hidden rounded-card px-3 py-1.5 hover:bg-white/15 sm:block">
            Hangar
          </Link>
          <Link to="/new" className="rounded-card px-3 py-1.5 hover:bg-white/15">
            New model
          </Link>
          <Link to="/school" className="rounded-card px-3 py-1.5 hover:bg-white/15">
            School
          </Link>
          <Link
            to="/bring-in"
            className="hidden rounded-card px-3 py-1.5 hover:bg-white/15 sm:block"
          >
            Files
          </Link>
        </nav>
        <div className="ml-auto flex gap-1">
          <button
            type="button"
            className={icon}
            aria-label="Keyboard shortcuts"
            onClick={() => setHelp(true)}
          >
            <CircleHelp aria-hidden size={19} />
          </button>
          <button
            type="button"
            className={icon}
            aria-label={theme === "light" ? "Dark theme" : "Light theme"}
            onClick={turnTheme}
          >
            {theme === "light" ? <Moon aria-hidden size={19} /> : <Sun aria-hidden size={19} />}
          </button>
        </div>
      </header>
      <main id={MAIN} tabIndex={-1} className="outline-none">
        <Outlet />
      </main>
      <Modal
        open={help}
        onOpen={setHelp}
        title="Keyboard"
        description="Keys that work at the bench."
      >
        <ShortcutList />
      </Modal>
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

/** Every page has its own title, and begins where the focus is put when it is opened. */
function useArrival(): void {
  const matches = useMatches();
  const { pathname } = useLocation();
  const titles = matches.flatMap((one) => {
    const { title } = (one.handle ?? {}) as { title?: string };
    return title === undefined ? [] : [title];
  });
  const title = [titles.at(-1), "High Tally"].filter(Boolean).join(" · ");
  const before = useRef(pathname);
  useEffect(() => {
    if (before.current !== pathname) {
      before.current = pathname;
      focusMain();
    }
  }, [pathname]);
  useEffect(() => {
    document.title = title;
  }, [title]);
}
