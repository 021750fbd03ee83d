package lexicor.core.planning;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import lexicor.core.catalogue.TestId;
import lexicor.core.lookup.Keyed;
import lexicor.core.nexttest.JointInformation;

/**
 * Which tests tell most together in the time there is. What a set tells is not the sum of what its tests tell, so the
 * best set is sought and not added up: the test with the most further information for its time, again and again,
 * beginning with none and with each of the best single tests; then swaps of one for another, and additions, as long as
 * any of them tells more. It can end a little short of the best of all sets; how far is measured against every set of
 * small cases.
 *
 * @param tests beside those begun with, in the order in which they were chosen
 * @param bits expected information of all of them together, with those begun with
 * @param seconds for all of them, with those begun with and the moves that their positions need at the least
 */
public record Selection(List<TestId> tests, double bits, double seconds) {

    /** Information that is not worth a swap, in bits. */
    private static final double NEXT_TO_NOTHING = 1e-6;

    /**
     * A test that may be chosen.
     *
     * @param seconds for both sides where both are done, above 0
     * @param positions the patient's positions in which it can be done; at least one
     * @param custom share of what it tells that counts against other tests, above 0 and up to 1: less where it is
     *     hardly ever done here, so that of two that tell about the same the known one wins
     */
    public record Candidate(TestId test, double seconds, List<String> positions, double custom) {

        /** A test that is done here as others are. */
        public Candidate(TestId test, double seconds, List<String> positions) {
            this(test, seconds, positions, 1);
        }

        public Candidate {
            if (!(custom > 0 && custom <= 1)) {
                throw new IllegalArgumentException("custom is " + custom + "; allowed: above 0, up to 1");
            }
            if (!(seconds > 0)) {
                throw new IllegalArgumentException(test + " takes " + seconds + " s; allowed: more than 0");
            }
            positions = List.copyOf(positions);
        }
    }

    public Selection {
        tests = List.copyOf(tests);
    }

    /**
     * Chooses.
     *
     * @param so information of the tests begun with; of no test where there are none
     * @param begun tests that are in already
     * @param budget seconds there are for all, 0 or more; infinite for as many as are worth doing
     * @param leastBits further information below which a test is not worth doing
     */
    static Selection of(
            JointInformation so,
            List<Candidate> begun,
            List<Candidate> candidates,
            double budget,
            double leastBits,
            PlanDuration clock) {
        Chooser chooser = new Chooser(so, begun, candidates, budget, leastBits, clock);
        Set<TestId> best = chooser.improved(chooser.greedy(Set.of()));
        for (TestId single : chooser.bestSingles()) {
            Set<TestId> other = chooser.improved(chooser.greedy(Set.of(single)));
            best = chooser.bits(other) > chooser.bits(best) + NEXT_TO_NOTHING ? other : best;
        }
        return new Selection(List.copyOf(best), chooser.bits(best), chooser.seconds(best));
    }

    /** Single tests that a search begins with, beside the search that begins with none. */
    private static final int STARTS = 4;

    /** Rounds of swaps: the first few bring nearly all that swapping can. */
    private static final int MOST_ROUNDS = 12;

    private static final class Chooser {

        private final JointInformation nothing;
        private final Map<TestId, Candidate> candidates = new LinkedHashMap<>();
        private final List<Candidate> begun;
        private final double budget;
        private final double leastBits;
        private final PlanDuration clock;
        private final Map<Set<TestId>, JointInformation> known = new LinkedHashMap<>();

        Chooser(
                JointInformation nothing,
                List<Candidate> begun,
                List<Candidate> candidates,
                double budget,
                double leastBits,
                PlanDuration clock) {
            this.nothing = nothing;
            this.begun = begun;
            candidates.forEach(each -> this.candidates.put(each.test(), each));
            this.budget = budget;
            this.leastBits = leastBits;
            this.clock = clock;
        }

        double bits(Set<TestId> set) {
            return information(set).bits();
        }

        double seconds(Set<TestId> set) {
            return clock.seconds(Stream.concat(begun.stream(), set.stream().map(candidates::get))
                    .toList());
        }

        private JointInformation information(Set<TestId> set) {
            JointInformation found = known.get(set);
            if (found == null) {
                found = nothing;
                Set<TestId> so = new LinkedHashSet<>();
                for (TestId test : set) {
                    so.add(test);
                    JointInformation before = found;
                    found = known.computeIfAbsent(Set.copyOf(so), each -> before.with(test));
                }
            }
            return found;
        }

        /** The tests that tell most by themselves, whatever their time. */
        List<TestId> bestSingles() {
            return candidates.keySet().stream()
                    .filter(test -> seconds(Set.of(test)) <= budget && nothing.gain(test) >= leastBits)
                    .sorted(Comparator.comparingDouble((TestId test) -> counted(test, nothing.gain(test)))
                            .reversed())
                    .limit(STARTS)
                    .toList();
        }

        private double counted(TestId test, double gain) {
            return gain * Keyed.at(candidates, test).custom();
        }

        /** A set with, again and again, the test that tells most for its time. */
        Set<TestId> greedy(Set<TestId> begun) {
            Set<TestId> set = new LinkedHashSet<>(begun);
            while (true) {
                Optional<TestId> next = next(set);
                if (next.isEmpty()) {
                    return set;
                }
                set.add(next.get());
            }
        }

        private Optional<TestId> next(Set<TestId> set) {
            JointInformation so = information(set);
            double took = seconds(set);
            TestId best = null;
            double most = 0;
            for (TestId test : candidates.keySet()) {
                Set<TestId> with = with(set, test);
                if (set.contains(test) || seconds(with) > budget) {
                    continue;
                }
                double gain = so.gain(test);
                double rate = counted(test, gain) / Math.max(1, seconds(with) - took);
                if (gain >= leastBits && rate > most) {
                    most = rate;
                    best = test;
                }
            }
            return Optional.ofNullable(best);
        }

        /** The set after every swap of one test for another, and every addition, that tells more. */
        Set<TestId> improved(Set<TestId> from) {
            Set<TestId> set = new LinkedHashSet<>(from);
            boolean better = !Double.isInfinite(budget);
            for (int round = 0; better && round < MOST_ROUNDS; round++) {
                better = swap(set);
                Set<TestId> more = greedy(set);
                better |= set.addAll(more);
            }
            return set;
        }

        private boolean swap(Set<TestId> set) {
            double now = bits(set);
            for (TestId out : List.copyOf(set)) {
                Set<TestId> without = new LinkedHashSet<>(set);
                without.remove(out);
                JointInformation rest = known.computeIfAbsent(
                        Set.copyOf(without), each -> information(set).without(out));
                for (TestId in : candidates.keySet()) {
                    Set<TestId> with = with(without, in);
                    if (!set.contains(in)
                            && seconds(with) <= budget
                            && counted(in, rest.gain(in)) > counted(out, now - rest.bits()) + NEXT_TO_NOTHING
                            && bits(with) > now + NEXT_TO_NOTHING) {
                        set.remove(out);
                        set.add(in);
                        return true;
                    }
                }
            }
            return false;
        }

        private static Set<TestId> with(Set<TestId> set, TestId test) {
            Set<TestId> more = new LinkedHashSet<>(set);
            more.add(test);
            return more;
        }
    }
}
