import type { ComponentProps } from "react";

type Look = "main" | "plain" | "quiet" | "warn";

const LOOKS: Record<Look, string> = {
  main: "bg-brand text-on-brand border-brand hover:brightness-110",
  plain: "bg-sheet text-ink border-line-strong hover:bg-inset",
  quiet: "bg-transparent text-ink border-transparent hover:bg-inset",
  warn: "bg-sheet text-grounded border-grounded hover:bg-inset",
};

const SHAPE =
  "inline-flex items-center justify-center gap-2 rounded-card border font-medium disabled:opacity-45 disabled:cursor-not-allowed";

export const buttonClass = (look: Look = "plain", large = false) =>
  `${SHAPE} ${LOOKS[look]} ${large ? "min-h-14 px-6 text-lg" : "min-h-9 px-3.5"}`;

interface Props extends ComponentProps<"button"> {
  look?: Look;
  large?: boolean;
}

/** Every button of the page. */
export function Button({ look = "plain", large = false, className = "", ...rest }: Props) {
  return <button type="button" className={`${buttonClass(look, large)} ${className}`} {...rest} />;
}
