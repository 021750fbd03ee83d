package lexicor.core.assessment;

import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Evidence;
import lexicor.core.examination.ResponseReader;
import lexicor.core.examination.RivalVoids;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WaysDone;
import lexicor.core.intake.IntakeAnswers;
import lexicor.core.intake.IntakeFolder;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.IntakeState;
import lexicor.core.intake.RepeatedClues;
import lexicor.core.intake.StartingOdds;

/** Draws together what was told and found: reads every answer, and says where every condition starts. */
public final class VisitAssessor {

    private final Catalogue catalogue;
    private final IntakeForm form;
    private final IntakeFolder folder;
    private final RivalVoids voids;

    public VisitAssessor(Catalogue catalogue, IntakeForm form) {
        this.catalogue = catalogue;
        this.form = form;
        this.folder = new IntakeFolder(catalogue, form);
        this.voids = RivalVoids.shipped(catalogue);
    }

    /** What follows from what was told. */
    public IntakeState told(VisitFacts facts) {
        return folder.fold(facts.region(), IntakeAnswers.of(facts.history().heard()), facts.person(), facts.day());
    }

    /** The whole visit, by a ledger. */
    public AssessedVisit assess(VisitFacts facts, Evidence evidence) {
        IntakeState told = told(facts);
        Schools schools = told.schools(facts.schools());
        List<TestReading> readings = readings(facts, told, schools, evidence);
        List<StartingOdds.Start> starts = starts(facts, told, schools, readings, evidence);
        Map<ConditionId, Visit.Start> active = new LinkedHashMap<>();
        starts.stream()
                .filter(start -> start.inactive().isEmpty())
                .forEach(start -> active.put(
                        start.condition().id(),
                        new Visit.Start(start.chance(), told.width().deviation(), movedBy(start))));
        return new AssessedVisit(
                told,
                readings,
                starts,
                new Visit(facts.region(), facts.setting(), active, told.clues(), schools, facts.assumptions()));
    }

    private List<TestReading> readings(VisitFacts facts, IntakeState told, Schools schools, Evidence evidence) {
        Set<TestId> tests =
                new LinkedHashSet<>(catalogue.routine(facts.region()).order(told.zones()));
        tests.addAll(facts.history().tests());
        return voids.apply(new WaysDone(evidence)
                .apply(tests.stream()
                        .map(test -> new ResponseReader(catalogue.test(test), schools)
                                .read(facts.history(), facts.side(), facts.other()))
                        .toList()));
    }

    private List<StartingOdds.Start> starts(
            VisitFacts facts, IntakeState told, Schools schools, List<TestReading> readings, Evidence evidence) {
        Set<ConditionId> own = form.zonesOf(facts.region()).stream()
                .flatMap(zone -> zone.conditions().stream())
                .collect(Collectors.toCollection(LinkedHashSet::new));
        Set<ConditionId> full = new LinkedHashSet<>(told.inZone());
        readings.stream()
                .filter(TestReading::answered)
                .flatMap(reading -> catalogue.broughtInto(facts.region(), reading.test()).stream())
                .filter(own::add)
                .forEach(full::add);
        List<Condition> conditions = own.stream().map(catalogue::condition).toList();
        Map<ConditionId, Double> estimates = StartingOdds.shippedEstimates(conditions, facts.setting());
        estimates.replaceAll((condition, shipped) -> facts.estimates().getOrDefault(condition, shipped));
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
                                estimates, full, told.story(), told.cluesThatHold(), repeated, told.own()));
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
