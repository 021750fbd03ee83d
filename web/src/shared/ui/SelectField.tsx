interface SelectFieldProps {
  id: string;
  label: string;
  hint?: string;
  value: string;
  fault?: string | undefined;
  /** What is chosen from; parts of it may stand under headings. */
  options: { group?: string; options: [string, string][] }[];
  onChoose: (value: string) => void;
  /** What stands where nothing is chosen. */
  none?: string;
}

/** A labelled list to choose one from; a fault stands below it. */
export function SelectField({ id, label, hint, value, fault, options, onChoose, none = "Choose" }: SelectFieldProps) {
  return (
    <div>
      <label htmlFor={id} className="block text-read font-semibold">
        {label}
      </label>
      {hint && <p className="text-note text-soft">{hint}</p>}
      <select
        id={id}
        value={value}
        aria-invalid={fault !== undefined}
        aria-describedby={fault ? `${id}-fault` : undefined}
        onChange={(event) => {
          onChoose(event.target.value);
        }}
        className="mt-1 min-h-12 w-full rounded border border-edge bg-sheet px-3 text-read aria-invalid:border-2 aria-invalid:border-for"
      >
        <option value="">{none}</option>
        {options.map((part) =>
          part.group ? (
            <optgroup key={part.group} label={part.group}>
              {part.options.map(option)}
            </optgroup>
          ) : (
            part.options.map(option)
          ),
        )}
      </select>
      {fault && (
        <p id={`${id}-fault`} className="mt-1 text-note text-for">
          {fault}
        </p>
      )}
    </div>
  );
}

function option([value, words]: [string, string]) {
  return (
    <option key={value} value={value}>
      {words}
    </option>
  );
}
