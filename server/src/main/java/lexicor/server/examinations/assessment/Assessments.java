package lexicor.server.examinations.assessment;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import lexicor.core.assessment.AssessedVisit;
import lexicor.core.assessment.VisitAssessor;
import lexicor.core.assessment.VisitFacts;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.History;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.safety.Known;
import lexicor.core.safety.KnownSoFar;
import lexicor.core.safety.SafetyRules;
import lexicor.core.weighing.Ranking;
import lexicor.server.evidence.Figures;
import lexicor.server.evidence.LivingEvidence;
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
    private final VisitAssessor assessor;
    private final Cache<AssessmentKey, Assessment> kept =
            Caffeine.newBuilder().maximumSize(MOST).expireAfterAccess(KEPT).build();

    Assessments(
            Catalogue catalogue, LivingEvidence living, SafetyRules rules, VisitIntake intake, VisitAssessor assessor) {
        this.catalogue = catalogue;
        this.living = living;
        this.rules = rules;
        this.intake = intake;
        this.assessor = assessor;
    }

    /** An examination up to a command, of somebody of whom the case says what it said in this version, by a ledger. */
    private record AssessmentKey(UUID examination, long number, int caseVersion, String evidence) {}

    public Assessment of(Recorded recorded) {
        return by(figures(recorded), recorded);
    }

    /** The same as if it were weighed by other figures. */
    public Assessment by(Figures figures, Recorded recorded) {
        return kept.get(
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
        VisitFacts facts = intake.facts(recorded, history);
        long seed = recorded.row().seed();
        AssessedVisit assessed = assessor.assess(facts, figures.evidence());
        Visit visit = assessed.visit();
        List<TestReading> readings = assessed.readings();
        Supplier<Ranking> points = SingletonSupplier.of(() -> figures.points().weigh(visit, readings, seed));
        Supplier<Known> known = SingletonSupplier.of(() -> new KnownSoFar(
                facts.region(),
                assessed.told().story(),
                readings,
                facts.history(),
                facts.side(),
                facts.other(),
                visit.schools(),
                points.get()));
        Supplier<Assessment.Safety> safety = SingletonSupplier.of(() -> Assessment.Safety.of(rules, known.get()));
        return new Assessment(
                figures,
                assessed,
                points,
                SingletonSupplier.of(() -> figures.weighing().weigh(visit, readings, seed)),
                known,
                safety,
                SingletonSupplier.of(() -> new OpenTests(
                        catalogue,
                        rules,
                        assessed.told(),
                        facts.history(),
                        facts.side(),
                        visit.schools(),
                        readings,
                        known.get(),
                        safety.get())));
    }
}
