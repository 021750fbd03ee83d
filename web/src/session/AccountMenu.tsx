import { useMutation } from "@tanstack/react-query";
import { DropdownMenu } from "radix-ui";
import { Link } from "react-router";
import { api, dataOf } from "../shared/api/client";
import { usePerson } from "./session";

const ITEM = "flex min-h-12 cursor-pointer items-center px-4 text-read outline-none data-[highlighted]:bg-tan";

/** Who is signed in, and what concerns the person alone. */
export function AccountMenu() {
  const person = usePerson();
  const signOut = useMutation({ mutationFn: () => dataOf(api.DELETE("/api/session")), onSettled: () => { window.location.assign("/"); } });
  return (
    <DropdownMenu.Root modal={false}>
      <DropdownMenu.Trigger className="flex min-h-12 items-center gap-1.5 rounded px-2 text-read hover:bg-tan">
        {person.displayName} <span aria-hidden="true" className="text-note">▾</span>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="z-40 min-w-52 border border-ink bg-sheet py-1">
          <DropdownMenu.Item asChild><Link to="/setup/password" className={ITEM}>Change password</Link></DropdownMenu.Item>
          <DropdownMenu.Item asChild><Link to="/setup/schools" className={ITEM}>Setup</Link></DropdownMenu.Item>
          <DropdownMenu.Separator className="my-1 border-t border-line" />
          <DropdownMenu.Item className={ITEM} onSelect={() => { signOut.mutate(); }}>Sign out</DropdownMenu.Item>
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
