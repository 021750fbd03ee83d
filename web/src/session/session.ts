import { createContext, useContext } from "react";
import type { Schemas } from "../shared/api/client";

export type Person = Schemas["PersonJson"];
export type Role = Person["roles"][number];

/** Somebody signed in, for everything inside the page. */
export const PersonContext = createContext<Person | undefined>(undefined);

/** The person signed in. */
export function usePerson(): Person {
  const person = useContext(PersonContext);
  if (!person) {
    throw new Error("nobody is signed in here");
  }
  return person;
}

const ROLE_WORDS: Record<Role, string> = {
  THERAPIST: "Therapist",
  STUDENT: "Student",
  STEWARD: "Steward",
  ADMINISTRATOR: "Administrator",
};

export const ROLES: readonly Role[] = ["THERAPIST", "STUDENT", "STEWARD", "ADMINISTRATOR"];

/** What each role may do, in a line. */
export const ROLE_MEANING: Record<Role, string> = {
  THERAPIST: "examines patients, sees the clinic's cases",
  STUDENT: "reads the library, sees no cases",
  STEWARD: "keeps schools, thresholds and starting estimates",
  ADMINISTRATOR: "keeps accounts, reads the audit",
};

export function roleWord(role: Role): string {
  return ROLE_WORDS[role];
}
