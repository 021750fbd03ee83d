package lexicor.server.examinations.assessment;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Schools;
import lexicor.core.evidence.Evidence;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.intake.IntakeFolder;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.IntakeState;
import lexicor.core.intake.Person;
import lexicor.core.intake.RepeatedClues;
import lexicor.core.intake.StartingOdds;
import lexicor.server.cases.CaseFile;
import lexicor.server.cases.Dominance;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.settings.ClinicSettings;
import org.springframework.stereotype.Component;

/** Asks the core what follows from an examination's intake, by the settings that the examination was begun with. */
@Component
public class VisitIntake {

    private final Catalogue catalogue;
    private final IntakeForm form;
    private final IntakeFolder folder;
    private final ClinicSettings settings;

    VisitIntake(Catalogue catalogue, IntakeForm form, ClinicSettings settings) {
        this.catalogue = catalogue;
        this.form = form;
        this.folder = new IntakeFolder(catalogue, form);
        this.settings = settings;
    }

    public IntakeState of(Recorded recorded) {
        ExaminationRow row = recorded.row();
        return folder.fold(row.region(), recorded.told(), person(row), row.day());
    }

    private static Person person(ExaminationRow row) {
        CaseFile known = row.caseFile();
        OptionalInt birthYear = known.birthYear().map(OptionalInt::of).orElse(OptionalInt.empty());
        Optional<Boolean> leading = known.dominance()
                .filter(hand -> hand != Dominance.BOTH)
                .map(hand -> hand.name().equals(row.side().name()));
        return new Person(birthYear, known.sex(), leading, row.otherSideInvolved(), known.occupation());
    }

    /** The clinic's schools at the start of the examination, with what this examination changes. */
    public Schools schools(ExaminationRow row, IntakeState state) {
        return state.schools(settings.at(row.settingsRevision()).schools());
    }

    /**
     * The start of every condition of the region's zones, and of those that a test of another region has brought in,
     * given what was found since.
     */
    List<StartingOdds.Start> starts(
            ExaminationRow row, IntakeState state, List<TestReading> readings, Evidence evidence) {
        Set<ConditionId> own = form.zonesOf(row.region()).stream()
                .flatMap(zone -> zone.conditions().stream())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        Set<ConditionId> full = new LinkedHashSet<>(state.inZone());
        readings.stream()
                .filter(TestReading::answered)
                .flatMap(reading -> catalogue.broughtInto(row.region(), reading.test()).stream())
                .filter(own::add)
                .forEach(full::add);
        List<Condition> conditions = own.stream().map(catalogue::condition).toList();
        Map<ConditionId, Double> estimates = settings.at(row.settingsRevision()).estimates(conditions, row.setting());
        Schools schools = schools(row, state);
        Map<ConditionId, Set<String>> repeated = RepeatedClues.of(
                form.story(),
                estimates.keySet(),
                readings,
                reading -> evidence.inUse(reading.test(), reading.condition(), schools)
                        .isPresent());
        return new StartingOdds(catalogue, evidence, form.story())
                .of(
                        conditions,
                        new StartingOdds.Story(
                                estimates, full, state.story(), state.cluesThatHold(), repeated, state.own()));
    }

    /** What the visit brings to the weighing. */
    Visit visit(ExaminationRow row, IntakeState state, List<StartingOdds.Start> starts) {
        Map<ConditionId, Visit.Start> active = new LinkedHashMap<>();
        starts.stream()
                .filter(start -> start.inactive().isEmpty())
                .forEach(start -> active.put(
                        start.condition().id(),
                        new Visit.Start(start.chance(), state.width().deviation(), movedBy(start))));
        return new Visit(
                row.region(),
                row.setting(),
                active,
                state.clues(),
                schools(row, state),
                settings.at(row.settingsRevision()).assumptions());
    }

    /**
     * The catalogue's clues that have moved a start: those of its ages where an age did, and those of an answer that
     * did.
     */
    private Set<String> movedBy(StartingOdds.Start start) {
        Set<String> moved = new LinkedHashSet<>();
        if (start.movedBy("age:")) {
            catalogue.clues().values().stream()
                    .filter(clue -> clue.age().isPresent())
                    .forEach(clue -> moved.add(clue.id()));
        }
        form.questions()
                .forEach(question -> question.options().stream()
                        .filter(option -> start.movedBy(question.id() + ":" + option.value()))
                        .forEach(option -> moved.addAll(option.clues())));
        return moved;
    }
}
