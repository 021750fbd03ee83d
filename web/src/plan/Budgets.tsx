import { Button } from "../shared/ui/Button";
import { Strip } from "../shared/ui/Strip";

/** Minutes that can be chosen; undefined for as many tests as are worth doing. */
const BUDGETS: readonly [number | undefined, string][] = [
  [5, "5 min"],
  [10, "10 min"],
  [15, "15 min"],
  [20, "20 min"],
  [undefined, "As needed"],
];

/** The time there is, one of a few. */
export function Budgets({
  minutes,
  onChoose,
}: {
  minutes: number | undefined;
  onChoose: (minutes: number | undefined) => void;
}) {
  return (
    <Strip label="Time there is">
      {BUDGETS.map(([value, name]) => (
        <Button
          key={name}
          look="choice"
          chosen={minutes === value}
          onClick={() => {
            onChoose(value);
          }}
        >
          {name}
        </Button>
      ))}
    </Strip>
  );
}
