import { useQuery } from "@tanstack/react-query";
import { useParams } from "react-router";
import { CueCard, LandmarkFigure } from "../bench";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { HandFigure } from "../shared/drawings/HandFigure";
import { handWords } from "../shared/drawings/handGeometry";
import { PoseFigure } from "../shared/drawings/PoseFigure";
import { poseWords } from "../shared/drawings/poseGeometry";
import { capital } from "../shared/format";
import { Facts } from "../shared/ui/Facts";
import { CardReview } from "./CardReview";
import { InMyHands } from "./InMyHands";
import { ReadingRules } from "./ReadingRules";
import { SharedNameQuestion } from "./SharedNameQuestion";
import { Part, Sheet, SheetHead, ShortList, ToSheet } from "./Sheet";
import { TestAccuracy } from "./TestAccuracy";

/** A test in full: the card as at the bench, what its answers are worth, how they are read, and what to mind. */
export function TestSheetView() {
  const { id = "" } = useParams();
  const sheet = useQuery({
    queryKey: keys.testSheet(id),
    queryFn: () => dataOf(api.GET("/api/library/tests/{id}", { params: { path: { id } } })),
    staleTime: 60_000,
  });
  return (
    <Sheet query={sheet} what="the test">
      {(data) => <TestSheet sheet={data} />}
    </Sheet>
  );
}

/** The figure that the test has: of the arm, of the hand, or of a landmark's place. */
function TestFigure({ sheet }: { sheet: Schemas["TestSheetJson"] }) {
  const { hand, place, shortName } = sheet.test;
  const figure = sheet.pose
    ? { drawn: <PoseFigure pose={sheet.pose} className="mx-auto max-h-80 w-full" />, words: poseWords(sheet.pose) }
    : hand
      ? { drawn: <HandFigure pose={hand} className="mx-auto max-h-80 w-full" />, words: handWords(hand) }
      : place
        ? {
            drawn: <LandmarkFigure place={place} name={shortName} className="mx-auto max-h-80 w-full" />,
            words: `${shortName}, on the ${place.zone.toLowerCase()}. Drawn for the right side.`,
          }
        : undefined;
  return figure ? (
    <figure className="self-start border border-line bg-sheet p-3">
      {figure.drawn}
      <figcaption className="mt-2 text-note text-soft">{figure.words}</figcaption>
    </figure>
  ) : (
    <p className="self-start border border-dashed border-edge p-4 text-note text-soft">
      No figure yet. The card says what the hands do.
    </p>
  );
}

function TestSheet({ sheet }: { sheet: Schemas["TestSheetJson"] }) {
  return (
    <>
      <title>{`${sheet.test.name} · Lexicor`}</title>
      <SheetHead kind={sheet.stage} />
      <div className="grid gap-x-10 gap-y-4 lg:grid-cols-[minmax(0,1fr)_24rem]">
        <div>
          <CueCard test={sheet.test} form="plain" way={undefined} />
          <Conduct sheet={sheet} />
          <InMyHands testId={sheet.test.id} />
        </div>
        <TestFigure sheet={sheet} />
      </div>
      {sheet.sharedNames.map((shared) => (
        <SharedNameQuestion key={shared.name} shared={shared} current={sheet.test.id} />
      ))}
      {sheet.reads.length > 0 && <TestAccuracy sheet={sheet} />}
      {sheet.criteria.length > 0 && (
        <Part title="How the answer is read">
          <ReadingRules sheet={sheet} />
        </Part>
      )}
      <CardReview sheet={sheet} />
      <Part title="What to mind">
        <div className="grid gap-x-10 gap-y-6 md:grid-cols-2">
          <ShortList
            title="Locked by"
            items={sheet.locks.map((lock) => (
              <>
                {lock.when}
                <span className="block text-note text-soft">{capital(lock.because)}</span>
              </>
            ))}
          />
          <ShortList
            title="Also hurts in"
            items={sheet.alsoIn.map((also) => (
              <>
                <ToSheet kind="conditions" id={also.id}>
                  {also.name}
                </ToSheet>
                : {also.because}
              </>
            ))}
          />
          <ShortList
            title="Tells apart"
            items={sheet.separates.map((pair) => (
              <>
                <ToSheet kind="conditions" id={pair.from.id}>
                  {pair.from.name}
                </ToSheet>{" "}
                and{" "}
                <ToSheet kind="conditions" id={pair.other.id}>
                  {pair.other.name}
                </ToSheet>
                <span className="block text-note text-soft">{pair.how}</span>
              </>
            ))}
          />
          <ShortList
            title="Says much the same as"
            items={sheet.groups.map((group) => (
              <>
                {group.tests.map((test, index) => (
                  <span key={test.id}>
                    {index > 0 && ", "}
                    <ToSheet kind="tests" id={test.id}>
                      {test.name}
                    </ToSheet>
                  </span>
                ))}
                <span className="block text-note text-soft">
                  {group.name}: assumed correlation {group.rho.toFixed(1)}
                </span>
              </>
            ))}
          />
          <ShortList
            title="Counted in"
            items={sheet.clusters.map((cluster) => (
              <ToSheet key={cluster.id} kind="sets" id={cluster.id}>
                {cluster.name}
              </ToSheet>
            ))}
          />
          <ShortList
            title="Ways of doing it"
            items={sheet.variants.map((variant) => (
              <>
                <strong>{variant.label}</strong>: {variant.differs}
                <span className="block text-note text-soft">
                  {variant.figures}
                  {variant.school && ` · ${variant.school}`}
                </span>
              </>
            ))}
          />
        </div>
      </Part>
    </>
  );
}

/** How it is done, beyond the card. */
function Conduct({ sheet }: { sheet: Schemas["TestSheetJson"] }) {
  const lines: [string, string][] = [];
  sheet.angles.forEach((angle) =>
    lines.push([
      angle.what,
      `${String(angle.from)} to ${String(angle.to)}°${angle.outside ? `; ${angle.outside}` : ""}`,
    ]),
  );
  if (sheet.hold) {
    const { from, to } = sheet.hold;
    lines.push([
      "Hold",
      `${from === to ? String(from) : `${String(from)} to ${String(to)}`} s${sheet.hold.endsAtOnset ? ", ends when the symptom comes" : ""}`,
    ]);
  }
  sheet.after.forEach((after) =>
    lines.push(["Only after", `${after.testName}: ${after.finding}. ${capital(after.because)}`]),
  );
  sheet.onlyWhere.forEach((school) => lines.push(["Only where", school]));
  sheet.stops.forEach((stop) => lines.push(["Stops", stop]));
  if (sheet.test.card.watch.length > 0) {
    lines.push(["Watch for", sheet.test.card.watch.map((watch) => watch.label).join(" · ")]);
  }
  lines.push(["Position", sheet.positions.join(", or ")]);
  if (sheet.equipment.length > 0) {
    lines.push(["Needs", sheet.equipment.join(", ")]);
  }
  lines.push(
    [
      "Provokes",
      ["nothing", "little", "clearly: may hurt", "strongly: may hurt or frighten"][sheet.test.provocation] ?? "",
    ],
    ["Loads", sheet.structures.join(", ")],
  );
  return (
    <Facts lines={lines} className="mt-4 grid-cols-[8rem_1fr] gap-x-2 gap-y-0.5 border-t border-line pt-3 text-read" />
  );
}
