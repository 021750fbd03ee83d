import { Link } from "react-router";
import { Message } from "./Message";

/** Shown at an address that leads nowhere. */
export function NoSuchPage() {
  return (
    <Message
      page
      title="There is no such page"
      action={
        <Link className="underline" to="/">
          Back to the list
        </Link>
      }
    >
      The address may be misspelt. Nothing was lost.
    </Message>
  );
}
