package lexicor.core.findings;

import java.util.List;
import java.util.Optional;
import lexicor.core.dependence.Correlation;

/**
 * Findings that share a factor, and what each adds to the sum.
 *
 * @param correlation how far they repeat each other; empty where a finding stands by itself
 * @param members at least one
 * @param decibans what the group adds beside all the others: the sum of its members' parts
 */
public record WeighedGroup(Optional<Correlation> correlation, List<Member> members, double decibans) {

    /**
     * A finding of the group.
     *
     * @param decibans its part of what the group adds, by averaging over the orders in which the findings could have
     *     come (Shapley, in Contributions to the Theory of Games II, 1953)
     */
    public record Member(WeightedFinding load, double decibans) {}

    public WeighedGroup {
        members = List.copyOf(members);
    }

    /** What the findings would add if each were news. */
    public double apart() {
        return members.stream().mapToDouble(member -> member.load().decibans()).sum();
    }
}
