package lexicor.core.simulation;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.dependence.Normal;
import lexicor.core.differential.OpenPart;
import lexicor.core.draws.Draws;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;

/** A patient whose truth is known. Answers do not change with the order in which they are asked for. */
public final class SimulatedPatient {

    private final SimulatedClinic clinic;
    private final boolean[] state;
    private final Set<ConditionId> present;
    private final long seed;

    SimulatedPatient(SimulatedClinic clinic, boolean[] state, Set<ConditionId> present, long seed) {
        this.clinic = clinic;
        this.state = state;
        this.present = Set.copyOf(present);
        this.seed = seed;
    }

    /** The conditions that are there. */
    public Set<ConditionId> present() {
        return present;
    }

    /**
     * How the patient answers a test, as it is read for every condition that the test speaks about by figures. What is
     * read of others is left open.
     *
     * @throws IllegalArgumentException where the test says nothing by figures in this clinic
     */
    public TestReading answer(TestId test) {
        if (!clinic.tests().contains(test)) {
            throw new IllegalArgumentException("test '" + test + "' says nothing by figures here");
        }
        Map<ConditionId, Boolean> positive = positives(test, condition -> 1);
        List<Reading> readings = new ArrayList<>();
        for (ConditionReading reads : clinic.catalogue().test(test).reads()) {
            Boolean answer = positive.get(reads.condition());
            Reading.Result result = answer == null
                    ? Reading.Result.NOT_YET_KNOWN
                    : answer ? Reading.Result.POSITIVE : Reading.Result.NEGATIVE;
            for (CriterionId criterion : reads.by()) {
                readings.add(new Reading(test, reads.condition(), criterion, result, test.value()));
            }
        }
        return new TestReading(test, true, readings);
    }

    /**
     * Whether the answer to a test is positive, for every condition that the test speaks about by figures; nothing
     * where it speaks about none.
     *
     * @param kept share of what sets people with a condition apart from others in this test that is left, 0 to 1: 1 as
     *     the test was studied, 0 where it was done in a way that says nothing
     */
    public Map<ConditionId, Boolean> positives(TestId test, ToDoubleFunction<ConditionId> kept) {
        Map<ConditionId, Boolean> positive = new LinkedHashMap<>();
        if (clinic.tests().contains(test)) {
            List<OpenPart> parts = clinic.parts(test);
            for (int p = 0; p < parts.size(); p++) {
                List<ConditionId> about = clinic.conditions(parts.get(p));
                double left = about.stream().mapToDouble(kept).min().orElse(1);
                boolean answer = positive(parts.get(p), test + " " + p, left);
                about.forEach(condition -> positive.put(condition, answer));
            }
        }
        return positive;
    }

    /**
     * How often patients with the same conditions answer a test positive, 0..1, for every condition that it speaks of.
     */
    public Map<ConditionId, Double> shares(TestId test) {
        Map<ConditionId, Double> shares = new LinkedHashMap<>();
        if (clinic.tests().contains(test)) {
            clinic.parts(test)
                    .forEach(part -> clinic.conditions(part)
                            .forEach(condition -> shares.put(condition, clinic.share(part, state))));
        }
        return shares;
    }

    /**
     * Threshold model: the shared factors and the answer's own part together fall short of the quantile of its share.
     */
    private boolean positive(OpenPart part, String name, double left) {
        double share = clinic.share(part, state);
        if (left < 1) {
            double none = clinic.share(part, new boolean[state.length]);
            share = none + left * (share - none);
        }
        double threshold = Normal.quantile(share);
        double own = noise("own " + name);
        if (part.apart()) {
            return own < threshold;
        }
        double link = clinic.visit().assumptions().link();
        double rho = clinic.departure()
                .correlation(part.group().map(group -> group.rho()).orElse(link));
        double shared = Math.min(link, rho);
        String group = part.group().map(known -> known.id()).orElse(name);
        double latent = Math.sqrt(shared) * noise("family " + part.home())
                + Math.sqrt(rho - shared) * noise("group " + group + " " + part.home())
                + Math.sqrt(1 - rho) * own;
        return latent < threshold;
    }

    /** A standard normal value of its own for each name. */
    private double noise(String name) {
        return new SplittableRandom(Draws.seed(seed, name)).nextGaussian();
    }
}
