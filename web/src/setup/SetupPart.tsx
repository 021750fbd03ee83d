import type { ReactNode } from "react";
import { useMayChange } from "./useChoose";

/** A part of the setup under its heading; says who may change it where the reader may not. */
export function SetupPart({
  title,
  about,
  shared = true,
  children,
}: {
  title: string;
  about: ReactNode;
  shared?: boolean;
  children: ReactNode;
}) {
  const may = useMayChange();
  return (
    <>
      <h1 className="font-serif text-head font-semibold">{title}</h1>
      <p className="mt-1 max-w-3xl text-read text-soft">
        {about}
        {shared && !may && " A steward can change this."}
      </p>
      <div className="mt-4">{children}</div>
    </>
  );
}
