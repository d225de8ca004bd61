import { Subpages } from "@/ui/subpages";

const PAGES = [
  ["", "Bench"],
  ["scenes", "Scenes"],
] as const;

/** The bench, and scenes played on it. */
export const CheckPages = () => <Subpages label="Check" pages={PAGES} />;
