package lexicor.core.findings;

import java.util.List;
import java.util.Optional;
import lexicor.core.dependence.Correlation;

/**
 * Findings that share a factor.
 *
 * @param correlation how far they repeat each other; empty for a finding that belongs to no group
 * @param loads at least one, each known by shares of positives
 */
public record FindingGroup(Optional<Correlation> correlation, List<WeightedFinding> loads) {

    public FindingGroup {
        loads = List.copyOf(loads);
    }

    static FindingGroup single(WeightedFinding load) {
        return new FindingGroup(Optional.empty(), List.of(load));
    }

    /**
     * Latent correlation of the answers. A finding without a group is as correlated with itself as with the rest: the
     * link between groups.
     */
    public double rho(boolean withCondition, double link) {
        return correlation.map(known -> known.rho(withCondition)).orElse(link);
    }
}
