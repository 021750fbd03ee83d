import { Dialog } from "radix-ui";
import type { Schemas } from "../shared/api/client";
import { People } from "../shared/drawings/People";
import { inHundred, ofThousand } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Beam } from "./Beam";
import { showWords } from "./showWords";

interface ShowingProps {
  standing: Schemas["StandingJson"];
  testName: (id: string) => string;
  onClose: () => void;
}

/** One condition for a patient or a class to look at: the beam, 1000 people and three sentences; nothing of the patient. */
export function Showing({ standing, testName, onClose }: ShowingProps) {
  const have = ofThousand(standing.now);
  return (
    <Dialog.Root
      modal={false}
      open
      onOpenChange={(open) => {
        if (!open) {
          onClose();
        }
      }}
    >
      <Dialog.Portal>
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-0 z-30 overflow-auto bg-paper px-6 py-5 sm:px-12 sm:py-8"
        >
          <div className="flex items-start justify-between gap-4">
            <Dialog.Title className="font-serif text-4xl font-semibold sm:text-5xl">
              {standing.name} <span className="whitespace-nowrap">{inHundred(standing.now)} in 100</span>
            </Dialog.Title>
            <Dialog.Close asChild>
              <Button>Close</Button>
            </Dialog.Close>
          </div>
          <div className="mx-auto mt-4 max-w-6xl">
            <Beam standing={standing} />
          </div>
          <div className="mx-auto mt-4 grid max-w-6xl items-center gap-8 md:grid-cols-[minmax(0,26rem)_1fr]">
            <People have={have} label={`${String(have)} of 1000 dots are full`} />
            <div className="flex flex-col gap-4 text-xl sm:text-2xl">
              {showWords(standing, testName).map((words) => (
                <p key={words}>{words}</p>
              ))}
            </div>
          </div>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
