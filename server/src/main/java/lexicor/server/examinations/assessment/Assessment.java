package lexicor.server.examinations.assessment;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import lexicor.core.assessment.AssessedVisit;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.intake.IntakeState;
import lexicor.core.intake.StartingOdds;
import lexicor.core.safety.Known;
import lexicor.core.safety.Referral;
import lexicor.core.safety.SafetyRules;
import lexicor.core.safety.Suspicion;
import lexicor.core.weighing.Ranking;
import lexicor.server.evidence.Figures;
import org.springframework.util.function.SingletonSupplier;

/** Where an examination stands, drawn together once: what was told, read, weighed, is suspected and is still open. */
public final class Assessment {

    /**
     * What calls for a picture, what is closed by a suspicion, and what waits.
     *
     * @param referred conditions to image or refer, in the order of the content
     * @param closed tests that a suspicion closes, with every reason
     * @param waiting tests that wait for what is looked at first
     * @param lookFirst tests that are looked at before all else, each with what it is for
     */
    public record Safety(
            List<Referral> referred,
            Map<TestId, List<String>> closed,
            Map<TestId, SafetyRules.Wait> waiting,
            Map<TestId, ConditionId> lookFirst) {
        static Safety of(SafetyRules rules, Known known) {
            Map<TestId, List<String>> closed = new LinkedHashMap<>();
            for (Suspicion suspicion : rules.suspected(known)) {
                suspicion.closes().stream()
                        .filter(test -> !known.recorded(test))
                        .sorted((one, other) -> one.value().compareTo(other.value()))
                        .forEach(test -> closed.computeIfAbsent(test, id -> new ArrayList<>())
                                .add(suspicion.label() + ": " + suspicion.because()));
            }
            return new Safety(rules.referred(known), closed, rules.waiting(known), rules.lookFirst(known));
        }
    }

    private final Figures figures;
    private final AssessedVisit assessed;
    private final Supplier<Ranking> points;
    private final Supplier<Ranking> ranking;
    private final Supplier<Known> known;
    private final Supplier<Safety> safety;
    private final Supplier<OpenTests> open;
    private final Supplier<Set<ConditionId>> inPlay =
            SingletonSupplier.of(() -> ranking().inPlay(thresholds().setAside()));

    Assessment(
            Figures figures,
            AssessedVisit assessed,
            Supplier<Ranking> points,
            Supplier<Ranking> ranking,
            Supplier<Known> known,
            Supplier<Safety> safety,
            Supplier<OpenTests> open) {
        this.figures = figures;
        this.assessed = assessed;
        this.points = points;
        this.ranking = ranking;
        this.known = known;
        this.safety = safety;
        this.open = open;
    }

    /** What it is weighed by. */
    public Figures figures() {
        return figures;
    }

    public IntakeState told() {
        return assessed.told();
    }

    /** Where every condition of the zones starts. */
    List<StartingOdds.Start> starts() {
        return assessed.starts();
    }

    public Visit visit() {
        return assessed.visit();
    }

    public Schools schools() {
        return visit().schools();
    }

    public Thresholds thresholds() {
        return visit().assumptions().thresholds();
    }

    /** The readings of the region's tests in the order of the routine, then of any others that were done. */
    public List<TestReading> readings() {
        return assessed.readings();
    }

    /** Conditions that are neither set aside nor unlikely by definition. */
    public Set<ConditionId> inPlay() {
        return inPlay.get();
    }

    /** The ranking without its ranges: enough to know who leads. */
    public Ranking points() {
        return points.get();
    }

    /** The whole ranking. */
    public Ranking ranking() {
        return ranking.get();
    }

    Known known() {
        return known.get();
    }

    public Safety safety() {
        return safety.get();
    }

    /** The rule by which a condition is to be imaged or referred now; empty where it is not. */
    Optional<Referral> referred(ConditionId condition) {
        return safety().referred().stream()
                .filter(referral -> referral.condition().equals(condition))
                .findFirst();
    }

    public OpenTests open() {
        return open.get();
    }
}
