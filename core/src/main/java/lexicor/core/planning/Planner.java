package lexicor.core.planning;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.atomic.AtomicReference;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.nexttest.JointInformation;
import lexicor.core.weighing.Weighing;

/**
 * Plans one situation, and remembers what was worked out for it: for any time, against an order of one's own, and again
 * as results come. What the therapist put in stays in. Then come the short neck screen and measures that provoking
 * would spoil, for every serious condition and for the likeliest ones the test that tells most about it, what defines a
 * condition in play, what tells most together by figures, and what belongs to the picture of a condition that has no
 * figures. A patient who is to be spared gets no more than what the curve of information against time gives up to its
 * knee, and for pictures nothing that provokes. Where it is not known in which position the patient is, it is taken to
 * be the one that the region's routine begins with.
 */
public final class Planner {

    /** Share of the time for measures, and for definitions, before what tells most by figures. */
    private static final double MOST_WITHOUT_FIGURES = 0.3;

    /** Provocation that is likely to hurt or frighten, and the chance of a condition for which that is worth it. */
    private static final int FRIGHTENS = 3;

    private static final double FRIGHTENED_FOR = 0.1;

    /** Share of what a test tells that counts where neither the region's routine nor anybody here does it. */
    private static final double UNUSUAL = 0.7;

    private final Catalogue catalogue;
    private final Situation situation;
    private final Optional<String> position;
    private final Set<TestId> customary;
    private final Set<ConditionId> inPlay;
    private final JointInformation nothing;
    private final PlanDuration clock;
    private final Purposes purposes;
    private final AtomicReference<BudgetCurve> curve = new AtomicReference<>();

    private Planner(Catalogue catalogue, Weighing weighing, Situation situation) {
        this.catalogue = catalogue;
        this.situation = situation;
        this.position = situation
                .position()
                .or(() -> Optional.of(
                        catalogue.routine(situation.visit().region()).beginsIn()))
                .filter(begins -> !situation.practice().positionsOut().contains(begins));
        this.customary =
                Set.copyOf(catalogue.routine(situation.visit().region()).order());
        this.inPlay = situation
                .ranking()
                .inPlay(situation.visit().assumptions().thresholds().setAside());
        this.nothing = JointInformation.of(weighing, situation.visit(), situation.found(), situation.doable());
        this.clock = new PlanDuration(catalogue.effort().changePosition(), position);
        this.purposes = new Purposes(
                catalogue, situation, nothing, test -> candidate(test).seconds());
    }

    public static Planner of(Catalogue catalogue, Weighing weighing, Situation situation) {
        return new Planner(catalogue, weighing, situation);
    }

    /**
     * The plan for a time in seconds; infinite for as many tests as are worth doing. Never null; without time or tests
     * it has no steps.
     */
    public Plan plan(double seconds) {
        return plan(seconds, List.of());
    }

    /**
     * The same around what the therapist put in, which stays even where it takes more than there is.
     *
     * @param byHand those that may not be done now are left out
     */
    public Plan plan(double seconds, Collection<TestId> byHand) {
        double most = mostSpared().orElse(Double.POSITIVE_INFINITY);
        Plan.WhyNot otherwise = seconds < most ? Plan.WhyNot.NO_TIME : Plan.WhyNot.NOT_IN;
        return plan(Math.min(seconds, most), byHand, !situation.sparing(), otherwise);
    }

    /**
     * Seconds after which a patient who is to be spared is left in peace: the knee of the curve. Empty for everybody
     * else, and where nothing bends.
     */
    public OptionalDouble mostSpared() {
        if (!situation.sparing()) {
            return OptionalDouble.empty();
        }
        return curve().knee().map(knee -> OptionalDouble.of(knee.seconds())).orElse(OptionalDouble.empty());
    }

    private Plan plan(double seconds, Collection<TestId> byHand, boolean provoking, Plan.WhyNot otherwise) {
        Choice choice = new Choice(seconds);
        byHand.stream()
                .filter(situation.doable()::contains)
                .forEach(test -> choice.reasons.put(test, Reason.of(test, Why.BY_HAND)));
        choice.add(purposes.always());
        choice.add(purposes.lookedFor());
        choice.addWithinShare(purposes.defining());
        choice.add(ready(purposes.serious()));
        ready(purposes.spread()).stream()
                .filter(reason -> !purposes.served(reason, choice.reasons.keySet()))
                .forEach(reason -> choice.add(List.of(reason)));
        choice.add(purposes.telling());
        choice.addWithinShare(purposes.neededMeasures());
        choice.select();
        List<Reason> pictured = ready(purposes.pictured());
        List.of(purposes.measures(), purposes.defining(), provoking ? pictured : gentle(pictured))
                .forEach(choice::add);
        WorkOrder order = choice.order();
        while (seconds(order) > seconds
                && choice.dropLast()) { // hard rules can cost a move more than the positions alone
            order = choice.order();
        }
        return plan(order, choice.reasons, otherwise);
    }

    /** What a plan of this situation may leave open, the likeliest to stay open first. */
    public List<Limit> limits(Plan plan) {
        return Limits.of(catalogue, situation, nothing, plan.tests());
    }

    /** Expected information against time, with the knee. */
    public BudgetCurve curve() {
        return curve.updateAndGet(known ->
                known == null ? BudgetCurve.of(seconds -> plan(seconds, List.of(), true, Plan.WhyNot.NO_TIME)) : known);
    }

    /** An order of one's own: what it takes and tells, and what speaks against it. */
    public OwnOrder appraise(List<TestId> own) {
        List<WorkItem> items = WorkItems.of(catalogue, situation.visit().region(), own, situation.practice());
        WorkOrder order = WorkOrder.asGiven(items, position);
        return new OwnOrder(
                plan(order, purposes.all(), Plan.WhyNot.NOT_IN),
                OrderFault.of(catalogue, situation.visit().region(), items, situation.done()));
    }

    /** What has changed for a plan that was taken: what is settled, and what would now tell more. */
    public Replanning again(List<TestId> planned, Set<TestId> byHand) {
        Map<TestId, Reason> use = purposes.all();
        List<TestId> open =
                planned.stream().filter(situation.doable()::contains).toList();
        List<TestId> settled =
                open.stream().filter(test -> !use.containsKey(test)).toList();
        List<TestId> left = open.stream().filter(use::containsKey).toList();
        JointInformation rest = nothing.with(left);
        double best = left.stream()
                .mapToDouble(test -> nothing.gain(test) / candidate(test).seconds())
                .max()
                .orElse(0);
        List<TestId> better = situation.proposable().stream()
                .filter(test -> !planned.contains(test)
                        && !purposes.waitsForScreen(test)
                        && rest.gain(test) >= catalogue.effort().leastBits()
                        && rest.gain(test) / candidate(test).seconds() > best)
                .sorted(Comparator.comparingDouble((TestId test) ->
                                rest.gain(test) / candidate(test).seconds())
                        .reversed())
                .toList();
        return new Replanning(
                settled.stream().filter(test -> !byHand.contains(test)).toList(),
                settled.stream().filter(byHand::contains).toList(),
                better);
    }

    /**
     * Whether a test that is likely to hurt or frighten speaks only of conditions that hardly anybody with this story
     * has.
     */
    private boolean frightensForLittle(TestId test) {
        return catalogue.test(test).provocation() >= FRIGHTENS
                && situation.ranking().standings().stream()
                        .noneMatch(standing -> standing.now() >= FRIGHTENED_FOR
                                && catalogue
                                        .test(test)
                                        .readingFor(standing.condition().id())
                                        .isPresent());
    }

    /** Those that do not wait for a screen. */
    private List<Reason> ready(List<Reason> reasons) {
        return reasons.stream()
                .filter(reason -> !purposes.waitsForScreen(reason.test()))
                .toList();
    }

    private List<Reason> gentle(List<Reason> reasons) {
        return reasons.stream()
                .filter(reason -> catalogue.test(reason.test()).provocation() < Purposes.PROVOKES)
                .toList();
    }

    private double seconds(WorkOrder order) {
        return order.seconds(
                test -> candidate(test).seconds(), catalogue.effort().changePosition());
    }

    private Selection.Candidate candidate(TestId id) {
        ExaminationTest test = catalogue.test(id);
        return new Selection.Candidate(
                id,
                Optional.ofNullable(situation.learnt().get(id)).orElseGet(() -> usual(test)),
                situation.practice().positions(test),
                customary.contains(id) || situation.learnt().containsKey(id) ? 1 : UNUSUAL);
    }

    /** What a test usually takes, of a table of ranges the movements that matter. */
    private double usual(ExaminationTest test) {
        return RoutineCheck.usual(test)
                * Movements.of(test, inPlay).map(Movements::share).orElse(1.0);
    }

    /** @param otherwise why a test is not in that would tell something and that nothing else keeps out */
    private Plan plan(WorkOrder order, Map<TestId, Reason> reasons, Plan.WhyNot otherwise) {
        Set<TestId> chosen =
                Set.copyOf(order.steps().stream().map(WorkOrder.Step::test).toList());
        JointInformation all =
                nothing.with(order.steps().stream().map(WorkOrder.Step::test).toList());
        List<Plan.Step> steps = order.steps().stream()
                .map(step -> {
                    Reason reason = reasons.getOrDefault(step.test(), Reason.of(step.test(), Why.BY_HAND));
                    return new Plan.Step(
                            step.test(),
                            step.position(),
                            candidate(step.test()).seconds(),
                            reason.why(),
                            reason.about(),
                            Movements.of(catalogue.test(step.test()), inPlay)
                                    .map(Movements::asked)
                                    .orElse(List.of()),
                            Math.max(0, all.bits() - all.without(step.test()).bits()));
                })
                .toList();
        List<Plan.Out> out = situation.doable().stream()
                .filter(test -> !chosen.contains(test))
                .map(test -> out(test, all, otherwise))
                .sorted(Comparator.comparingDouble(Plan.Out::bits).reversed())
                .toList();
        return new Plan(steps, out, seconds(order), order.moves(), all.bits());
    }

    private Plan.Out out(TestId test, JointInformation whole, Plan.WhyNot otherwise) {
        if (situation.practice().notMine().contains(test)) {
            return new Plan.Out(test, Plan.WhyNot.NOT_MINE, Math.max(0, whole.gain(test)));
        }
        if (nothing.gain(test) <= 0) {
            return new Plan.Out(test, Plan.WhyNot.NO_FIGURES, 0);
        }
        double gain = Math.max(0, whole.gain(test));
        return new Plan.Out(test, whyNot(test, gain, otherwise), gain);
    }

    private Plan.WhyNot whyNot(TestId test, double gain, Plan.WhyNot otherwise) {
        if (gain * candidate(test).custom() < catalogue.effort().leastBits()) {
            return Plan.WhyNot.TELLS_LITTLE;
        }
        if (purposes.waitsForScreen(test)) {
            return Plan.WhyNot.SCREEN_FIRST;
        }
        return frightensForLittle(test) ? Plan.WhyNot.FRIGHTENS : otherwise;
    }

    /** Tests that come together, the reason that weighs most first. */
    private final class Choice {

        private final double budget;
        private final Map<TestId, Reason> reasons = new LinkedHashMap<>();

        Choice(double budget) {
            this.budget = budget;
        }

        /** Those that fit, one after the other. */
        void add(List<Reason> more) {
            for (Reason reason : more) {
                if (!reasons.containsKey(reason.test()) && secondsWith(reason.test()) <= budget) {
                    reasons.put(reason.test(), reason);
                }
            }
        }

        /** The same as long as they leave the greater part of the time to what figures speak of. */
        void addWithinShare(List<Reason> more) {
            double taken = 0;
            for (Reason reason : more) {
                double takes = candidate(reason.test()).seconds();
                if (taken + takes <= budget * MOST_WITHOUT_FIGURES) {
                    add(List.of(reason));
                    taken += reasons.get(reason.test()) == reason ? takes : 0;
                }
            }
        }

        private double secondsWith(TestId further) {
            List<Selection.Candidate> all = new ArrayList<>(
                    reasons.keySet().stream().map(Planner.this::candidate).toList());
            all.add(candidate(further));
            return clock.seconds(all);
        }

        /** What tells most beside what is there. */
        void select() {
            List<Selection.Candidate> begun =
                    reasons.keySet().stream().map(Planner.this::candidate).toList();
            List<Selection.Candidate> candidates = situation.proposable().stream()
                    .filter(test ->
                            !reasons.containsKey(test) && !frightensForLittle(test) && !purposes.waitsForScreen(test))
                    .map(Planner.this::candidate)
                    .toList();
            Selection.of(
                            nothing.with(reasons.keySet()),
                            begun,
                            candidates,
                            budget,
                            catalogue.effort().leastBits(),
                            clock)
                    .tests()
                    .forEach(test -> reasons.put(test, Reason.of(test, Why.INFORMATION)));
        }

        WorkOrder order() {
            return WorkOrder.of(
                    WorkItems.of(catalogue, situation.visit().region(), reasons.keySet(), situation.practice()),
                    position);
        }

        /** Leaves out what came in last; never what the therapist put in. */
        boolean dropLast() {
            Optional<TestId> last = reasons.values().stream()
                    .filter(reason -> reason.why() != Why.BY_HAND)
                    .map(Reason::test)
                    .reduce((earlier, later) -> later);
            last.ifPresent(reasons::remove);
            return last.isPresent();
        }
    }
}
