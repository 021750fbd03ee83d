import { useEffect } from "react";
import { TopBar } from "../session";
import { Button } from "../shared/ui/Button";
import { Facts } from "../shared/ui/Facts";
import { Tour } from "./Tour";
import { QUICK_CARD, WORDS } from "./words";

/** How an examination goes, a card of it to print, and the words on the screens. */
export default function HelpView() {
  useEffect(() => {
    document.title = "Help · Lexicor";
  }, []);
  return (
    <div className="mx-auto max-w-6xl px-5 pb-10">
      <TopBar />
      <main className="mt-5">
        <h1 className="no-print font-serif text-head font-semibold">Help</h1>
        <section aria-label="In four pictures" className="no-print mt-4">
          <Tour />
        </section>
        <section aria-labelledby="quick-card" className="mt-8 max-w-3xl">
          <div className="flex flex-wrap items-center justify-between gap-3">
            <h2 id="quick-card" className="font-serif text-2xl font-semibold">
              Quick card
            </h2>
            <Button
              className="no-print"
              onClick={() => {
                window.print();
              }}
            >
              Print it
            </Button>
          </div>
          <Facts
            lines={QUICK_CARD.map((line): [string, string] => [line.word, line.says])}
            className="mt-2 grid-cols-[9rem_1fr] gap-x-4 gap-y-1 text-read"
          />
          <p className="mt-2 text-note text-soft">
            Decision support. The therapist concludes; local scope and protocols rule.
          </p>
        </section>
        <section aria-labelledby="words" className="no-print mt-8">
          <h2 id="words" className="font-serif text-2xl font-semibold">
            Words
          </h2>
          <dl className="mt-2 gap-x-10 text-read md:columns-2">
            {WORDS.map(({ word, says }) => (
              <div key={word} className="break-inside-avoid border-b border-line py-1.5">
                <dt className="font-semibold">{word}</dt>
                <dd>{says}</dd>
              </div>
            ))}
          </dl>
        </section>
      </main>
    </div>
  );
}
