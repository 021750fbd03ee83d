import type { Schemas } from "../shared/api/client";
import { factor, inHundred } from "../shared/format";
import { Button } from "../shared/ui/Button";
import { ORIGIN } from "./LoadList";
import type { Dials } from "./useInsight";

type Dial = Schemas["DialJson"];

interface GroupDialsProps {
  dials: Dial[];
  chosen: Dials;
  onChoose: (dials: Dials) => void;
}

const STEP = 0.05;
const MOST = 0.95;

/** How far tests repeat each other, group by group: the assumption in force, what others would give, and what taught it. */
export function GroupDials({ dials, chosen, onChoose }: GroupDialsProps) {
  if (dials.length === 0) {
    return null;
  }
  return (
    <section aria-labelledby="dials" className="mt-6 break-inside-avoid">
      <h2 id="dials" className="font-serif text-2xl font-semibold">
        How far tests repeat each other
      </h2>
      <p className="text-note text-soft">
        0 counts each as news, 0.95 nearly as one. Most of these are assumptions: no study gives them. Moving one here
        changes this view alone.
      </p>
      {dials.map((dial) => (
        <div key={dial.group} className="border-t border-line py-2">
          <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
            <label htmlFor={`rho-${dial.group}`} className="min-w-56 flex-1 text-read font-semibold">
              {dial.name}
            </label>
            <input
              id={`rho-${dial.group}`}
              type="range"
              min={0}
              max={MOST}
              step={STEP}
              value={dial.rho}
              aria-valuetext={`${dial.rho.toFixed(2)}, ${ORIGIN[dial.group in chosen ? "CHOSEN" : dial.origin]}`}
              onChange={(event) => {
                onChoose({ ...chosen, [dial.group]: Number(event.target.value) });
              }}
              className="no-print h-12 w-56 accent-(--color-ink)"
            />
            <strong className="w-12 text-right text-read">{dial.rho.toFixed(2)}</strong>
            {dial.group in chosen && (
              <Button
                className="no-print"
                onClick={() => {
                  onChoose(Object.fromEntries(Object.entries(chosen).filter(([group]) => group !== dial.group)));
                }}
              >
                Put back {dial.usual.toFixed(2)}
              </Button>
            )}
          </div>
          <p className="text-note">
            {dial.usual.toFixed(2)} is {ORIGIN[dial.origin]}, could be {dial.lower.toFixed(2)} to{" "}
            {dial.upper.toFixed(2)}. At 0 this condition would stand at <strong>{inHundred(dial.atNone)}</strong>, at
            0.8 at <strong>{inHundred(dial.atStrong)}</strong>.
          </p>
          {dial.lessons.map((lesson) => (
            <Lesson key={lesson.setId} lesson={lesson} />
          ))}
        </div>
      ))}
    </section>
  );
}

/** What a published set teaches, level by level. */
function Lesson({ lesson }: { lesson: Schemas["LessonJson"] }) {
  return (
    <details className="text-note">
      <summary className="min-h-8 cursor-pointer py-1">
        {lesson.name} teaches {lesson.median.toFixed(2)} ({lesson.lower.toFixed(2)} to {lesson.upper.toFixed(2)})
        {lesson.contradicts && "; its levels contradict its tests"}
      </summary>
      <table className="mb-2 ml-4">
        <thead className="text-soft">
          <tr>
            <th scope="col" className="pr-6 text-left font-normal">
              Level
            </th>
            <th scope="col" className="px-3 font-normal">
              published
            </th>
            <th scope="col" className="px-3 font-normal">
              at {lesson.median.toFixed(2)}
            </th>
            <th scope="col" className="px-3 font-normal">
              if each were news
            </th>
          </tr>
        </thead>
        <tbody>
          {lesson.levels.map((level) => (
            <tr key={level.name}>
              <th scope="row" className="pr-6 text-left font-normal">
                {level.name}
              </th>
              <td className="px-3 text-right">{factor(level.published)}</td>
              <td className="px-3 text-right">{factor(level.fitted)}</td>
              <td className="px-3 text-right">{factor(level.independent)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
