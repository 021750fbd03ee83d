/** Labelled lines in two columns; the class sets the columns and the size. */
export function Facts({ lines, className }: { lines: [string, string][]; className: string }) {
  return (
    <dl className={`grid ${className}`}>
      {lines.map(([label, text], index) => (
        <div key={index} className="contents">
          <dt className="text-soft">{label}</dt>
          <dd>{text}</dd>
        </div>
      ))}
    </dl>
  );
}
