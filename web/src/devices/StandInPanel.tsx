import { Button } from "../shared/ui/Button";
import type { InstrumentKind } from "./instrument";
import type { Behaviour } from "./standIn";
import { instrument, useStatus } from "./useInstrument";

const BEHAVIOURS: { value: Behaviour; label: string }[] = [
  { value: "strong", label: "Strong" },
  { value: "weak", label: "Weak" },
  { value: "gives-way", label: "Gives way" },
  { value: "pain-limited", label: "Pain stops it" },
];

/** Joins an instrument to the bench and, since the one that ships is a stand-in, lets one play the patient. */
export function StandInPanel({ kind }: { kind: InstrumentKind }) {
  const status = useStatus(kind);
  const device = instrument(kind);
  return (
    <section aria-label={device.name} className="flex flex-wrap items-center gap-1 pt-1">
      <p role="status" className="text-note leading-tight">
        <strong>{device.name}</strong>:{" "}
        {status === "connected" ? "joined" : status === "lost" ? "lost. Type the readings" : "not joined"}.
      </p>
      {status !== "connected" && (
        <Button
          onClick={() => {
            device.connect();
          }}
        >
          {status === "lost" ? "Join again" : "Join"}
        </Button>
      )}
      {status === "connected" && (
        <>
          {BEHAVIOURS.map((each) => (
            <Button
              key={each.value}
              onClick={() => {
                device.effort(each.value);
              }}
            >
              {each.label}
            </Button>
          ))}
          <Button
            onClick={() => {
              device.lose();
            }}
          >
            Lose it
          </Button>
          <Button
            onClick={() => {
              device.disconnect();
            }}
          >
            Part
          </Button>
        </>
      )}
    </section>
  );
}
