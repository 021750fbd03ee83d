import { useId, useRef, useState, useSyncExternalStore } from "react";
import { Link } from "react-router";
import { onQueues, waitingCount } from "../record";
import { useChooseForMe, useSettings } from "../shared/useSettings";
import { chooseTheme, theme, THEMES } from "../shared/theme";
import { Button } from "../shared/ui/Button";
import { ListedAnswers } from "../shared/ui/ListedAnswers";
import { Strip } from "../shared/ui/Strip";
import { leave } from "./leaving";
import { usePerson } from "./session";

const ITEM = "flex min-h-12 w-full items-center px-4 text-left text-read hover:bg-tan";

/** Who is signed in, and what concerns the person alone. */
export function AccountMenu() {
  const person = usePerson();
  const id = useId();
  const [chosen, setChosen] = useState(theme);
  const menu = useRef<HTMLDivElement>(null);
  const waiting = useSyncExternalStore(onQueues, waitingCount);
  const settings = useSettings();
  const chooseForMe = useChooseForMe();
  const close = () => menu.current?.hidePopover();
  return (
    <>
      <button
        type="button"
        popoverTarget={id}
        className="flex min-h-12 items-center gap-1.5 rounded px-2 text-read hover:bg-tan"
      >
        <span className="sr-only sm:not-sr-only">{person.displayName}</span>
        <span aria-hidden="true" className="sm:hidden">
          {initials(person.displayName)}
        </span>{" "}
        <span aria-hidden="true" className="text-note">
          ▾
        </span>
      </button>
      <div
        ref={menu}
        id={id}
        popover="auto"
        className="fixed inset-auto top-14 right-4 min-w-52 border border-ink bg-sheet py-1 text-ink"
      >
        <Link to="/help" className={ITEM} onClick={close}>
          Help
        </Link>
        <Link to="/setup/password" className={ITEM} onClick={close}>
          My sign-in
        </Link>
        <Link to="/setup/schools" className={ITEM} onClick={close}>
          Setup
        </Link>
        <div className="border-t border-line px-3 py-2">
          <Strip label="Theme">
            {THEMES.map((each) => (
              <Button
                key={each.value}
                look="choice"
                chosen={chosen === each.value}
                onClick={() => {
                  chooseTheme(each.value);
                  setChosen(each.value);
                }}
              >
                {each.label}
              </Button>
            ))}
          </Strip>
        </div>
        {settings?.listed
          .filter((listed) => listed.personal)
          .map((listed) => (
            <div
              key={listed.name}
              role="group"
              aria-label={`${listed.label}, for me`}
              className="border-t border-line px-3 py-2"
            >
              <p aria-hidden="true" className="pb-1 text-note text-soft">
                {listed.label}
              </p>
              <Strip>
                <ListedAnswers
                  listed={listed}
                  value={listed.own ?? listed.value}
                  onChoose={(value) => {
                    chooseForMe.mutate({ name: listed.name, ...(value === listed.value ? {} : { value }) });
                  }}
                />
              </Strip>
            </div>
          ))}
        {waiting > 0 && (
          <p className="max-w-64 border-t border-line px-4 py-2 text-note">
            {waiting} {waiting === 1 ? "entry is" : "entries are"} not on the server yet. Signed out, they stay sealed
            in this browser and are sent when you sign in here again.
          </p>
        )}
        <button
          type="button"
          className={`${ITEM} border-t border-line`}
          onClick={() => {
            leave("signed-out");
          }}
        >
          Sign out
        </button>
      </div>
    </>
  );
}

/** "R. Tarn" as "RT". */
function initials(name: string): string {
  return name
    .split(/\s+/)
    .map((word) => word.charAt(0))
    .join("");
}
