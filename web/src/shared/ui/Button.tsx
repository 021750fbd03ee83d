import type { ButtonHTMLAttributes, MouseEvent } from "react";

interface ButtonProps extends ButtonHTMLAttributes<HTMLButtonElement> {
  /** quiet: a plain action. primary: the one thing to do next, tan with a double edge. choice: an answer, ink once chosen. */
  look?: "quiet" | "primary" | "choice";
  /** For a choice: whether it holds. */
  chosen?: boolean;
  /** The key that does the same, shown in the button. */
  keycap?: string;
}

const LOOKS = {
  quiet: "border border-edge bg-sheet text-ink hover:bg-tan",
  primary:
    "border-2 border-ink bg-tan text-ink font-semibold shadow-[inset_0_0_0_2px_var(--color-sheet)] hover:bg-line",
  choice: "border border-edge bg-sheet text-ink hover:bg-tan", // the same weight chosen or not, so that nothing moves
};

/** A button at least 48 px high. A tap leaves no focus behind, so that a later key does not repeat it. */
export function Button({ look = "quiet", chosen, keycap, className = "", children, onClick, ...rest }: ButtonProps) {
  const release = (event: MouseEvent<HTMLButtonElement>) => {
    if (event.detail > 0) {
      event.currentTarget.blur();
    }
    onClick?.(event);
  };
  const state = look === "choice" && chosen ? "border border-ink bg-ink text-white" : LOOKS[look];
  return (
    <button
      type="button"
      aria-pressed={look === "choice" ? (chosen ?? false) : undefined}
      onClick={release}
      className={`inline-flex min-h-12 items-center justify-between gap-1.5 rounded px-2.5 text-read leading-tight disabled:opacity-60 ${state} ${className}`}
      {...rest}
    >
      <span className="text-left">{children}</span>
      {keycap && <Keycap>{keycap}</Keycap>}
    </button>
  );
}

/** The name of a key. Hidden where there is no keyboard to speak of. */
export function Keycap({ children }: { children: string }) {
  return (
    <kbd aria-hidden="true" className="hidden font-sans text-sm leading-5 md:inline-block">
      {children}
    </kbd>
  );
}
