import type { ReactNode } from "react";

interface EntryProps {
  label: string;
  value: string;
  /** Most characters that it takes. */
  longest?: number;
  onChange: (value: string) => void;
}

/** A field of a calculator. */
export function Entry({ label, value, longest = 12, onChange }: EntryProps) {
  return (
    <label className="text-note">
      {label}
      <input
        inputMode="decimal"
        value={value}
        maxLength={longest}
        onChange={(event) => {
          onChange(event.target.value);
        }}
        className="mt-1 block min-h-12 w-full rounded border border-edge bg-sheet px-3 text-read"
      />
    </label>
  );
}

/** What is wrong with the entries, and what is allowed. */
export function Fault({ children }: { children: ReactNode }) {
  return (
    <p role="alert" className="mt-3 border-l-4 border-for bg-sheet px-3 py-2 text-read">
      {children}
    </p>
  );
}

/** A whole number that the calculators take. */
export function isCount(text: string): boolean {
  return /^\d{1,10}$/.test(text.trim()) && Number(text) <= 1_000_000_000;
}
