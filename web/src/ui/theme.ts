import { useEffect } from "react";
import { preference, usePreference } from "@/domain/preference";

export type Theme = "system" | "light" | "dark" | "sun";

/** The theme: as the system has it, or one of the page's own; “sun” has the highest contrast. */
export const theme = preference<Theme>("theme", ["system", "light", "dark", "sun"]);

/** How large text is. */
export const textSize = preference<"normal" | "large" | "largest">("text-size", [
  "normal",
  "large",
  "largest",
]);

const dark = () => matchMedia("(prefers-color-scheme: dark)").matches;

const shown = (chosen: Theme) => (chosen === "system" ? (dark() ? "dark" : "light") : chosen);

/** Puts the chosen look on the page. */
export function applyLook(): void {
  const { dataset } = document.documentElement;
  dataset.theme = shown(theme.now());
  dataset.text = textSize.now();
}

const NEXT: Record<Exclude<Theme, "system">, Exclude<Theme, "system">> = {
  light: "dark",
  dark: "sun",
  sun: "light",
};

/** The theme that is shown, the one a press goes to, and the press. */
export function useTheme() {
  const [chosen, choose] = usePreference(theme);
  const [size] = usePreference(textSize);
  useEffect(applyLook, [chosen, size]);
  const now = shown(chosen);
  const next = NEXT[now];
  return { now, next, turn: () => choose(next) };
}
