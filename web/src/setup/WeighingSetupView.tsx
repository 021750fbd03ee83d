import type { Schemas } from "../shared/api/client";
import { Waiting } from "../shared/ui/Message";
import { NumberField } from "./NumberField";
import { OwnEstimates } from "./OwnEstimates";
import { SetupPart } from "./SetupPart";
import { useSettings } from "../shared/useSettings";

const MOST_RHO = 0.95;
const MOST_LINK = 0.5;
const MOST_SPREAD = 2;
const ORIGIN: Record<Schemas["GroupSettingJson"]["origin"], string> = {
  ASSUMED: "assumed, no study gives it",
  LEARNT: "learnt from published sets",
  CHOSEN: "set by hand",
};

/** What the weighing assumes: how far tests repeat each other, how far figures carry over, and the clinic's own estimates. */
export function WeighingSetupView() {
  const settings = useSettings();
  if (!settings) {
    return <Waiting what="the assumptions" />;
  }
  const { assumptions } = settings;
  return (
    <SetupPart title="Weighing" about="What the weighing assumes. It counts for examinations begun from now on.">
      <Row
        name="Between studies"
        about="How far a study's figures differ elsewhere: standard deviation on the logit, 0 to 2. Without it a range shows chance alone and promises too much."
      >
        <NumberField setting={assumptions.betweenStudies} label="Spread between studies" most={MOST_SPREAD} />
      </Row>
      <Row
        name="Between groups"
        about="How far findings of different groups lean the same way, since they come from one body: 0 to 0.5."
      >
        <NumberField setting={assumptions.link} label="Correlation between groups" most={MOST_LINK} />
      </Row>
      <h2 className="mt-6 font-serif text-2xl font-semibold">Within groups</h2>
      <p className="text-note text-soft">
        How far tests of one group repeat each other: 0 counts each as news, 0.95 nearly as one.
      </p>
      {assumptions.groups.map((group) => (
        <Row
          key={group.name}
          name={group.label}
          about={`${group.tests.join(", ")}. ${group.shipped.toFixed(2)} is ${ORIGIN[group.origin]}, could be ${group.lower.toFixed(2)} to ${group.upper.toFixed(2)}.`}
        >
          <NumberField setting={group} label={`Correlation of ${group.label}`} most={MOST_RHO} />
        </Row>
      ))}
      <OwnEstimates settings={settings} />
    </SetupPart>
  );
}

function Row({ name, about, children }: { name: string; about: string; children: React.ReactNode }) {
  return (
    <div className="grid items-center gap-x-6 border-t border-line py-2 sm:grid-cols-[1fr_18rem]">
      <div>
        <p className="text-read font-semibold">{name}</p>
        <p className="text-note text-soft">{about}</p>
      </div>
      {children}
    </div>
  );
}
