import { useMutation } from "@tanstack/react-query";
import { useId, useRef, useState } from "react";
import { Link } from "react-router";
import { api, dataOf } from "../shared/api/client";
import { forgetAll } from "../shared/offline/memory";
import { chooseTheme, theme, THEMES } from "../shared/theme";
import { Button } from "../shared/ui/Button";
import { usePerson } from "./session";

const ITEM = "flex min-h-12 w-full items-center px-4 text-left text-read hover:bg-tan";

/** Who is signed in, and what concerns the person alone. */
export function AccountMenu() {
  const person = usePerson();
  const id = useId();
  const [chosen, setChosen] = useState(theme);
  const menu = useRef<HTMLDivElement>(null);
  const signOut = useMutation({ mutationFn: () => dataOf(api.DELETE("/api/session")), onSettled: () => { forgetAll(); window.location.assign("/"); } });
  const close = () => menu.current?.hidePopover();
  return (
    <>
      <button type="button" popoverTarget={id} className="flex min-h-12 items-center gap-1.5 rounded px-2 text-read hover:bg-tan">
        {person.displayName} <span aria-hidden="true" className="text-note">▾</span>
      </button>
      <div ref={menu} id={id} popover="auto" className="fixed inset-auto top-14 right-4 min-w-52 border border-ink bg-sheet py-1 text-ink">
        <Link to="/setup/password" className={ITEM} onClick={close}>Change password</Link>
        <Link to="/setup/schools" className={ITEM} onClick={close}>Setup</Link>
        <div role="group" aria-label="Theme" className="flex flex-wrap gap-1 border-t border-line px-3 py-2">
          {THEMES.map((each) => <Button key={each.value} look="choice" chosen={chosen === each.value} onClick={() => { chooseTheme(each.value); setChosen(each.value); }}>{each.label}</Button>)}
        </div>
        <button type="button" className={`${ITEM} border-t border-line`} onClick={() => { signOut.mutate(); }}>Sign out</button>
      </div>
    </>
  );
}
