import { NavLink, Outlet } from "react-router";

interface Props {
  label: string;
  pages: readonly (readonly [to: string, label: string])[];
}

/** The pages under one place of the loop, as tabs of a folder. */
export function Subpages({ label, pages }: Props) {
  return (
    <>
      <nav aria-label={label} className="no-print overflow-x-auto">
        <ul className="flex gap-1 border-b border-line-strong">
          {pages.map(([to, words]) => (
            <li key={to}>
              <NavLink
                to={to}
                end
                className={({ isActive }) =>
                  `-mb-px block rounded-t-card border px-3 py-1 whitespace-nowrap ${isActive ? "border-line-strong border-b-sheet bg-sheet font-semibold" : "border-transparent text-soft hover:bg-inset"}`
                }
              >
                {words}
              </NavLink>
            </li>
          ))}
        </ul>
      </nav>
      <Outlet />
    </>
  );
}
