package lexicor.core.findings;

import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.core.posttest.Decibans;
import lexicor.core.posttest.NaturalFrequencies;

/**
 * One finding that is weighed: a test's answer, something told, or the level of a whole set.
 *
 * @param tests the test, or the set's tests that were done; none where it was told before the hands
 * @param positive whether the finding, or the set's level, is positive
 * @param phrase what was found, without a full stop
 * @param weight what it weighs alone
 * @param record where its figures come from; empty where they are the clinic's own estimate
 * @param frequencies what this answer alone means at the examination's start; empty where only a ratio is known
 * @param caution why its figures may not fit this setting; empty where they do
 * @param worthless whether the test tells next to nothing, so that it stands in no group
 * @param borrowed whether nobody has measured it, so that it weighs like an average test with its full width
 */
public record WeightedFinding(
        List<TestId> tests,
        boolean positive,
        String phrase,
        Weight weight,
        Optional<AccuracyRecord> record,
        Optional<NaturalFrequencies> frequencies,
        String caution,
        boolean worthless,
        boolean borrowed) {

    public WeightedFinding {
        tests = List.copyOf(tests);
    }

    /** Likelihood ratio of the finding alone. */
    public double likelihoodRatio() {
        return weight.likelihoodRatio();
    }

    /** Weight of the finding alone, 10 log10 LR: above 0 speaks for, below 0 against. */
    public double decibans() {
        return Decibans.of(Math.log(likelihoodRatio()));
    }

    /** Whether it is an estimate of the clinic's own and no published figure. */
    public boolean estimate() {
        return record.isEmpty() && !borrowed;
    }

    /** Whether it stands in a group, so that what it shares with others counts once. */
    public boolean grouped() {
        return !worthless && weight instanceof Weight.Proportions;
    }

    /** What its draws are called by: the record where there is one. */
    public String source() {
        return record.map(known -> known.id().value()).orElseGet(() -> (borrowed ? "borrowed " : "estimate ") + tests);
    }
}
