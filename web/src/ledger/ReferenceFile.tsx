import { useMutation } from "@tanstack/react-query";
import { api, dataOf } from "../shared/api/client";
import { FormFault } from "../shared/ui/FormFault";

const MOST = 1_000_000;

/** Takes a source from a file of references that is already at hand. */
export function ReferenceFile({ onTake }: { onTake: (citation: string) => void }) {
  const read = useMutation({
    mutationFn: async (file: File) => {
      if (file.size > MOST) {
        throw new Error("The file is too large; allowed: at most 1 MB, 500 references.");
      }
      return dataOf(api.POST("/api/ledger/references", { body: { text: await file.text() } }));
    },
    onSuccess: (found) => {
      if (found.length === 1 && found[0]) {
        onTake(found[0].citation);
      }
    },
  });
  return (
    <details className="no-print">
      <summary className="min-h-11 cursor-pointer py-2 text-read underline">
        Take the source from a file of references
      </summary>
      <label className="block text-note">
        A file in BibTeX or RIS, as reference programs and journals give it out
        <input
          type="file"
          accept=".bib,.ris,.txt,text/plain"
          className="mt-1 block min-h-12 w-full rounded border border-edge bg-sheet px-3 py-2.5 text-read"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) {
              read.mutate(file);
            }
          }}
        />
      </label>
      <FormFault>{read.error?.message}</FormFault>
      {read.data && read.data.length > 1 && (
        <ul className="max-h-72 overflow-y-auto border-t border-line" aria-label="References of the file">
          {read.data.map((reference, index) => (
            <li key={`${String(index)} ${reference.citation}`} className="border-b border-line">
              <button
                type="button"
                className="min-h-12 w-full px-2 py-1 text-left hover:bg-sheet"
                onClick={() => {
                  onTake(reference.citation);
                }}
              >
                <span className="block text-read">{reference.citation || "No author, journal or year"}</span>
                {reference.title && <span className="block text-note text-soft">{reference.title}</span>}
              </button>
            </li>
          ))}
        </ul>
      )}
    </details>
  );
}
