import { CircleHelp, Moon, Sun } from "lucide-react";
import { useEffect, useState } from "react";
import { Link, Outlet } from "react-router";
import { Modal } from "@/ui/modal";
import { useTheme } from "@/ui/theme";

const SHORTCUTS: [keys: string, what: string][] = [
  ["?", "This list"],
  ["Arrow keys", "Move the stick that has the focus; Home centres it"],
  ["Enter or Space", "Choose the surface that has the focus"],
  ["Ctrl+Z, Ctrl+Shift+Z", "Undo and redo a change of the setup"],
  ["N or →", "Next step of a work order"],
  ["B or ←", "One step back"],
];

/** The frame around every page. */
export function Shell() {
  const [theme, turnTheme] = useTheme();
  const [help, setHelp] = useState(false);
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      if (event.key === "?" && !(event.target instanceof HTMLInputElement)) {
        setHelp(true);
      }
    };
    addEventListener("keydown", key);
    return () => removeEventListener("keydown", key);
  }, []);
  const icon = "grid size-9 place-items-center rounded-card hover:bg-white/15";
  return (
    <div className="min-h-dvh">
      <header className="no-print flex h-12 items-center gap-4 bg-[#12433d] px-4 text-[#f4f7f4]">
        <Link
          to="/"
          className="flex items-center gap-2 text-lg font-semibold tracking-tight whitespace-nowrap"
        >
          <img src="/tally.svg" alt="" className="size-8" />
          High Tally
        </Link>
        <nav className="flex gap-1 text-sm whitespace-nowrap" aria-label="Program">
          <Link to="/" className="hidden rounded-card px-3 py-1.5 hover:bg-white/15 sm:block">
            Hangar
          </Link>
          <Link to="/new" className="rounded-card px-3 py-1.5 hover:bg-white/15">
            New model
          </Link>
          <Link
            to="/bring-in"
            className="hidden rounded-card px-3 py-1.5 hover:bg-white/15 sm:block"
          >
            Bring in a file
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
      <main>
        <Outlet />
      </main>
      <Modal
        open={help}
        onOpen={setHelp}
        title="Keyboard"
        description="Keys that work at the bench."
      >
        <dl className="grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
          {SHORTCUTS.map(([keys, what]) => (
            <div key={keys} className="contents">
              <dt className="font-semibold">{keys}</dt>
              <dd>{what}</dd>
            </div>
          ))}
        </dl>
      </Modal>
    </div>
  );
}
