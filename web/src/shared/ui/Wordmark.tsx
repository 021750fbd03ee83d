import { Link } from "react-router";

/** The product's name with its beam, the way back to the list. A phone has room for the beam alone. */
export function Wordmark() {
  return (
    <Link to="/" className="flex min-h-12 shrink-0 items-center gap-2 font-serif text-2xl font-semibold">
      <svg width={30} height={26} viewBox="0 0 30 26" aria-hidden="true" focusable="false">
        <path d="M2 17L28 10" stroke="currentColor" strokeWidth={2.4} />
        <path d="M15 14l5 10H10z" fill="none" stroke="currentColor" strokeWidth={2} strokeLinejoin="round" />
        <path d="M17 2h6l3.5 3.5L23 9h-6z" fill="var(--color-for)" transform="rotate(-15 21 6)" />
      </svg>
      <span className="sr-only sm:not-sr-only">Lexicor</span>
    </Link>
  );
}
