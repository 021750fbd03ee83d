import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { when } from "../shared/format";
import { Button } from "../shared/ui/Button";

/** Every signed version: who, when, why again, by which content, and whether it comes out the same today. */
export function VersionList({ id, signing }: { id: string; signing: Schemas["SigningJson"] }) {
  return (
    <div>
      <h2 className="text-read font-semibold">
        {signing.versions.length === 1 ? "Signed version" : "Signed versions"}
      </h2>
      <ol className="mt-1 flex max-w-3xl flex-col">
        {[...signing.versions].reverse().map((version) => (
          <li key={version.version} className="border-t border-line py-2 text-read">
            <p>
              <strong>Version {version.version}</strong>, {version.countersigned ? "countersigned" : "signed"} by{" "}
              {version.author}, {when(version.at)}.
              {version.enteredBy.length > 0 &&
                version.enteredBy.join() !== version.author &&
                ` Findings by ${version.enteredBy.join(", ")}.`}{" "}
              <Link
                to={`../note?version=${String(version.version)}`}
                relative="path"
                className="inline-flex min-h-11 items-center underline"
              >
                Read it
              </Link>
            </p>
            {version.amended && (
              <p>
                Amended by {version.amended.author}: {version.amended.reason}
              </p>
            )}
            <Recomputed id={id} version={version.version} />
            <p className="text-note text-soft">
              {version.lastNumber} entries · tests {version.catalogueRevision} · evidence {version.evidenceRevision} ·
              settings {version.settingsRevision} · seed {version.seed}
            </p>
          </li>
        ))}
      </ol>
    </div>
  );
}

function Recomputed({ id, version }: { id: string; version: number }) {
  const recomputed = useQuery({
    queryKey: keys.recomputed(id, version),
    queryFn: () =>
      dataOf(api.GET("/api/examinations/{id}/versions/{version}/recomputed", { params: { path: { id, version } } })),
    enabled: false,
  });
  const found = recomputed.data;
  if (!found) {
    return (
      <p className="flex items-center gap-3">
        <Button disabled={recomputed.isFetching} onClick={() => void recomputed.refetch()}>
          Compute it anew
        </Button>
        <span role="status" className="text-note">
          {recomputed.isFetching ? "Computing …" : recomputed.isError ? "The server was not reached." : ""}
        </span>
      </p>
    );
  }
  return (
    <div role="status" className="border-l-4 border-ink pl-3">
      {found.same ? (
        <p>
          <strong>Same.</strong> Computed anew, everything comes out as it was signed.
        </p>
      ) : (
        <>
          <p>
            <strong>Different, because:</strong> {found.because.join(" ")}
          </p>
          <ul className="list-disc pl-5 text-note">
            {found.changes.map((change) => (
              <li key={change}>{change}</li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
