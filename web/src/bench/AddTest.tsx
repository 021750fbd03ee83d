import { useId, useState } from "react";
import type { Schemas } from "../shared/api/client";
import { Button } from "../shared/ui/Button";
import { found } from "./findTest";

interface AddTestProps {
  tests: Schemas["TestJson"][];
  onGo: (testId: string) => void;
}

/** Any other test of the region, by two letters of its name or of another name it goes by. */
export function AddTest({ tests, onGo }: AddTestProps) {
  const [typed, setTyped] = useState("");
  const id = useId();
  const hits = found(tests, typed);
  const go = (testId: string) => {
    setTyped("");
    onGo(testId);
  };
  return (
    <div className="shrink-0 px-3 pb-1 lg:w-full">
      <label htmlFor={id} className="text-note font-semibold text-soft">Another test</label>
      <input id={id} type="search" value={typed} autoComplete="off" placeholder="two letters" onChange={(event) => { setTyped(event.target.value); }}
        onKeyDown={(event) => { event.stopPropagation(); if (event.key === "Enter" && hits[0]) { event.preventDefault(); event.currentTarget.blur(); go(hits[0].id); } if (event.key === "Escape") { setTyped(""); } }}
        className="block min-h-12 w-36 rounded border border-edge bg-sheet px-2 text-read placeholder:text-soft lg:w-full" />
      {typed.trim().length > 1 && (
        <ul aria-label="Tests found" className="mt-1 flex flex-col gap-1">
          {hits.map((test) => <li key={test.id}><Button className="w-full" onClick={() => { go(test.id); }}>{test.shortName}</Button></li>)}
          {hits.length === 0 && <li className="text-note">No test of this region.</li>}
        </ul>
      )}
    </div>
  );
}
