import { useState } from "react";

type Theme = "light" | "dark";
const KEY = "high-tally.theme";

const current = (): Theme => {
  const kept = localStorage.getItem(KEY);
  if (kept === "light" || kept === "dark") {
    return kept;
  }
  return matchMedia("(prefers-color-scheme: dark)").matches ? "dark" : "light";
};

/** Puts the chosen theme, or the system's, on the page. */
export function applyTheme(theme: Theme = current()): void {
  document.documentElement.dataset.theme = theme;
}

/** The theme and a way to change it. */
export function useTheme(): [Theme, () => void] {
  const [theme, setTheme] = useState(current);
  const turn = () => {
    const next = theme === "light" ? "dark" : "light";
    localStorage.setItem(KEY, next);
    applyTheme(next);
    setTheme(next);
  };
  return [theme, turn];
}
