import { useQuery } from "@tanstack/react-query";
import { useDeferredValue, useMemo, useRef, type KeyboardEvent } from "react";
import { Link, useNavigate } from "react-router";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { Button } from "../shared/ui/Button";
import { Message, Waiting } from "../shared/ui/Message";
import { useAddress } from "../shared/useAddress";
import { Filters, fits, type Filter } from "./Filters";
import { ClusterHit, ConditionHit, NotWeighed, TestHit, Weighed } from "./HitRows";
import { LibrarySearch, type Hit } from "./librarySearch";
import { SharedNameQuestion } from "./SharedNameQuestion";

type Library = Schemas["LibraryJson"];

/** Find a test, a condition or a set by any of its names, or browse them. */
export function LibraryView() {
  const library = useQuery({
    queryKey: keys.library,
    queryFn: () => dataOf(api.GET("/api/library")),
    staleTime: 60_000,
  });
  return (
    <main>
      <title>Library · Lexicor</title>
      {library.isPending && <Waiting what="the library" />}
      {library.isError && (
        <Message
          title="The library could not be fetched"
          action={
            <Button look="primary" onClick={() => void library.refetch()}>
              Try again
            </Button>
          }
        >
          Nothing was lost. The server may have stopped.
        </Message>
      )}
      {library.data && <Shelf library={library.data} />}
    </main>
  );
}

function Shelf({ library }: { library: Library }) {
  const [entries, set] = useAddress({ find: "", kind: "", region: "", stage: "", weighed: "" });
  const words = entries.find;
  const deferred = useDeferredValue(words);
  const search = useMemo(() => new LibrarySearch(library), [library]);
  const filter: Filter = {
    kind: entries.kind,
    region: entries.region,
    stage: entries.stage,
    weighed: entries.weighed === "yes",
  };
  const everything = useMemo<Hit[]>(
    () => [
      ...library.tests.map((test) => ({ kind: "test" as const, id: test.id, by: [] })),
      ...library.conditions.map((condition) => ({ kind: "condition" as const, id: condition.id, by: [] })),
      ...library.clusters.map((cluster) => ({ kind: "set" as const, id: cluster.id, by: [] })),
    ],
    [library],
  );
  const found = (deferred.trim() === "" ? everything : search.find(deferred)).filter((hit) =>
    fits(hit, filter, library),
  );
  const shared = search.sharedName(deferred);
  const list = useRef<HTMLDivElement>(null);
  const navigate = useNavigate();
  const move = (event: KeyboardEvent) => {
    if (event.key !== "Enter" && event.key !== "ArrowDown") {
      return;
    }
    event.preventDefault();
    const [best] = search.find(words).filter((hit) => fits(hit, filter, library));
    if (event.key === "Enter" && best && !search.sharedName(words)) {
      void navigate(`/library/${best.kind}s/${best.id}`);
    } else {
      list.current?.querySelector("a")?.focus(); // a name that several tests go by is asked about, never decided
    }
  };
  return (
    <>
      <div className="mt-5 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <h1 className="font-serif text-head font-semibold">Library</h1>
        <p className="text-note text-soft">
          {library.tests.length} tests · {library.conditions.length} conditions · {library.clusters.length} sets.{" "}
          <Link className="underline" to="/library/ledger/review">
            {library.tests.filter((test) => test.review !== "AGREED").length} cards not yet agreed to by a clinician
          </Link>
          .
        </p>
      </div>
      <div className="mt-3">
        <section aria-label="Found">
          <label className="block">
            <span className="sr-only">Find a test, a condition or a set</span>
            <input
              type="search"
              autoFocus
              value={words}
              onChange={(event) => {
                set({ find: event.target.value });
              }}
              onKeyDown={move}
              placeholder="Any name, structure or condition"
              maxLength={80}
              className="min-h-14 w-full rounded border border-edge bg-sheet px-4 text-xl placeholder:text-soft"
            />
          </label>
          <Filters
            filter={filter}
            library={library}
            onChange={(key, value) => {
              set({ [key]: value });
            }}
          />
          <div ref={list}>
            {shared && <SharedNameQuestion shared={shared} />}
            <div className="mt-3 mb-1 flex flex-wrap justify-between gap-x-6 text-note text-soft">
              <p role="status">
                {found.length === 0
                  ? "Nothing matches. Try fewer letters, another name, or fewer filters."
                  : `${String(found.length)} found`}
              </p>
              <p>
                <Weighed /> weighed by figures <NotWeighed /> noted, not weighed
              </p>
            </div>
            {groups(found, deferred.trim() === "", library).map((group) => (
              <div key={group.title}>
                {group.title && <h2 className="mt-5 mb-1 font-serif text-xl font-semibold">{group.title}</h2>}
                <ul className="border-t border-line">
                  {group.hits.map((hit) => (
                    <li key={`${hit.kind} ${hit.id}`} className="border-b border-line">
                      <HitRow hit={hit} library={library} />
                    </li>
                  ))}
                </ul>
              </div>
            ))}
          </div>
        </section>
      </div>
    </>
  );
}

/** Search results as they come; browsing, gathered in the order of the work. */
function groups(found: Hit[], browsing: boolean, library: Library): { title: string; hits: Hit[] }[] {
  if (!browsing) {
    return [{ title: "", hits: found }];
  }
  const stage = new Map(library.tests.map((test) => [test.id, test.stage]));
  const titles = [...library.stages, "Conditions", "Sets of findings"];
  const title = (hit: Hit) =>
    hit.kind === "condition" ? "Conditions" : hit.kind === "set" ? "Sets of findings" : (stage.get(hit.id) ?? "");
  return titles
    .map((each) => ({ title: each, hits: found.filter((hit) => title(hit) === each) }))
    .filter((group) => group.hits.length > 0);
}

function HitRow({ hit, library }: { hit: Hit; library: Library }) {
  const test = hit.kind === "test" ? library.tests.find((each) => each.id === hit.id) : undefined;
  const condition = hit.kind === "condition" ? library.conditions.find((each) => each.id === hit.id) : undefined;
  const cluster = hit.kind === "set" ? library.clusters.find((each) => each.id === hit.id) : undefined;
  if (test) {
    return <TestHit test={test} by={hit.by} conditions={library.conditions} />;
  }
  return condition ? <ConditionHit condition={condition} /> : cluster ? <ClusterHit cluster={cluster} /> : null;
}
