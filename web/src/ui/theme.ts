import { useState } from "react";
import { keep, kept } from "@/domain/storage";

type Theme = "light" | "dark";
const KEY = "high-tally.theme";

const isTheme = (value: unknown): value is Theme => value === "light" || value === "dark";

const current = (): Theme => {
  const chosen = kept(KEY, isTheme);
  if (chosen.state === "kept") {
    return chosen.value;
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
    keep(KEY, next);
    applyTheme(next);
    setTheme(next);
  };
  return [theme, turn];
}
