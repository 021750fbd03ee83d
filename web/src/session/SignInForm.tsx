import { useMutation } from "@tanstack/react-query";
import { useState, type SyntheticEvent } from "react";
import { api, dataOf, Failed, Refused, type Schemas } from "../shared/api/client";
import { Button } from "../shared/ui/Button";
import { TextField } from "../shared/ui/TextField";
import { roleWord } from "./session";

type Session = Schemas["SessionJson"];

interface SignInFormProps {
  demoPeople: Session["demoPeople"];
  /** The name that is filled in already. */
  name?: string;
  onSignedIn: (session: Session) => void;
}

/** Name and password; in the demo also everybody of its clinic, one tap each. */
export function SignInForm({ demoPeople, name: known, onSignedIn }: SignInFormProps) {
  const [name, setName] = useState(known ?? "");
  const [password, setPassword] = useState("");
  const [code, setCode] = useState("");
  const signIn = useMutation({
    mutationFn: (body: Schemas["SignIn"]) => dataOf(api.POST("/api/session", { body })),
    onSuccess: onSignedIn,
  });
  const submit = (event: SyntheticEvent) => {
    event.preventDefault();
    signIn.mutate({ name, password, ...(code === "" ? {} : { code }) });
  };
  const problem = signIn.error instanceof Refused ? signIn.error.problem : undefined;
  const codeAsked = problem?.field === "code" || code !== "";
  return (
    <>
      <form onSubmit={submit} className="flex flex-col gap-4">
        <TextField
          id="sign-in-name"
          label="Sign-in name"
          value={name}
          autoComplete="username"
          autoFocus={!known}
          onChange={setName}
        />
        <TextField
          id="sign-in-password"
          label="Password"
          type="password"
          value={password}
          autoComplete="current-password"
          autoFocus={known !== undefined}
          onChange={setPassword}
        />
        {codeAsked && (
          <TextField
            id="sign-in-code"
            label="Code"
            hint="From your authenticator, or a recovery code."
            value={code}
            autoComplete="one-time-code"
            autoFocus
            onChange={setCode}
          />
        )}
        {signIn.isError && (
          <p role="alert" className="border-l-4 border-for pl-3 text-read">
            {problem?.detail ??
              (signIn.error instanceof Failed ? signIn.error.message : "The server was not reached. Try again.")}
          </p>
        )}
        <Button type="submit" look="primary" disabled={signIn.isPending} className="justify-center text-xl">
          {signIn.isPending ? "Signing in …" : "Sign in"}
        </Button>
      </form>
      {demoPeople.length > 0 && (
        <section aria-labelledby="demo-people" className="mt-7 border-t border-line pt-4">
          <h2 id="demo-people" className="text-read font-semibold">
            Demo clinic: go in as
          </h2>
          <ul className="mt-2 grid gap-2 sm:grid-cols-2">
            {demoPeople.map((person) => (
              <li key={person.name}>
                <Button
                  className="w-full"
                  onClick={() => {
                    signIn.mutate({ name: person.name, password: person.password });
                  }}
                >
                  {person.displayName}, {person.roles.map(roleWord).join(", ").toLowerCase()}
                </Button>
              </li>
            ))}
          </ul>
          <p className="mt-2 text-note text-soft">
            Invented people. Name and password: {demoPeople[0]?.name}, {demoPeople[0]?.password}.
          </p>
        </section>
      )}
    </>
  );
}
