package lexicor.core.differential;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import lexicor.core.differential.Target.Borrowed;
import lexicor.core.differential.Target.Figures;

/** A finding, or the part of it that speaks about one family, with its shares. */
final class Modelled {

    private final Finding finding;
    private final Shares shares;
    private final List<Figures> kept;
    private final ShareFit.Result fit;
    private final int home;
    private final Optional<Finding.Group> group;
    private final boolean apart;
    private final List<Integer> families;
    private final Map<Long, Double> byMask;

    /**
     * @param shares of positives by the conditions present
     * @param kept records that were fitted, in order
     * @param home widest condition of the family whose wider factor its answer shares
     * @param group its group; empty where it has none
     * @param apart whether it stands alone, without group or wider factor
     * @param families widest conditions of the families that it speaks about
     */
    private Modelled(
            Finding finding,
            Shares shares,
            List<Figures> kept,
            ShareFit.Result fit,
            int home,
            Optional<Finding.Group> group,
            boolean apart,
            List<Integer> families) {
        this(finding, shares, kept, fit, home, group, apart, families, new ConcurrentHashMap<>());
    }

    private Modelled(
            Finding finding,
            Shares shares,
            List<Figures> kept,
            ShareFit.Result fit,
            int home,
            Optional<Finding.Group> group,
            boolean apart,
            List<Integer> families,
            Map<Long, Double> byMask) {
        this.finding = finding;
        this.shares = shares;
        this.kept = kept;
        this.fit = fit;
        this.home = home;
        this.group = group;
        this.apart = apart;
        this.families = families;
        this.byMask = byMask;
    }

    Finding finding() {
        return finding;
    }

    Shares shares() {
        return shares;
    }

    List<Figures> kept() {
        return kept;
    }

    ShareFit.Result fit() {
        return fit;
    }

    double[] fitted() {
        return fit.fitted();
    }

    int home() {
        return home;
    }

    Optional<Finding.Group> group() {
        return group;
    }

    /** Names the factor that it shares: that of its group, or one of its own. */
    String factor() {
        return group.map(known -> "group " + known.id()).orElseGet(() -> "single " + finding.id());
    }

    boolean apart() {
        return apart;
    }

    boolean positive() {
        return finding.said() == Finding.Said.POSITIVE;
    }

    /** The same finding with another answer. */
    Modelled said(Finding.Said answer) {
        return new Modelled(finding.said(answer), shares, kept, fit, home, group, apart, families, byMask);
    }

    /** The targets present in a state, as bits. */
    long mask(boolean[] state) {
        long mask = 0;
        for (int t = 0; t < shares.targets().size(); t++) {
            mask |= state[shares.targets().get(t)] ? 1L << t : 0;
        }
        return mask;
    }

    /** The share of positives in a state. */
    double share(Forest forest, boolean[] state) {
        return byMask.computeIfAbsent(mask(state), mask -> shares.of(forest, state));
    }

    /** Widest conditions of the families that it speaks about. */
    List<Integer> families() {
        return families;
    }

    /** The best separation of its records about a family; 0 where it only borrows. */
    double best(Forest forest, int family) {
        return kept.stream()
                .filter(each -> forest.root(forest.place(each.condition())) == family)
                .mapToDouble(Figures::separation)
                .max()
                .orElse(0);
    }

    /** Fits findings: which targets are kept, and the shares of those that are. */
    static final class Maker {
        private final Forest forest;
        private final Fits fits;
        private final Map<String, Finding.Group> groups;
        private final double worthless;

        Maker(Fits fits, Map<String, Finding.Group> groups, double worthless) {
            this.forest = fits.forest();
            this.fits = fits;
            this.groups = groups;
            this.worthless = worthless;
        }

        /** The finding with the targets that tell something; a part for each family where none does. */
        List<Modelled> make(Finding finding) {
            Map<Integer, Double> best = new LinkedHashMap<>();
            Map<Integer, Double> largest = new LinkedHashMap<>();
            for (Target target : finding.targets()) {
                if (target instanceof Figures figures) {
                    int family = forest.root(forest.place(target.condition()));
                    best.merge(family, figures.separation(), Math::max);
                    largest.merge(family, Math.abs(figures.separation()), Math::max);
                }
            }
            Map<Integer, Double> worth = best.size() > 1 ? best : largest;
            List<Integer> stays = worth.entrySet().stream()
                    .filter(each -> each.getValue() >= worthless)
                    .map(Map.Entry::getKey)
                    .toList();
            if (stays.isEmpty()) {
                return best.keySet().stream()
                        .map(family -> fit(finding, figures(finding, List.of(family)), true))
                        .toList();
            }
            List<Target> kept = finding.targets().stream()
                    .filter(each ->
                            each instanceof Borrowed || stays.contains(forest.root(forest.place(each.condition()))))
                    .toList();
            return List.of(fit(finding, kept, false));
        }

        /** The same without its targets of one family. */
        Modelled without(Modelled modelled, int family) {
            List<Target> kept = modelled.shares.targets().stream()
                    .filter(each -> forest.root(each) != family)
                    .<Target>flatMap(each -> {
                        List<Target> own = new ArrayList<>(modelled.kept.stream()
                                .filter(record -> forest.place(record.condition()) == each)
                                .toList());
                        return (own.isEmpty() ? List.<Target>of(new Borrowed(forest.id(each))) : own).stream();
                    })
                    .toList();
            return fit(modelled.finding, inOrder(modelled.finding, kept), false);
        }

        private static List<Target> inOrder(Finding finding, List<Target> kept) {
            return finding.targets().stream().filter(kept::contains).toList();
        }

        private List<Target> figures(Finding finding, List<Integer> families) {
            return finding.targets().stream()
                    .filter(each ->
                            each instanceof Figures && families.contains(forest.root(forest.place(each.condition()))))
                    .toList();
        }

        private Modelled fit(Finding finding, List<Target> kept, boolean apart) {
            List<Figures> records = kept.stream()
                    .filter(Figures.class::isInstance)
                    .map(Figures.class::cast)
                    .toList();
            ShareFit.Result fit = fits.of(records);
            List<Integer> targets = new ArrayList<>(new LinkedHashSet<>(
                    kept.stream().map(each -> forest.place(each.condition())).toList()));
            double[] only = new double[targets.size()];
            boolean[] borrowed = new boolean[targets.size()];
            double most = IntStream.range(1, fit.eta().length)
                    .mapToDouble(i -> fit.eta()[i])
                    .max()
                    .orElseThrow();
            for (int t = 0; t < only.length; t++) {
                int place = fit.targets().indexOf(targets.get(t));
                borrowed[t] = place < 0;
                only[t] = place < 0 ? (fit.eta()[0] + most) / 2 : fit.eta()[place + 1];
            }
            Optional<Finding.Group> group =
                    apart ? Optional.empty() : finding.group().map(groups::get);
            int home = group.flatMap(Finding.Group::family)
                    .map(family -> forest.root(forest.place(family)))
                    .filter(family -> targets.stream().anyMatch(each -> forest.root(each) == family))
                    .orElse(forest.root(targets.get(0)));
            return new Modelled(
                    finding,
                    new Shares(targets, fit.eta()[0], only, borrowed),
                    records,
                    fit,
                    home,
                    group,
                    apart,
                    targets.stream().map(forest::root).distinct().toList());
        }
    }
}
