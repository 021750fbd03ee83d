package lexicor.server.examinations.weighing;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;
import lexicor.server.evidence.Figures;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.evidence.RecordStandings;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.record.Recorded;
import org.springframework.stereotype.Component;

/** Whether the ledger has changed since an examination began, and what that would mean for it. */
@Component
public class NewerEvidence {

    /** Chances that move by less are not told. */
    private static final double LEAST = 0.005;

    private final Assessments assessments;
    private final LivingEvidence living;
    private final RecordStandings ledger;

    NewerEvidence(Assessments assessments, LivingEvidence living, RecordStandings ledger) {
        this.assessments = assessments;
        this.living = living;
        this.ledger = ledger;
    }

    public NewerEvidenceJson of(Recorded recorded) {
        Figures now = living.now();
        Figures used = assessments.of(recorded).figures();
        if (used.evidence().weighsAs(now.evidence()) || recorded.versions().closed()) {
            return new NewerEvidenceJson(false, now.revision(), List.of(), List.of());
        }
        Map<ConditionId, Standing> before = standings(assessments.of(recorded).points());
        List<NewerEvidenceJson.ChanceJson> moved = standings(
                        assessments.by(now, recorded).points())
                .values()
                .stream()
                .filter(after -> before.containsKey(after.condition().id()))
                .map(after -> new NewerEvidenceJson.ChanceJson(
                        after.condition().id().value(),
                        after.condition().name(),
                        before.get(after.condition().id()).now(),
                        after.now()))
                .filter(chance -> Math.abs(chance.after() - chance.before()) >= LEAST)
                .sorted(Comparator.comparingDouble(chance -> -Math.abs(chance.after() - chance.before())))
                .toList();
        return new NewerEvidenceJson(true, now.revision(), ledger.since(used.revision()), moved);
    }

    private static Map<ConditionId, Standing> standings(Ranking ranking) {
        return ranking.standings().stream()
                .collect(Collectors.toMap(standing -> standing.condition().id(), Function.identity()));
    }
}
