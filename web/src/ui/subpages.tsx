import type { ReactNode } from "react";
import { NavLink, Outlet } from "react-router";

interface Props {
  label: string;
  pages: readonly (readonly [to: string, label: string])[];
  /** What belongs to all of them. */
  aside?: ReactNode;
}

/** The pages under one place of the loop, as tabs of a folder. */
export function Subpages({ label, pages, aside }: Props) {
  return (
    <>
      <div className="no-print flex items-end gap-3 border-b border-line-strong">
        <nav
          aria-label={label}
          className="-mb-px min-w-0 flex-1 overflow-x-auto overflow-y-hidden pb-px"
        >
          <ul className="flex gap-1">
            {pages.map(([to, words]) => (
              <li key={to}>
                <NavLink
                  to={to}
                  end
                  className={({ isActive }) =>
                    `-mb-px flex min-h-9 items-center rounded-t-card border px-3 py-1 whitespace-nowrap ${isActive ? "border-line-strong border-b-sheet bg-sheet font-semibold" : "border-transparent text-soft hover:bg-inset"}`
                  }
                >
                  {words}
                </NavLink>
              </li>
            ))}
          </ul>
        </nav>
        {aside !== undefined && <div className="shrink-0 pb-1">{aside}</div>}
      </div>
      <Outlet />
    </>
  );
}
