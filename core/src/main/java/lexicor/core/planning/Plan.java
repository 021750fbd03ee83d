package lexicor.core.planning;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.examination.TestReading;
import lexicor.core.weighing.JointInformation;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;
import lexicor.core.weighing.Visit;
import lexicor.core.weighing.Weighing;

/**
 * The tests to do in the time there is, in the order that spares the patient, each with why it is in; and those that are out,
 * each with why. First come the short neck screen and measures that provoking would spoil, then what tells most by figures, then what
 * defines a condition in play, then what belongs to the picture of one that has no figures.
 *
 * @param steps   in order
 * @param out     tests that may be done and are not in
 * @param seconds for all steps with their moves
 * @param moves   changes of the patient's position
 * @param bits    expected information of all steps together
 */
public record Plan(List<Step> steps, List<Out> out, double seconds, int moves, double bits) {

    private static final TestId NECK = TestId.of("nk-screen");
    private static final int PROVOKES = 2;

    /**
     * A test in its place.
     *
     * @param bits information that the plan would lose without it; 0 where it is in by another rule
     */
    public record Step(TestId test, String position, double seconds, Why why, double bits) {
    }

    /** A test that is not in. */
    public record Out(TestId test, WhyNot why, double bits) {
    }

    /** Why a test is not in a plan. */
    public enum WhyNot {
        /** It would tell something that nothing in the plan tells, and there is no time for it. */
        NO_TIME,
        /** Beside what is in the plan it tells next to nothing. */
        TELLS_LITTLE,
        /** It has no figures for a condition in play. */
        NO_FIGURES
    }

    /**
     * What a plan is made from.
     *
     * @param doable   tests that may be done now: neither done, nor locked, nor waiting for another
     * @param seconds  there are; infinite for as many as are worth doing
     * @param position in which the patient is; empty where it is not known
     */
    public record Situation(Visit visit, List<TestReading> found, Ranking ranking, Collection<TestId> doable, double seconds, Optional<String> position) {

        public Situation {
            found = List.copyOf(found);
            doable = List.copyOf(doable);
        }
    }

    public Plan {
        steps = List.copyOf(steps);
        out = List.copyOf(out);
    }

    /** The plan of a situation. Never null; without time or tests it has no steps. */
    public static Plan of(Catalogue catalogue, Weighing weighing, Situation situation) {
        return new Maker(catalogue, weighing, situation).plan();
    }

    private static final class Maker {

        private final Catalogue catalogue;
        private final Situation situation;
        private final JointInformation nothing;
        private final Clock clock;
        private final Thresholds thresholds;
        private final Map<TestId, Why> chosen = new LinkedHashMap<>();

        Maker(Catalogue catalogue, Weighing weighing, Situation situation) {
            this.catalogue = catalogue;
            this.situation = situation;
            this.nothing = JointInformation.of(weighing, situation.visit(), situation.found(), situation.doable());
            this.clock = new Clock(catalogue.effort().changePosition(), situation.position());
            this.thresholds = situation.visit().assumptions().thresholds();
        }

        Plan plan() {
            add(List.of(NECK), Why.SAFETY);
            if (situation.doable().stream().anyMatch(test -> catalogue.test(test).provocation() >= PROVOKES)) {
                add(catalogue.routine(situation.visit().region()).first(), Why.MEASURE);
            }
            select();
            add(defining(), Why.DEFINITION);
            add(pictured(), Why.PICTURE);
            Plan plan = ordered();
            while (plan.seconds() > situation.seconds() && !chosen.isEmpty()) {
                chosen.remove(List.copyOf(chosen.keySet()).get(chosen.size() - 1)); // hard rules can cost a move more than the positions alone
                plan = ordered();
            }
            return plan;
        }

        /** Those that may be done and fit, one after the other. */
        private void add(List<TestId> tests, Why why) {
            for (TestId test : tests) {
                if (situation.doable().contains(test) && !chosen.containsKey(test) && seconds(test) <= situation.seconds()) {
                    chosen.put(test, why);
                }
            }
        }

        private double seconds(TestId further) {
            List<Selection.Candidate> all = new ArrayList<>(chosen.keySet().stream().map(this::candidate).toList());
            all.add(candidate(further));
            return clock.seconds(all);
        }

        private void select() {
            JointInformation so = told(chosen.keySet().stream());
            double taken = clock.seconds(chosen.keySet().stream().map(this::candidate).toList());
            List<Selection.Candidate> candidates = situation.doable().stream().filter(test -> !chosen.containsKey(test)).map(this::candidate).toList();
            Selection selection = Selection.of(so, candidates, Math.max(0, situation.seconds() - taken), catalogue.effort().leastBits(), catalogue.effort().changePosition(), situation.position());
            selection.tests().forEach(test -> chosen.put(test, Why.INFORMATION));
        }

        private Selection.Candidate candidate(TestId id) {
            ExaminationTest test = catalogue.test(id);
            return new Selection.Candidate(id, test.seconds() * (test.wellSideParts().isEmpty() ? 1 : 2), test.positions());
        }

        /** Open tests by which a condition in play is defined, the likeliest condition first. */
        private List<TestId> defining() {
            return inPlay(standing -> true).stream().flatMap(standing -> catalogue.patterns().containsKey(standing.condition().id()) ? catalogue.patterns().get(standing.condition().id()).defining().stream() : Stream.<Pattern.Expected>empty())
                    .map(Pattern.Expected::test).distinct().toList();
        }

        /** Open tests of the pictures of conditions in play that nothing weighed speaks of, what serves most of them for its time first. */
        private List<TestId> pictured() {
            Map<TestId, Double> serves = new LinkedHashMap<>();
            inPlay(standing -> !standing.informed() && !standing.measured()).forEach(standing -> standing.pattern().notExamined().forEach(expected -> serves.merge(expected.test(), standing.before(), Double::sum)));
            return serves.keySet().stream().filter(situation.doable()::contains).sorted(Comparator.comparingDouble((TestId test) -> serves.get(test) / candidate(test).seconds()).reversed()).toList();
        }

        private List<Standing> inPlay(Predicate<Standing> wanted) {
            return situation.ranking().standings().stream().filter(standing -> standing.now() >= thresholds.setAside() && !standing.pattern().unlikely()).filter(wanted)
                    .sorted(Comparator.comparingDouble(Standing::now).reversed()).toList();
        }

        private Plan ordered() {
            WorkOrder order = WorkOrder.of(WorkItems.of(catalogue, situation.visit().region(), chosen.keySet()), situation.position());
            JointInformation all = told(chosen.keySet().stream());
            double bits = all.bits();
            List<Step> steps = new ArrayList<>();
            for (WorkOrder.Step step : order.steps()) {
                steps.add(new Step(step.test(), step.position(), candidate(step.test()).seconds(), chosen.get(step.test()), nothing.gain(step.test()) > 0 ? bits - told(chosen.keySet().stream().filter(test -> !test.equals(step.test()))).bits() : 0));
            }
            List<Out> out = situation.doable().stream().filter(test -> !chosen.containsKey(test)).map(test -> out(test, all)).sorted(Comparator.comparingDouble(Out::bits).reversed()).toList();
            return new Plan(steps, out, steps.stream().mapToDouble(Step::seconds).sum() + order.moves() * catalogue.effort().changePosition(), order.moves(), bits);
        }

        /** What some tests tell together. */
        private JointInformation told(Stream<TestId> tests) {
            return tests.reduce(nothing, JointInformation::with, (one, other) -> other);
        }

        private Out out(TestId test, JointInformation whole) {
            if (nothing.gain(test) <= 0) {
                return new Out(test, WhyNot.NO_FIGURES, 0);
            }
            double gain = Math.max(0, whole.gain(test));
            return new Out(test, gain >= catalogue.effort().leastBits() ? WhyNot.NO_TIME : WhyNot.TELLS_LITTLE, gain);
        }
    }
}
