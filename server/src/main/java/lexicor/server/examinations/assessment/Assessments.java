package lexicor.server.examinations.assessment;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.History;
import lexicor.core.examination.OtherSide;
import lexicor.core.examination.ResponseReader;
import lexicor.core.examination.RivalVoids;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WaysDone;
import lexicor.core.intake.IntakeState;
import lexicor.core.intake.StartingOdds;
import lexicor.core.safety.Known;
import lexicor.core.safety.KnownSoFar;
import lexicor.core.safety.SafetyRules;
import lexicor.core.weighing.Ranking;
import lexicor.server.evidence.Figures;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.Recorded;
import org.springframework.stereotype.Component;
import org.springframework.util.function.SingletonSupplier;

/** Assesses examinations, each once for as long as nothing is added to it. */
@Component
public class Assessments {

    /** Examinations that are at the bench or looked at together, and how long an assessment is kept ready. */
    private static final int MOST = 60;

    private static final Duration KEPT = Duration.ofMinutes(10);
    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final SafetyRules rules;
    private final VisitIntake intake;
    private final RivalVoids voids;
    private final Cache<AssessmentKey, Assessment> known =
            Caffeine.newBuilder().maximumSize(MOST).expireAfterAccess(KEPT).build();

    Assessments(Catalogue catalogue, LivingEvidence living, SafetyRules rules, VisitIntake intake) {
        this.catalogue = catalogue;
        this.living = living;
        this.rules = rules;
        this.intake = intake;
        this.voids = RivalVoids.shipped(catalogue);
    }

    /** An examination up to a command, of somebody of whom the case says what it said in this version, by a ledger. */
    private record AssessmentKey(UUID examination, long number, int caseVersion, String evidence) {}

    public Assessment of(Recorded recorded) {
        return by(figures(recorded), recorded);
    }

    /** The same as if it were weighed by other figures. */
    public Assessment by(Figures figures, Recorded recorded) {
        return known.get(
                new AssessmentKey(
                        recorded.row().getId(),
                        recorded.lastNumber(),
                        recorded.row().caseFile().version(),
                        figures.revision()),
                asked -> made(figures, recorded, recorded.history()));
    }

    private Figures figures(Recorded recorded) {
        return living.at(recorded.row().evidenceRevision());
    }

    /** The same as if a test had not been done. */
    public Assessment without(Recorded recorded, TestId test) {
        return made(figures(recorded), recorded, recorded.history().without(test));
    }

    private Assessment made(Figures figures, Recorded recorded, History history) {
        ExaminationRow row = recorded.row();
        IntakeState told = intake.of(recorded);
        Schools schools = intake.schools(row, told);
        OtherSide other = row.otherSideInvolved() ? OtherSide.INVOLVED : OtherSide.WELL;
        List<TestReading> readings = readings(figures, row, history, told, schools, other);
        List<StartingOdds.Start> starts = intake.starts(row, told, readings, figures.evidence());
        Visit visit = intake.visit(row, told, starts);
        Supplier<Ranking> points = SingletonSupplier.of(() -> figures.points().weigh(visit, readings, row.seed()));
        Supplier<Known> facts = SingletonSupplier.of(() -> new KnownSoFar(
                row.region(), told.story(), readings, history, row.side(), other, schools, points.get()));
        Supplier<Assessment.Safety> safety = SingletonSupplier.of(() -> Assessment.Safety.of(rules, facts.get()));
        return new Assessment(
                figures,
                told,
                starts,
                visit,
                readings,
                points,
                SingletonSupplier.of(() -> figures.weighing().weigh(visit, readings, row.seed())),
                facts,
                safety,
                SingletonSupplier.of(() -> new OpenTests(
                        catalogue, rules, told, history, row.side(), schools, readings, facts.get(), safety.get())));
    }

    private List<TestReading> readings(
            Figures figures, ExaminationRow row, History history, IntakeState told, Schools schools, OtherSide other) {
        Set<TestId> tests = new LinkedHashSet<>(catalogue.routine(row.region()).order(told.zones()));
        tests.addAll(history.tests());
        return voids.apply(new WaysDone(figures.evidence())
                .apply(tests.stream()
                        .map(test -> new ResponseReader(catalogue.test(test), schools).read(history, row.side(), other))
                        .toList()));
    }
}
