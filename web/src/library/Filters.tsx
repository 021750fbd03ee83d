import type { Schemas } from "../shared/api/client";
import { capital } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { Strip } from "../shared/ui/Strip";
import type { Hit } from "./librarySearch";

/** What the list is narrowed to; an empty word lets everything through. */
export interface Filter {
  kind: string;
  region: string;
  stage: string;
  weighed: boolean;
}

/** Whether a find passes the filter. */
export function fits(hit: Hit, filter: Filter, library: Schemas["LibraryJson"]): boolean {
  if (filter.kind !== "" && filter.kind !== hit.kind) {
    return false;
  }
  const test = hit.kind === "test" ? library.tests.find((each) => each.id === hit.id) : undefined;
  const condition = hit.kind === "condition" ? library.conditions.find((each) => each.id === hit.id) : undefined;
  const ofSet =
    hit.kind === "set"
      ? library.conditions.find(
          (each) => each.id === library.clusters.find((cluster) => cluster.id === hit.id)?.conditionId,
        )
      : undefined;
  const region = test?.region ?? condition?.region ?? ofSet?.region;
  return (
    (filter.region === "" || filter.region === region) &&
    (filter.stage === "" || filter.stage === test?.stage) &&
    (!filter.weighed || (test?.weighedFor.length ?? condition?.weighed ?? 1) > 0)
  );
}

interface FiltersProps {
  filter: Filter;
  library: Schemas["LibraryJson"];
  onChange: (key: string, value: string) => void;
}

/** Narrows the list by kind, region, part of the examination, and whether there are figures. */
export function Filters({ filter, library, onChange }: FiltersProps) {
  const regions = [
    ...new Set([
      ...library.tests.map((test) => test.region),
      ...library.conditions.map((condition) => condition.region),
    ]),
  ];
  const some = filter.kind !== "" || filter.region !== "" || filter.stage !== "" || filter.weighed;
  return (
    <form
      aria-label="Narrow the list"
      className="no-print mt-3 flex flex-wrap items-end gap-x-5 gap-y-2"
      onSubmit={(event) => {
        event.preventDefault();
      }}
    >
      <Strip label="Show">
        {[
          ["", "All"],
          ["test", "Tests"],
          ["condition", "Conditions"],
          ["set", "Sets"],
        ].map(([kind = "", label]) => (
          <Button
            key={kind}
            look="choice"
            chosen={filter.kind === kind}
            onClick={() => {
              onChange("kind", kind);
            }}
          >
            {label}
          </Button>
        ))}
      </Strip>
      <Choice
        name="region"
        title="Region"
        value={filter.region}
        options={regions.map((region) => [region, capital(region)])}
        onChange={onChange}
      />
      <Choice
        name="stage"
        title="Part of the examination"
        value={filter.stage}
        options={library.stages.map((stage) => [stage, stage])}
        onChange={onChange}
      />
      <label className="flex min-h-12 items-center gap-2 text-read">
        <input
          type="checkbox"
          className="size-5 accent-ink"
          checked={filter.weighed}
          onChange={(event) => {
            onChange("weighed", event.target.checked ? "yes" : "");
          }}
        />
        Only with figures
      </label>
      {some && (
        <button
          type="button"
          className="min-h-12 text-read underline"
          onClick={() => {
            ["kind", "region", "stage", "weighed"].forEach((key) => {
              onChange(key, "");
            });
          }}
        >
          Clear filters
        </button>
      )}
    </form>
  );
}

interface ChoiceProps {
  name: string;
  title: string;
  value: string;
  options: [string, string][];
  onChange: (key: string, value: string) => void;
}

function Choice({ name, title, value, options, onChange }: ChoiceProps) {
  return (
    <label className="flex items-center gap-2 text-note text-soft">
      {title}
      <select
        value={value}
        onChange={(event) => {
          onChange(name, event.target.value);
        }}
        className="min-h-12 rounded border border-edge bg-sheet px-2 text-read text-ink"
      >
        <option value="">All</option>
        {options.map(([option, label]) => (
          <option key={option} value={option}>
            {label}
          </option>
        ))}
      </select>
    </label>
  );
}
