package lexicor.server.library;

import static lexicor.server.json.OrNull.orNull;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Conduct;
import lexicor.core.catalogue.CueCard;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Pose;
import lexicor.core.catalogue.Routine;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Part;
import lexicor.core.examination.StopRules;
import lexicor.core.examination.WholeAnswer;
import lexicor.core.lookup.Keyed;
import lexicor.core.pathway.Pathways;
import lexicor.core.pathway.Step;
import org.springframework.stereotype.Component;

/** Writes tests as the bench needs them. */
@Component
class BenchCards {

    private final Catalogue catalogue;
    private final StopRules stops;
    private final Pathways pathways;
    private final CardReviews reviews;
    private volatile Written written = new Written(-1, Map.of());

    /** Cards as they were written after so many reviews. */
    private record Written(long reviews, Map<TestId, RegionJson.TestJson> cards) {}

    BenchCards(Catalogue catalogue, Pathways pathways, CardReviews reviews) {
        this.reviews = reviews;
        this.pathways = pathways;
        this.catalogue = catalogue;
        this.stops = new StopRules(catalogue);
    }

    /** A region's routine with the cards of its tests, of those that can be done beyond it, then of all others. */
    RegionJson region(String region) {
        Map<TestId, RegionJson.TestJson> cards = cards();
        Routine routine = catalogue.routine(region);
        return new RegionJson(
                region,
                catalogue.revision(),
                catalogue.effort().changePosition(),
                ids(routine.first()),
                routine.steps().stream().map(BenchCards::step).toList(),
                pathways.of(region).stream()
                        .map(pathway -> new RegionJson.PathwayJson(
                                pathway.id(),
                                pathway.name(),
                                pathway.steps().stream().map(this::pathwayStep).toList()))
                        .toList(),
                Stream.of(
                                routine.order(),
                                catalogue.beyondRoutine(region),
                                catalogue.tests().keySet())
                        .flatMap(Collection::stream)
                        .distinct()
                        .map(test -> Keyed.at(cards, test))
                        .toList(),
                catalogue.sharedNames().stream()
                        .map(name -> new RegionJson.SharedJson(
                                name.name(),
                                name.meant().stream()
                                        .map(meant -> new RegionJson.OptionJson(
                                                meant.test().value(), meant.how()))
                                        .toList()))
                        .toList(),
                catalogue.conditions().values().stream()
                        .map(condition ->
                                new RegionJson.OptionJson(condition.id().value(), condition.name()))
                        .toList());
    }

    private RegionJson.PathwayStepJson pathwayStep(Step step) {
        List<String> ways = step.ways().distinct().toList();
        if (step instanceof Step.Ask ask) {
            return new RegionJson.PathwayStepJson(
                    ask.id(),
                    RegionJson.PathwayStepKind.ASK,
                    ask.question(),
                    "",
                    null,
                    ask.answers().stream()
                            .map(answer -> new RegionJson.OptionJson(answer.value(), answer.label()))
                            .toList(),
                    ways);
        }
        if (step instanceof Step.Examine examine) {
            return new RegionJson.PathwayStepJson(
                    examine.id(),
                    RegionJson.PathwayStepKind.EXAMINE,
                    catalogue.test(examine.test()).shortName(),
                    examine.because(),
                    examine.test().value(),
                    List.of(),
                    ways);
        }
        Step.End end = (Step.End) step;
        return new RegionJson.PathwayStepJson(
                end.id(), RegionJson.PathwayStepKind.END, end.says(), end.because(), null, List.of(), ways);
    }

    private static RegionJson.StepJson step(Routine.Step step) {
        return new RegionJson.StepJson(
                step.name(),
                step.position(),
                ids(step.tests()),
                step.together().stream()
                        .map(sheet -> new RegionJson.TogetherJson(sheet.name(), ids(sheet.tests())))
                        .toList());
    }

    private static List<String> ids(List<TestId> tests) {
        return tests.stream().map(TestId::value).toList();
    }

    /** The card of a test. */
    RegionJson.TestJson test(ExaminationTest test) {
        return Keyed.at(cards(), test.id());
    }

    /** All cards, written anew when one has been looked through. */
    private Map<TestId, RegionJson.TestJson> cards() {
        long last = reviews.last();
        Written known = written;
        if (known.reviews() != last) {
            Map<String, CardState> states = reviews.states(catalogue.tests());
            Map<TestId, RegionJson.TestJson> cards = new HashMap<>();
            catalogue.tests().forEach((id, each) -> cards.put(id, written(each, Keyed.at(states, id.value()))));
            known = new Written(last, Map.copyOf(cards));
            written = known;
        }
        return known.cards();
    }

    private RegionJson.TestJson written(ExaminationTest test, CardState state) {
        CueCard card = test.card();
        Conduct conduct = test.conduct();
        List<RegionJson.OptionJson> watch = card.watch().stream()
                .map(item -> new RegionJson.OptionJson(item.value(), item.label()))
                .toList();
        return new RegionJson.TestJson(
                test.id().value(),
                test.name(),
                test.shortName(),
                test.names().usual().orElse(null),
                test.aliases(),
                test.names().misspelt(),
                test.region(),
                test.stage().name().toLowerCase(Locale.ROOT),
                test.position(),
                test.seconds(),
                test.provocation(),
                state,
                new RegionJson.CardJson(card.patient(), card.you(), card.movement(), card.ask(), watch, card.stop()),
                test.parts().stream().map(part -> part(test, part)).toList(),
                test.wellSideParts(),
                given(WholeAnswer.nothing(test)),
                WholeAnswer.usual(test).stream()
                        .map(answer -> new RegionJson.UsualJson(answer.label(), given(answer)))
                        .toList(),
                !conduct.after().isEmpty() || !conduct.onlyWhere().isEmpty(),
                conduct.ways().stream()
                        .map(way -> new RegionJson.DoneWayJson(
                                way.value(),
                                way.label(),
                                way.differs(),
                                way.capture(),
                                way.effect(!way.covered().isEmpty()),
                                way.because()))
                        .toList(),
                conduct.stops().stream()
                        .map(stop -> new RegionJson.StopJson(
                                stop.part(),
                                List.copyOf(stop.values()),
                                stop.because(),
                                stops.closes(test, stop).stream()
                                        .map(TestId::value)
                                        .sorted()
                                        .toList()))
                        .toList(),
                conduct.windows().stream().map(BenchCards::angle).toList(),
                conduct.equipment(),
                conduct.hold().map(BenchCards::hold).orElse(null),
                test.pose().map(BenchCards::pose).orElse(null),
                test.hand().map(RegionJson.HandPoseJson::of).orElse(null),
                test.place()
                        .map(place -> new RegionJson.PlaceJson(place.view(), place.zone(), place.x(), place.y()))
                        .orElse(null));
    }

    static TestSheetJson.HoldJson hold(Conduct.Hold hold) {
        return new TestSheetJson.HoldJson(hold.from(), hold.to(), hold.atOnset());
    }

    static TestSheetJson.AngleJson angle(Conduct.AngleWindow window) {
        return new TestSheetJson.AngleJson(window.what(), window.from(), window.to(), window.outside());
    }

    static TestSheetJson.PoseJson pose(Pose pose) {
        return new TestSheetJson.PoseJson(
                pose.view(),
                pose.body(),
                pose.elevation(),
                pose.plane(),
                pose.rotation(),
                pose.elbow(),
                pose.forearm(),
                pose.forces(),
                pose.held(),
                pose.arc().orElse(null));
    }

    private static List<RegionJson.GivenJson> given(WholeAnswer answer) {
        return answer.parts().stream()
                .map(part -> {
                    String position = part.context().position().isEmpty()
                            ? null
                            : part.context().position();
                    return part instanceof Part.Measured measured
                            ? new RegionJson.GivenJson(part.key(), null, measured.value(), measured.unit(), position)
                            : new RegionJson.GivenJson(part.key(), ((Part.Chosen) part).choice(), null, null, position);
                })
                .toList();
    }

    private static RegionJson.PartJson part(ExaminationTest test, PartDefinition part) {
        List<RegionJson.OptionJson> positions = part.taken().positions().stream()
                .map(position -> new RegionJson.OptionJson(position, words(position)))
                .toList();
        if (part instanceof PartDefinition.Choice choice) {
            return new RegionJson.PartJson(
                    choice.key(),
                    choice.label(),
                    choice.many(),
                    choice.options().stream()
                            .map(option -> new RegionJson.OptionJson(option.value(), option.label()))
                            .toList(),
                    null,
                    null,
                    null,
                    null,
                    null,
                    List.of(),
                    List.of(),
                    positions,
                    part.taken().repeats(),
                    part.taken().andBack(),
                    part.taken().onDemand());
        }
        PartDefinition.Measure measure = (PartDefinition.Measure) part;
        return new RegionJson.PartJson(
                measure.key(),
                measure.label(),
                false,
                List.of(),
                measure.unit(),
                measure.least(),
                measure.most(),
                measure.step(),
                orNull(measure.usual()),
                measure.byEye().stream()
                        .map(option -> new RegionJson.OptionJson(option.value(), option.label()))
                        .toList(),
                test.positiveWindows(measure.key()).stream()
                        .map(window -> new RegionJson.WindowJson(window.from(), window.to()))
                        .toList(),
                positions,
                part.taken().repeats(),
                part.taken().andBack(),
                part.taken().onDemand());
    }

    /** A position as it is said. */
    static String words(String position) {
        String words = position.replace('-', ' ');
        return words.substring(0, 1).toUpperCase(Locale.UK) + words.substring(1);
    }
}
