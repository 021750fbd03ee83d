import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useEffectEvent, useSyncExternalStore, type ReactNode } from "react";
import { resumeQueues } from "../record";
import { api, dataOf, Refused, type Schemas } from "../shared/api/client";
import { gate } from "../shared/api/gate";
import { keys } from "../shared/api/keys";
import { listen } from "../shared/live/moved";
import {
  forgetAll,
  idleMinutes,
  keepIdleMinutes,
  recall,
  remember,
  touch,
  touchedWithin,
} from "../shared/offline/memory";
import { closePageKey, openPageKey, pageKey, regainPageKey } from "../shared/offline/pageKey";
import { Button } from "../shared/ui/Button";
import { Message, Waiting } from "../shared/ui/Message";
import { Wordmark } from "../shared/ui/Wordmark";
import { FirstAccountForm } from "./FirstAccountForm";
import { followOtherTabs, tellSignedIn } from "./leaving";
import { PasswordForm } from "./PasswordForm";
import { PersonContext, type Person, usePerson } from "./session";
import { SignInForm } from "./SignInForm";
import { useIdleLock } from "./useIdleLock";
import { useSettings } from "../shared/useSettings";

type Session = Schemas["SessionJson"];

/** Lets somebody in who is signed in. Once in, a session that ends covers the page and leaves it as it is. */
export function SessionGate({ children }: { children: ReactNode }) {
  const cache = useQueryClient();
  const asked = useQuery({
    queryKey: keys.session,
    queryFn: session,
    staleTime: Infinity,
    refetchOnWindowFocus: false,
    retry: 0,
  });
  const { closed } = useSyncExternalStore(gate.subscribe, () => gate.state);
  const person = asked.data?.person;
  const take = (next: Session) => {
    if (person && next.person?.id !== person.id) {
      window.location.assign("/"); // somebody else begins with a page of their own
      return;
    }
    adopt(next);
    cache.setQueryData(keys.session, next);
    touch();
    gate.open();
  };
  const enter = (next: Session) => {
    take(next);
    tellSignedIn();
  };
  const lookAgain = useEffectEvent(() => {
    void fetchSession()
      .then(take)
      .catch(() => undefined);
  });
  useEffect(
    () =>
      followOtherTabs(() => {
        lookAgain();
      }),
    [],
  );
  if (asked.isPending) {
    return <Waiting page what="Lexicor" />;
  }
  if (asked.isError) {
    return (
      <Message
        page
        title="The server is not answering"
        action={
          <Button look="primary" onClick={() => void asked.refetch()}>
            Try again
          </Button>
        }
      >
        What you recorded is safe, on the server or in this browser.
      </Message>
    );
  }
  const { firstAccount, demoPeople } = asked.data;
  if (!person) {
    return (
      <Door title={firstAccount ? "First start" : "Sign in"}>
        {firstAccount ? (
          <FirstAccountForm onSignedIn={enter} />
        ) : (
          <SignInForm demoPeople={demoPeople} onSignedIn={enter} />
        )}
      </Door>
    );
  }
  if (person.mustChangePassword) {
    return (
      <Door title="Choose a password of your own">
        <p className="mb-4 text-read">
          The administrator has set your password, {person.displayName}. Only you should know it: choose another one to
          go on.
        </p>
        <PasswordForm onChanged={enter} />
      </Door>
    );
  }
  return (
    <PersonContext value={person}>
      <Inside />
      <div inert={closed} className={closed ? "invisible" : undefined}>
        {children}
      </div>
      {closed && (
        <Cover person={person} demoPeople={demoPeople.filter((each) => each.name === person.name)} onSignedIn={enter} />
      )}
    </PersonContext>
  );
}

/** The session. Without a connection the last one goes on in this browser, as long as somebody was at the page within the idle time. */
async function session(): Promise<Session> {
  try {
    const fresh = await fetchSession();
    adopt(fresh);
    return fresh;
  } catch (fault) {
    if (!(fault instanceof Refused) && touchedWithin(idleMinutes()) && (await regainPageKey())) {
      const kept = await recall<Session>("session");
      if (kept) {
        void resumeQueues();
        return kept;
      }
    }
    throw fault;
  }
}

/** From now on the page keeps what it keeps for this person, or nothing where nobody is here. */
function adopt(next: Session): void {
  if (!next.person || !next.pageKey) {
    closePageKey();
    return;
  }
  if (pageKey()?.person !== next.person.name) {
    void forgetAll(); // copies of whoever was here before
  }
  openPageKey(next.person.name, next.pageKey);
  void remember("session", { ...next, pageKey: undefined }); // the key is not kept beside what it seals
  void resumeQueues();
}

function fetchSession(): Promise<Session> {
  return dataOf(api.GET("/api/session"));
}

/** What goes on as long as somebody is here. */
function Inside() {
  const therapist = usePerson().roles.includes("THERAPIST");
  const settings = useSettings();
  const minutes = Number(settings?.listed.find((each) => each.name === "idle-minutes")?.value ?? idleMinutes());
  useEffect(() => {
    keepIdleMinutes(minutes);
  }, [minutes]);
  useIdleLock(minutes);
  useEffect(() => (therapist ? listen() : undefined), [therapist]);
  return null;
}

/** The way in. */
function Door({ title, children }: { title: string; children: ReactNode }) {
  return (
    <main className="mx-auto max-w-lg px-5 pt-8 pb-10">
      <Wordmark />
      <h1 className="mt-6 mb-4 font-serif text-head font-semibold">{title}</h1>
      {children}
      <p className="mt-8 text-note text-soft">
        Decision support for licensed practice under local scope and protocols. It is not a diagnosis: the therapist
        concludes.
      </p>
    </main>
  );
}

/** Covers everything until the same person is back. */
function Cover({
  person,
  demoPeople,
  onSignedIn,
}: {
  person: Person;
  demoPeople: Session["demoPeople"];
  onSignedIn: (session: Session) => void;
}) {
  return (
    <div
      role="dialog"
      aria-modal="true"
      aria-labelledby="cover-title"
      className="no-print fixed inset-0 z-50 overflow-y-auto bg-paper"
    >
      <div className="mx-auto max-w-lg px-5 pt-8 pb-10">
        <h1 id="cover-title" className="mt-6 font-serif text-head font-semibold">
          Locked
        </h1>
        <p className="mt-1 mb-4 text-read">
          Everything is as you left it, {person.displayName}. Sign in to go on. Somebody else begins with a page of
          their own.
        </p>
        <SignInForm demoPeople={demoPeople} name={person.name} onSignedIn={onSignedIn} />
      </div>
    </div>
  );
}
