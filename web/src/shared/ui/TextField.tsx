interface TextFieldProps {
  id: string;
  label: string;
  value: string;
  onChange: (value: string) => void;
  hint?: string;
  fault?: string | undefined;
  type?: "text" | "password" | "date" | "search";
  inputMode?: "numeric" | "decimal" | "text";
  autoComplete?: string;
  autoFocus?: boolean;
  placeholder?: string;
  max?: string;
  onFocus?: () => void;
  onBlur?: () => void;
  className?: string;
}

/** A labelled line to type in; a fault stands below it and is announced with it. */
export function TextField({
  id,
  label,
  value,
  onChange,
  hint,
  fault,
  type = "text",
  autoComplete = "off",
  className = "",
  ...rest
}: TextFieldProps) {
  const described = [fault ? `${id}-fault` : "", hint ? `${id}-hint` : ""].filter(Boolean).join(" ");
  return (
    <div className={className}>
      <label htmlFor={id} className="block text-read font-semibold">
        {label}
      </label>
      {hint && (
        <p id={`${id}-hint`} className="text-note text-soft">
          {hint}
        </p>
      )}
      <input
        id={id}
        type={type}
        value={value}
        autoComplete={autoComplete}
        aria-invalid={fault !== undefined}
        aria-describedby={described || undefined}
        onChange={(event) => {
          onChange(event.target.value);
        }}
        {...rest}
        className="mt-1 min-h-12 w-full rounded border border-edge bg-sheet px-3 text-read placeholder:text-soft aria-invalid:border-2 aria-invalid:border-for"
      />
      {fault && (
        <p id={`${id}-fault`} className="mt-1 text-note text-for">
          {fault}
        </p>
      )}
    </div>
  );
}
