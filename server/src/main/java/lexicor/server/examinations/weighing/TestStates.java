package lexicor.server.examinations.weighing;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Conduct;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import lexicor.core.conclusion.Markers;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.ForceTries;
import lexicor.core.examination.History;
import lexicor.core.examination.Reading;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.planning.Movements;
import lexicor.server.examinations.assessment.Assessment;
import lexicor.server.examinations.assessment.LockJson;
import lexicor.server.examinations.assessment.OpenTests;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.Recorded;
import org.springframework.stereotype.Component;

/** Says of each test how far it has got and what it means. */
@Component
public class TestStates {

    private static final String FORCE = "force";
    private static final String FORCE_SCHOOL = "force-of-three";

    private final Catalogue catalogue;

    TestStates(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    /** @param before what happened at the visit that this one follows; empty where it follows none */
    public WeighingJson.TestState of(
            TestReading reading, Recorded recorded, Assessment here, Optional<History> before) {
        OpenTests open = here.open();
        Schools schools = here.schools();
        ExaminationRow row = recorded.row();
        History history = recorded.history();
        TestId test = reading.test();
        return new WeighingJson.TestState(
                test.value(),
                progress(reading, history, row.side()),
                reading.answered()
                        ? here.figures().interpreter().say(row.region(), schools, reading, here.ranking()).stream()
                                .map(WeighingJson.StatementJson::of)
                                .toList()
                        : List.of(),
                open.waits(test),
                LockJson.of(test, here.told(), open.whyClosed(test)),
                history.rivals(test).stream()
                        .map(WeighingJson.RivalEntryJson::of)
                        .toList(),
                catalogue.test(test).variant(schools).map(TestStates::way).orElse(null),
                force(catalogue.test(test), history, row.side(), schools),
                movements(
                        catalogue.test(test),
                        here,
                        before.map(then -> Markers.measured(then, test, row.side()))
                                .orElse(Set.of())));
    }

    private static List<String> movements(ExaminationTest test, Assessment here, Set<String> followed) {
        return Movements.of(test, here.inPlay(), followed)
                .map(movements ->
                        movements.asked().stream().map(PartDefinition::key).toList())
                .orElse(List.of());
    }

    private static WeighingJson.WayJson way(Conduct.Variant variant) {
        return new WeighingJson.WayJson(
                variant.value(),
                variant.label(),
                variant.differs(),
                variant.hold()
                        .map(hold -> new WeighingJson.HeldJson(hold.from(), hold.to(), hold.atOnset()))
                        .orElse(null),
                variant.positions());
    }

    private static WeighingJson.Progress progress(TestReading reading, History history, Side side) {
        if (!reading.answered()) {
            return history.attempts(reading.test(), side.other()).isEmpty()
                    ? WeighingJson.Progress.OPEN
                    : WeighingJson.Progress.PARTLY;
        }
        if (history.attempts(reading.test(), side).stream()
                .allMatch(attempt -> attempt.choices("quality").contains("skipped"))) {
            return WeighingJson.Progress.LEFT_OUT;
        }
        if (!reading.readings().isEmpty()
                && reading.readings().stream().allMatch(each -> each.result() == Reading.Result.NOT_INTERPRETABLE)) {
            return WeighingJson.Progress.VOID;
        }
        return reading.complete() ? WeighingJson.Progress.READ : WeighingJson.Progress.PARTLY;
    }

    /** What the tries of a gauge come to; null where there are none. */
    public static WeighingJson.ForceJson force(ExaminationTest test, History history, Side side, Schools schools) {
        Optional<ForceTries> involved = tries(history, test.id(), side);
        Optional<ForceTries> well = tries(history, test.id(), side.other());
        if (involved.isEmpty() && well.isEmpty()) {
            return null;
        }
        ForceTries.Counts counts = counts(schools);
        OptionalDouble percent = involved.isPresent()
                        && well.isPresent()
                        && clean(history, test.id(), side)
                        && clean(history, test.id(), side.other())
                ? involved.get().percentOf(well.get(), counts)
                : OptionalDouble.empty();
        return new WeighingJson.ForceJson(
                counts,
                involved.map(WeighingJson.TriesJson::of).orElse(null),
                well.map(WeighingJson.TriesJson::of).orElse(null),
                percent.isPresent() ? percent.getAsDouble() : null);
    }

    /** Which of several tries counts by these schools. */
    static ForceTries.Counts counts(Schools schools) {
        return schools.choice(FORCE_SCHOOL).equals("mean") ? ForceTries.Counts.MEAN : ForceTries.Counts.BEST;
    }

    /** Whether nothing was seen that takes up the push, so that the force is that of the muscle. */
    private static boolean clean(History history, TestId test, Side side) {
        List<Attempt> attempts = history.attempts(test, side);
        return attempts.get(attempts.size() - 1).choices("quality").isEmpty();
    }

    private static Optional<ForceTries> tries(History history, TestId test, Side side) {
        List<Attempt> attempts = history.attempts(test, side);
        List<Double> values =
                attempts.isEmpty() ? List.of() : ForceTries.values(attempts.get(attempts.size() - 1), FORCE);
        return values.isEmpty() ? Optional.empty() : Optional.of(ForceTries.of(values));
    }
}
