package lexicor.core.differential;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import lexicor.core.dependence.FactorQuadrature;
import lexicor.core.differential.Finding.Ratio;

/**
 * The chance of a component's answers in a state: findings of one group share a factor given the state, groups of one
 * home a wider one. Not safe for use by several at once.
 */
final class Likelihood {

    private final Forest forest;
    private final Fits fits;
    private final double link;
    private final FactorQuadrature.Rule rule;
    private final double[] outer;
    private final List<Modelled> apart;
    private final List<Ratio> ratios;
    private final List<Home> homes;

    /**
     * @param link correlation of what groups of one home share
     * @param entries findings with their answers
     */
    Likelihood(
            Forest forest,
            Fits fits,
            double link,
            FactorQuadrature.Rule rule,
            List<Modelled> entries,
            List<Ratio> ratios,
            Kept kept) {
        this.forest = forest;
        this.fits = fits;
        this.link = link;
        this.rule = rule;
        this.ratios = ratios;
        outer = rule.outerWeights();
        apart = entries.stream().filter(Modelled::apart).toList();
        Map<Integer, Map<String, List<Modelled>>> byHome = new TreeMap<>();
        for (Modelled each : entries) {
            if (!each.apart()) {
                byHome.computeIfAbsent(each.home(), home -> new TreeMap<>())
                        .computeIfAbsent(each.factor(), id -> new ArrayList<>())
                        .add(each);
            }
        }
        homes = byHome.values().stream()
                .map(groups -> new Home(groups.values().stream()
                        .map(members -> new Group(List.copyOf(members), kept))
                        .toList()))
                .toList();
    }

    /** Its natural logarithm. */
    double log(boolean[] state) {
        double log = 0;
        for (Modelled each : apart) {
            double share = each.share(forest, state);
            log += Math.log(each.positive() ? share : 1 - share);
        }
        for (Ratio ratio : ratios) {
            log += state[forest.place(ratio.condition())] ? Math.log(ratio.value()) : 0;
        }
        for (Home home : homes) {
            log += home.log(state);
        }
        return log;
    }

    /** The conditions that matter to some findings, as places in the forest. */
    private static BitSet targets(List<Modelled> findings) {
        BitSet targets = new BitSet();
        findings.forEach(each -> each.shares().targets().forEach(targets::set));
        return targets;
    }

    private static BitSet alike(boolean[] state, BitSet matters) {
        BitSet alike = BitSets.of(state);
        alike.and(matters);
        return alike;
    }

    /**
     * Profiles of groups of findings that were answered, kept from one likelihood of a differential to the next, of
     * which most add one open finding. Safe for use by several at once.
     */
    static final class Kept {
        private final Set<Modelled> answered;
        private final Map<List<Modelled>, Map<BitSet, double[]>> profiles = new ConcurrentHashMap<>();

        Kept(List<Modelled> answered) {
            this.answered = Set.copyOf(answered);
        }

        private Map<BitSet, double[]> of(List<Modelled> group) {
            return answered.containsAll(group)
                    ? profiles.computeIfAbsent(group, key -> new ConcurrentHashMap<>())
                    : new HashMap<>();
        }
    }

    /**
     * Findings that share a factor. Few conditions matter to them, so that most states are alike and are worked out
     * once.
     */
    private final class Group {
        private final List<Modelled> members;
        private final BitSet matters;
        private final Map<BitSet, double[]> known;

        Group(List<Modelled> members, Kept kept) {
            this.members = members;
            matters = targets(members);
            known = kept.of(members);
        }

        /** The chance of its answers at each value of the wider factor. */
        double[] profile(boolean[] state) {
            return known.computeIfAbsent(alike(state, matters), key -> work(state));
        }

        private double[] work(boolean[] state) {
            double rho = members.get(0).group().map(Finding.Group::rho).orElse(link);
            return fits.profile(members.stream()
                    .map(each -> new Fits.Answer(rho, link, rule, each.positive(), each.share(forest, state)))
                    .toList());
        }
    }

    /** Groups that share a wider factor. */
    private final class Home {
        private final List<Group> groups;
        private final BitSet matters = new BitSet();
        private final Map<BitSet, Double> known = new HashMap<>();

        Home(List<Group> groups) {
            this.groups = groups;
            groups.forEach(group -> matters.or(group.matters));
        }

        double log(boolean[] state) {
            return known.computeIfAbsent(alike(state, matters), key -> work(state));
        }

        private double work(boolean[] state) {
            double[] product = outer.clone();
            for (Group group : groups) {
                double[] profile = group.profile(state);
                for (int v = 0; v < product.length; v++) {
                    product[v] *= profile[v];
                }
            }
            double sum = 0;
            for (double part : product) {
                sum += part;
            }
            return Math.log(sum);
        }
    }
}
