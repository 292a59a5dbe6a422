import type { ComponentProps } from "react";

type Look = "now" | "plain" | "quiet";

const LOOKS: Record<Look, string> = {
  now: "bg-accent text-on-accent font-bold border border-accent",
  plain: "bg-raised text-ink border border-hair font-semibold hover:border-line",
  quiet: "bg-transparent text-ink border border-transparent font-semibold hover:border-hair",
};

interface ButtonProps extends ComponentProps<"button"> {
  /** `now` is the one thing to do next on a screen. */
  look?: Look;
}

export const buttonClass = (look: Look = "plain") =>
  `inline-flex min-h-11 items-center justify-center gap-2 rounded px-4 no-underline ${LOOKS[look]}`;

export function Button({ look = "plain", className = "", type = "button", ...rest }: ButtonProps) {
  return <button type={type} className={`${buttonClass(look)} ${className}`} {...rest} />;
}
