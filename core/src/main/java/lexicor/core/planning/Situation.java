package lexicor.core.planning;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.safety.Referral;
import lexicor.core.weighing.Ranking;

/**
 * What a plan is made from.
 *
 * @param doable tests that may be done now: neither done, nor locked, nor waiting for another
 * @param position in which the patient is; empty where it is not known
 * @param learnt seconds that tests took in this clinic, both sides together; the catalogue's where a test has none
 * @param sparing whether only the most valuable tests are to be done
 * @param looking what is looked for before all else
 * @param practice what is done here and what is not
 */
public record Situation(
        Visit visit,
        List<TestReading> found,
        Ranking ranking,
        Collection<TestId> doable,
        Optional<String> position,
        Map<TestId, Double> learnt,
        boolean sparing,
        Looking looking,
        Practice practice) {

    /**
     * What is done here and what is not.
     *
     * @param positionsOut positions that this patient cannot take
     * @param notMine tests that the therapist does not do; they are never proposed, and may be put in by hand
     */
    public record Practice(Set<String> positionsOut, Set<TestId> notMine) {

        public Practice {
            positionsOut = Set.copyOf(positionsOut);
            notMine = Set.copyOf(notMine);
        }

        /** Everything is done, in every position. */
        public static Practice everything() {
            return new Practice(Set.of(), Set.of());
        }

        /** Of the positions of a test those that are left; all of them where it is done although none is left. */
        List<String> positions(ExaminationTest test) {
            List<String> left = test.positions().stream()
                    .filter(position -> !positionsOut.contains(position))
                    .toList();
            return left.isEmpty() ? test.positions() : left;
        }
    }

    /**
     * What is looked for before all else.
     *
     * @param first tests that the story or a finding asks for, each with the condition that it is for
     * @param from chance from which a serious condition is looked for
     */
    public record Looking(Map<TestId, ConditionId> first, ToDoubleFunction<ConditionId> from) {

        /** Nothing that the story asks for; serious conditions from the usual chance. */
        public static Looking usual() {
            return new Looking(Map.of(), condition -> Referral.USUAL_LOOK_FOR);
        }
    }

    public Situation {
        found = List.copyOf(found);
        doable = List.copyOf(doable);
        learnt = Map.copyOf(learnt);
    }

    /** Tests that may be proposed: those that may be done now, and that the therapist does. */
    public List<TestId> proposable() {
        return doable.stream()
                .filter(test -> !practice.notMine().contains(test))
                .toList();
    }

    /** The same for somebody who does every test. */
    public Situation ofEveryTest() {
        return new Situation(
                visit,
                found,
                ranking,
                doable,
                position,
                learnt,
                sparing,
                looking,
                new Practice(practice.positionsOut(), Set.of()));
    }

    /** Tests that have an answer already. */
    public Set<TestId> done() {
        return found.stream()
                .filter(TestReading::answered)
                .map(TestReading::test)
                .collect(Collectors.toSet());
    }
}
