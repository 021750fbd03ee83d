package lexicor.core.safety;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;

/**
 * All rules by which story and findings call for a picture, close tests, or make them wait.
 *
 * @param revision short fingerprint of the content
 */
public record SafetyRules(
        String revision, List<Referral> referrals, List<Suspicion> suspicions, List<RangeLimit> ranges) {

    public SafetyRules {
        referrals = List.copyOf(referrals);
        suspicions = List.copyOf(suspicions);
        ranges = List.copyOf(ranges);
    }

    /** The rule of a condition; empty where it has none. */
    public Optional<Referral> referral(ConditionId condition) {
        return referrals.stream()
                .filter(each -> each.condition().equals(condition))
                .findFirst();
    }

    /** The start from which a condition is worth looking for, 0..1. */
    public double lookFor(ConditionId condition) {
        return referral(condition).map(Referral::lookFor).orElse(Referral.USUAL_LOOK_FOR);
    }

    /** Conditions that are to be imaged or referred now. */
    public List<Referral> referred(Known known) {
        return referrals.stream().filter(each -> each.when().holds(known)).toList();
    }

    /** What is suspected now. */
    public List<Suspicion> suspected(Known known) {
        return suspicions.stream().filter(each -> each.when().holds(known)).toList();
    }

    /**
     * Tests that are looked at before all else, each with the condition that it is for; those recorded already are not
     * among them.
     */
    public Map<TestId, ConditionId> lookFirst(Known known) {
        Map<TestId, ConditionId> first = new LinkedHashMap<>();
        for (Referral referral : referrals) {
            referral.lookFirst()
                    .filter(look ->
                            known.ranked(referral.condition()) && look.when().holds(known))
                    .ifPresent(look -> look.tests().stream()
                            .filter(test -> !known.recorded(test))
                            .forEach(test -> first.putIfAbsent(test, referral.condition())));
        }
        return first;
    }

    /** Why the recorded range leaves a test out of reach, without a full stop; empty where it does not. */
    public Optional<String> outOfReach(ExaminationTest test, Known known) {
        return ranges.stream()
                .filter(limit -> limit.region().equals(test.region()))
                .flatMap(limit -> known.answers(limit.test()).flatMap(answers -> limit.whyNot(test, answers)).stream())
                .findFirst();
    }

    /** That a test waits until others have been done. */
    public record Wait(Suspicion suspicion, List<TestId> until) {
        public Wait {
            until = List.copyOf(until);
        }
    }

    /** Tests that wait for what is looked at first. */
    public Map<TestId, Wait> waiting(Known known) {
        Map<TestId, Wait> waiting = new LinkedHashMap<>();
        for (Suspicion suspicion : suspicions) {
            Optional<Referral.LookFirst> look = suspicion
                    .of()
                    .filter(known::ranked)
                    .flatMap(this::referral)
                    .flatMap(Referral::lookFirst)
                    .filter(each -> each.when().holds(known));
            if (look.isPresent()) {
                List<TestId> until = new ArrayList<>(look.get().tests());
                until.removeIf(known::recorded);
                if (!until.isEmpty()) {
                    suspicion.waiting().stream()
                            .filter(test -> !look.get().tests().contains(test))
                            .forEach(test -> waiting.putIfAbsent(test, new Wait(suspicion, until)));
                }
            }
        }
        return waiting;
    }
}
