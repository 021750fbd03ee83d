package lexicor.core.weighing;

import java.util.List;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.EvidenceInUse;

/**
 * One weight on the beam: a finding, or a whole cluster.
 *
 * @param tests           the test, or the cluster's tests that were done; none where it was told before the hands
 * @param positive        whether the finding, or the cluster's level, is positive
 * @param phrase          what was found, without a full stop
 * @param likelihoodRatio point value, above 0
 * @param frequencies     what this answer alone means at the examination's start
 * @param caution         why its figures may not fit this setting; empty where they do
 * @param worthless       whether the test tells next to nothing
 */
public record Load(List<TestId> tests, boolean positive, String phrase, double likelihoodRatio, EvidenceInUse evidence,
        NaturalFrequencies frequencies, String caution, boolean worthless) {

    public Load {
        tests = List.copyOf(tests);
    }

    /** Signed weight, 10 log10 LR: above 0 speaks for, below 0 against. */
    public double decibans() {
        return 10 * Math.log10(likelihoodRatio);
    }
}
