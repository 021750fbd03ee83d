import { Refused } from "./client";

/** What the server found wrong, by field; `other` where no field is named. Empty without a fault. */
export function faultsOf(error: Error | null): Record<string, string> {
  if (!error) {
    return {};
  }
  if (!(error instanceof Refused)) {
    return { other: "The server was not reached. What you typed is kept; try again." };
  }
  const { errors, detail } = error.problem;
  return errors.length === 0
    ? { other: detail }
    : Object.fromEntries(
        errors.map((each) => [
          each.field.split(".").at(-1) ?? each.field,
          each.message.charAt(0).toUpperCase() + each.message.slice(1) + ".",
        ]),
      );
}
