package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Parts a sum into what each finding adds. A group adds what would be missing without it; within the group this is split
 * by averaging over the orders in which its findings could have come (the Shapley value), so that the split does not
 * depend on the order of testing; the split is taken by the quick rule and made up to the group's own sum. What the
 * groups do not make up together is the work of the link between them.
 */
final class Contributions {

    /** Beyond it the average over orders is taken over findings one at a time, first and last. */
    private static final int MOST_EXACT = 11;

    private Contributions() {
    }

    static Standing.Sum of(Combination combination, PointModel points) {
        List<LoadGroup> groups = new ArrayList<>();
        PointModel quick = points.quick();
        double total = points.logLikelihoodRatio();
        double parts = combination.logAlone();
        for (int g = 0; g < combination.bundles().size(); g++) {
            Bundle bundle = combination.bundles().get(g);
            double sum = total - points.logWithoutBundle(g);
            double[] split = split(quick, g, bundle.loads().size());
            double rest = (sum - Arrays.stream(split).sum()) / split.length;
            List<LoadGroup.Member> members = new ArrayList<>();
            for (int j = 0; j < split.length; j++) {
                members.add(new LoadGroup.Member(bundle.loads().get(j), Decibans.of(split[j] + rest)));
            }
            groups.add(new LoadGroup(bundle.correlation(), members, Decibans.of(sum)));
            parts += sum;
        }
        return new Standing.Sum(groups, combination.alone(), groups.size() > 1 ? Decibans.of(total - parts) : 0);
    }

    /** The same total, the parts as they weigh by themselves: for where only the total is asked. */
    static Standing.Sum whole(Combination combination, PointModel points) {
        List<LoadGroup> groups = combination.bundles().stream().map(bundle -> new LoadGroup(bundle.correlation(),
                bundle.loads().stream().map(load -> new LoadGroup.Member(load, load.decibans())).toList(), bundle.loads().stream().mapToDouble(Load::decibans).sum())).toList();
        double parts = groups.stream().mapToDouble(LoadGroup::decibans).sum() + Decibans.of(combination.logAlone());
        return new Standing.Sum(groups, combination.alone(), Decibans.of(points.logLikelihoodRatio()) - parts);
    }

    private static double[] split(PointModel points, int bundle, int members) {
        double[] split = new double[members];
        if (members > MOST_EXACT) {
            return firstAndLast(points, bundle, members);
        }
        double[] value = new double[1 << members];
        for (int set = 0; set < value.length; set++) {
            value[set] = points.logWithMembers(bundle, set);
        }
        double[] weight = weights(members);
        for (int j = 0; j < members; j++) {
            for (int set = 0; set < value.length; set++) {
                if ((set >> j & 1) == 0) {
                    split[j] += weight[Integer.bitCount(set)] * (value[set | 1 << j] - value[set]);
                }
            }
        }
        return split;
    }

    /** s! (n - s - 1)! / n! for s members already there. */
    private static double[] weights(int members) {
        double[] weights = new double[members];
        weights[0] = 1.0 / members;
        for (int s = 1; s < members; s++) {
            weights[s] = weights[s - 1] * s / (members - s);
        }
        return weights;
    }

    private static double[] firstAndLast(PointModel points, int bundle, int members) {
        int all = (1 << members) - 1;
        double none = points.logWithMembers(bundle, 0);
        double whole = points.logWithMembers(bundle, all);
        double[] split = new double[members];
        Arrays.setAll(split, j -> (points.logWithMembers(bundle, 1 << j) - none + whole - points.logWithMembers(bundle, all & ~(1 << j))) / 2);
        return split;
    }
}
