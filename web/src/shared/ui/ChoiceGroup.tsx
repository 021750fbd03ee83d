import { Button } from "./Button";
import { Strip } from "./Strip";

interface ChoiceGroupProps {
  id: string;
  label: string;
  hint?: string;
  fault?: string | undefined;
  value: string | undefined;
  options: [string, string][];
  onChoose: (value: string) => void;
}

/** One of a few answers, side by side. */
export function ChoiceGroup({ id, label, hint, fault, value, options, onChoose }: ChoiceGroupProps) {
  return (
    <div role="group" aria-labelledby={`${id}-label`}>
      <p id={`${id}-label`} className="text-read font-semibold">
        {label}
      </p>
      {hint && <p className="text-note text-soft">{hint}</p>}
      <Strip className="mt-1">
        {options.map(([each, words]) => (
          <Button
            key={each}
            look="choice"
            chosen={value === each}
            onClick={() => {
              onChoose(each);
            }}
          >
            {words}
          </Button>
        ))}
      </Strip>
      {fault && (
        <p role="alert" className="mt-1 text-note text-for">
          {fault}
        </p>
      )}
    </div>
  );
}
