package lexicor.core.posttest;

import java.util.List;
import lexicor.core.dependence.Normal;
import lexicor.core.dependence.SharedFactor;

/**
 * Groups whose results are weakly linked as well, since they come from one body: a wider factor carries the part b_g =
 * min(link, rho_g) of each group's correlation. Link 0 gives the product of the groups; a link of every group's own rho
 * gives one merged group. A single test is a group whose correlation is the link.
 */
public record LinkedGroups(double link, List<TestGroup> groups) {

    /** Step of the outer rule; with the inner one the relative error stays below 1e-8 for links up to 0.5. */
    private static final int STEPS = 72;

    /** @throws IllegalArgumentException if the link is outside 0..1 */
    public LinkedGroups {
        if (!(link >= 0 && link <= 1)) {
            throw new IllegalArgumentException("link is " + link + "; allowed: 0 to 1");
        }
        groups = List.copyOf(groups);
    }

    /** Chance of all answers with and without the condition, and their ratio. */
    public TestGroup.Answer answer() {
        double present = logChance(true);
        double absent = logChance(false);
        return new TestGroup.Answer(Math.exp(present), Math.exp(absent), Math.exp(present - absent));
    }

    private double logChance(boolean present) {
        if (link == 0) {
            return groups.stream()
                    .mapToDouble(group -> SharedFactor.logChance(group.among(present), group.rho(present)))
                    .sum();
        }
        List<Linked> linked =
                groups.stream().map(group -> linked(group, present)).toList();
        return Normal.logMean(
                wider -> linked.stream()
                        .mapToDouble(group -> group.factor().logChance(group.rho(), Math.min(link, group.rho()), wider))
                        .sum(),
                STEPS);
    }

    /** A group's answers, prepared once for every value of the wider factor. */
    private record Linked(SharedFactor factor, double rho) {}

    private Linked linked(TestGroup group, boolean present) {
        return new Linked(
                new SharedFactor(group.among(present)), group.tests().size() == 1 ? link : group.rho(present));
    }
}
