import { keepPreviousData, useQuery } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { keys } from "../shared/api/keys";

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

/** The answer of a calculator to entries that are sound; the last one stays in sight while the next is worked out. */
export function useCalculation<T>(name: string, entries: readonly unknown[], sound: boolean, ask: () => Promise<T>) {
  return useQuery({
    queryKey: keys.calculation(name, entries.join(" ")),
    queryFn: ask,
    enabled: sound,
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
}

/** Fields that take whole numbers: the key of each, and its label. */
type CountFields<K extends string> = readonly (readonly [K, string])[];

/** The labels of those that hold something else than a whole number from 0 to {@link most}. */
export function faultyCounts<K extends string>(
  fields: CountFields<K>,
  values: Readonly<Record<K, string>>,
  most: number,
): string[] {
  return fields.filter(([key]) => !isCount(values[key], most)).map(([, label]) => label);
}

interface CountsProps<K extends string> {
  fields: CountFields<K>;
  values: Readonly<Record<K, string>>;
  most: number;
  onChange: (key: K, value: string) => void;
}

/** Fields for whole numbers in two columns, and what is wrong with them. */
export function Counts<K extends string>({ fields, values, most, onChange }: CountsProps<K>) {
  const faulty = faultyCounts(fields, values, most);
  return (
    <>
      <div className="grid max-w-md grid-cols-2 gap-3">
        {fields.map(([key, label]) => (
          <Entry
            key={key}
            label={label}
            value={values[key]}
            onChange={(value) => {
              onChange(key, value);
            }}
          />
        ))}
      </div>
      {faulty.length > 0 && (
        <Fault>
          {faulty.join(", ")}: a whole number from 0 to {most} is needed.
        </Fault>
      )}
    </>
  );
}

function isCount(text: string, most: number): boolean {
  return /^\d{1,10}$/.test(text.trim()) && Number(text) <= most;
}
