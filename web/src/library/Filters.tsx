import type { Schemas } from "../shared/api/client";
import { capital } from "../shared/format";
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
  const ofSet = hit.kind === "set" ? library.conditions.find((each) => each.id === library.clusters.find((cluster) => cluster.id === hit.id)?.conditionId) : undefined;
  const region = test?.region ?? condition?.region ?? ofSet?.region;
  return (filter.region === "" || filter.region === region) && (filter.stage === "" || filter.stage === test?.stage)
    && (!filter.weighed || (test?.weighedFor.length ?? condition?.weighed ?? 1) > 0);
}

interface FiltersProps {
  filter: Filter;
  library: Schemas["LibraryJson"];
  onChange: (key: string, value: string) => void;
}

/** Narrows the list by kind, region, part of the examination, and whether there are figures. */
export function Filters({ filter, library, onChange }: FiltersProps) {
  const regions = [...new Set([...library.tests.map((test) => test.region), ...library.conditions.map((condition) => condition.region)])];
  const some = filter.kind !== "" || filter.region !== "" || filter.stage !== "" || filter.weighed;
  return (
    <form aria-label="Narrow the list" className="flex flex-wrap gap-x-6 gap-y-4 self-start lg:sticky lg:top-4 lg:block lg:space-y-4" onSubmit={(event) => { event.preventDefault(); }}>
      <Choices name="kind" title="Show" value={filter.kind} options={[["", "Everything"], ["test", "Tests"], ["condition", "Conditions"], ["set", "Sets"]]} onChange={onChange} />
      <Choices name="region" title="Region" value={filter.region} options={[["", "All"], ...regions.map((region): [string, string] => [region, capital(region)])]} onChange={onChange} />
      <label className="block text-note font-semibold text-soft">
        Part of the examination
        <select value={filter.stage} onChange={(event) => { onChange("stage", event.target.value); }} className="mt-1 block min-h-12 w-full rounded border border-edge bg-sheet px-2 text-read font-normal text-ink">
          <option value="">All</option>
          {library.stages.map((stage) => <option key={stage} value={stage}>{stage}</option>)}
        </select>
      </label>
      <label className="flex min-h-12 items-center gap-2 text-read">
        <input type="checkbox" className="size-5 accent-ink" checked={filter.weighed} onChange={(event) => { onChange("weighed", event.target.checked ? "yes" : ""); }} />
        Only with figures
      </label>
      {some && <button type="button" className="min-h-12 text-read underline" onClick={() => { ["kind", "region", "stage", "weighed"].forEach((key) => { onChange(key, ""); }); }}>Clear filters</button>}
    </form>
  );
}

interface ChoicesProps {
  name: string;
  title: string;
  value: string;
  options: [string, string][];
  onChange: (key: string, value: string) => void;
}

function Choices({ name, title, value, options, onChange }: ChoicesProps) {
  return (
    <fieldset>
      <legend className="text-note font-semibold text-soft">{title}</legend>
      {options.map(([option, label]) => (
        <label key={option} className="flex min-h-9 items-center gap-2 text-read">
          <input type="radio" name={name} className="size-5 accent-ink" checked={value === option} onChange={() => { onChange(name, option); }} />
          {label}
        </label>
      ))}
    </fieldset>
  );
}
