import type { Schemas } from "../api/client";
import { capital } from "../format";
import { Button } from "./Button";

interface ListedAnswersProps {
  listed: Schemas["ListedSettingJson"];
  value: string;
  disabled?: boolean;
  onChoose: (value: string) => void;
}

/** The values of a setting that is one of a list, the one in force chosen. */
export function ListedAnswers({ listed, value, disabled = false, onChoose }: ListedAnswersProps) {
  return listed.allowed.map((each) => (
    <Button
      key={each}
      look="choice"
      chosen={value === each}
      disabled={disabled}
      className="disabled:opacity-100"
      onClick={() => {
        onChoose(each);
      }}
    >
      {capital(each)}
    </Button>
  ));
}
