import { NavLink, Outlet } from "react-router";

const PAGES = [
  ["", "Linkages and throws"],
  ["airframe", "Airframe"],
  ["map", "Channel map"],
  ["set-up", "Bench set-up"],
  ["balance", "Balance"],
  ["changes", "Changed parts and sources"],
] as const;

/** The pages of the rig, in the order in which a model is rigged. */
export function RigPages() {
  return (
    <>
      <nav aria-label="Rig" className="no-print overflow-x-auto">
        <ul className="flex gap-1 border-b border-line-strong">
          {PAGES.map(([to, label]) => (
            <li key={to}>
              <NavLink
                to={to}
                end
                className={({ isActive }) =>
                  `-mb-px block rounded-t-card border px-3 py-1 whitespace-nowrap ${isActive ? "border-line-strong border-b-sheet bg-sheet font-semibold" : "border-transparent text-soft hover:bg-inset"}`
                }
              >
                {label}
              </NavLink>
            </li>
          ))}
        </ul>
      </nav>
      <Outlet />
    </>
  );
}
