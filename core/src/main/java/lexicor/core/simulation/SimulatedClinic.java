package lexicor.core.simulation;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.random.RandomGenerator;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.dependence.Normal;
import lexicor.core.differential.Forest;
import lexicor.core.differential.OpenPart;
import lexicor.core.differential.Shares;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeightedFindings;
import lexicor.core.lookup.Keyed;
import lexicor.core.weighing.JointModel;
import lexicor.core.weighing.Weighing;

/**
 * A clinic whose patients are drawn: conditions from the starts of a visit, answers of tests from the shares of
 * positives that the joint model has fitted, with what findings of one group and of one family share.
 */
public final class SimulatedClinic {

    private final Visit visit;
    private final Catalogue catalogue;
    private final Departure departure;
    private final Forest forest;
    private final double[] shares;
    private final Map<TestId, List<OpenPart>> parts = new LinkedHashMap<>();

    /**
     * @param visit whose starts, schools and assumptions hold
     * @param tests that may be asked for; those that say nothing by figures are left out
     * @param seed of what lies elsewhere in this clinic; patients have seeds of their own
     */
    public SimulatedClinic(Weighing weighing, Visit visit, List<TestId> tests, Departure departure, long seed) {
        this.visit = visit;
        this.catalogue = weighing.catalogue();
        this.departure = departure;
        JointModel model = weighing.jointModel(visit, List.of());
        this.forest = model.forest();
        this.shares = model.shares();
        List<Condition> ranked = weighing.ranked(visit);
        WeightedFindings findings = new WeightedFindings(catalogue, weighing.evidence(), weighing.settings(), visit);
        SplittableRandom random = new SplittableRandom(seed);
        for (TestId test : new LinkedHashSet<>(tests)) {
            List<OpenPart> measured = model.parts(findings.open(test, ranked)).stream()
                    .map(part -> elsewhere(part, random))
                    .toList();
            if (!measured.isEmpty()) {
                parts.put(test, measured);
            }
        }
    }

    private OpenPart elsewhere(OpenPart part, RandomGenerator random) {
        Shares as = part.shares();
        double none = as.none() + departure.shift() * random.nextGaussian();
        double[] only = new double[as.only().length];
        for (int t = 0; t < only.length; t++) {
            only[t] = none
                    + (1 - departure.blunting()) * (as.only()[t] - as.none())
                    + departure.shift() * random.nextGaussian();
        }
        return new OpenPart(
                new Shares(as.targets(), none, only, as.borrowed()), part.home(), part.group(), part.apart());
    }

    /** The tests that say something by figures. */
    public Set<TestId> tests() {
        return Collections.unmodifiableSet(parts.keySet());
    }

    /** The next patient. The same seed gives the same patient, whatever is asked of whom and in which order. */
    public SimulatedPatient patient(long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        double common = random.nextGaussian();
        boolean[] state = new boolean[forest.size()];
        for (int condition : forest.wideToNarrow()) {
            int parent = forest.parent(condition);
            double own = random.nextGaussian();
            if (parent < 0) {
                double latent =
                        Math.sqrt(departure.association()) * common + Math.sqrt(1 - departure.association()) * own;
                state[condition] = latent < Normal.quantile(shares[condition]);
            } else {
                state[condition] = state[parent] && own < Normal.quantile(shares[condition]);
            }
        }
        Set<ConditionId> present = new LinkedHashSet<>();
        for (int c = 0; c < state.length; c++) {
            if (state[c]) {
                present.add(ConditionId.of(forest.id(c)));
            }
        }
        return new SimulatedPatient(this, state, present, random.nextLong());
    }

    /**
     * A patient in whom given conditions are there, each with what it lies within.
     *
     * @throws IllegalArgumentException where one of them is not ranked in this clinic
     */
    public SimulatedPatient patient(Set<ConditionId> conditions, long seed) {
        boolean[] state = new boolean[forest.size()];
        Set<ConditionId> present = new LinkedHashSet<>();
        conditions.forEach(condition -> {
            for (int at = place(condition); at >= 0; at = forest.parent(at)) {
                state[at] = true;
                present.add(ConditionId.of(forest.id(at)));
            }
        });
        return new SimulatedPatient(this, state, present, seed);
    }

    private int place(ConditionId condition) {
        for (int c = 0; c < forest.size(); c++) {
            if (forest.id(c).equals(condition.value())) {
                return c;
            }
        }
        throw new IllegalArgumentException("condition '" + condition + "' is not ranked here");
    }

    /** How often people in a state answer a part of a test positive, 0..1. */
    double share(OpenPart part, boolean[] state) {
        return part.shares().of(forest, state);
    }

    List<OpenPart> parts(TestId test) {
        return Keyed.at(parts, test);
    }

    Visit visit() {
        return visit;
    }

    Catalogue catalogue() {
        return catalogue;
    }

    Departure departure() {
        return departure;
    }

    /** The conditions that a part speaks about. */
    List<ConditionId> conditions(OpenPart part) {
        List<ConditionId> conditions = new ArrayList<>();
        part.shares().targets().forEach(target -> conditions.add(ConditionId.of(forest.id(target))));
        return conditions;
    }
}
