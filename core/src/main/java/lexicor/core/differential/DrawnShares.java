package lexicor.core.differential;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import lexicor.core.dependence.LogitTable;

/** A finding with draws of its shares of positives, for the sets of its targets that matter. */
final class DrawnShares {

    private static final double EDGE = 1e-6;

    private final Forest forest;
    private final int draws;
    private final Differential.Source source;
    private final Modelled modelled;
    private final List<Long> masks = new ArrayList<>();

    DrawnShares(Forest forest, int draws, Differential.Source source, Modelled modelled) {
        this.forest = forest;
        this.draws = draws;
        this.source = source;
        this.modelled = modelled;
    }

    Modelled modelled() {
        return modelled;
    }

    /** Which of the sets of targets a state has; a new one is added. */
    int place(boolean[] state) {
        return place(masks, modelled.mask(state));
    }

    /** The place of something in a list; what is new is added at its end. */
    static <T> int place(List<T> known, T wanted) {
        int place = known.indexOf(wanted);
        if (place < 0) {
            known.add(wanted);
        }
        return place < 0 ? known.size() - 1 : place;
    }

    /** Sets of targets that matter. */
    int sets() {
        return masks.size();
    }

    /** All that its shares depend on in a set of targets. */
    Object from(int set) {
        return List.of(
                source.drawnFrom(modelled.finding()),
                modelled.fit(),
                modelled.kept(),
                modelled.shares().targets(),
                masks.get(set));
    }

    /** Normal quantiles of its shares, by set of targets and draw; kept, since a tap leaves most as they were. */
    float[][] quantiles() {
        List<Object> keys = IntStream.range(0, sets())
                .<Object>mapToObj(set -> List.of("quantiles", from(set)))
                .toList();
        return source.workedOut(keys, missing -> quantiles(drawn(missing))).stream()
                .map(rows -> rows[0])
                .toArray(float[][]::new);
    }

    private List<float[][]> quantiles(double[][] shares) {
        return Arrays.stream(shares)
                .map(share -> {
                    float[] quantiles = new float[draws];
                    for (int i = 0; i < draws; i++) {
                        quantiles[i] = (float) LogitTable.quantile(Shares.logit(share[i]));
                    }
                    return new float[][] {quantiles};
                })
                .toList();
    }

    /** Drawn chances of the answer, by set of targets and draw. */
    double[][] chances() {
        double[][] chances = drawn(IntStream.range(0, sets()).boxed().toList());
        if (!modelled.positive()) {
            for (double[] row : chances) {
                for (int i = 0; i < draws; i++) {
                    row[i] = 1 - row[i];
                }
            }
        }
        return chances;
    }

    /** Drawn shares of positives, by set of targets and draw. */
    private double[][] drawn(List<Integer> sets) {
        List<Target.Figures> records = modelled.kept();
        double[][] moved = new double[2 * records.size()][];
        for (int r = 0; r < records.size(); r++) {
            Target.Figures figures = records.get(r);
            moved[2 * r] = away(source.logits(modelled.finding(), figures, true), Shares.logit(figures.sensitivity()));
            moved[2 * r + 1] =
                    away(source.logits(modelled.finding(), figures, false), Shares.logit(1 - figures.specificity()));
        }
        double[][] eta = eta(moved);
        double[][] negatives = negatives(eta);
        int[] wider = Shares.wider(forest, modelled.shares().targets());
        double[][] shares = new double[sets.size()][];
        for (int s = 0; s < shares.length; s++) {
            long mask = masks.get(sets.get(s));
            double[] negative = negatives[0].clone();
            for (int t = 0; t < wider.length; t++) {
                if ((mask >> t & 1) == 1) {
                    double[] with = negatives[t + 1];
                    double[] without = negatives[wider[t] < 0 ? 0 : wider[t] + 1];
                    for (int i = 0; i < draws; i++) {
                        negative[i] *= with[i] / without[i];
                    }
                }
            }
            for (int i = 0; i < draws; i++) {
                negative[i] = Math.min(1 - EDGE, Math.max(EDGE, 1 - negative[i]));
            }
            shares[s] = negative;
        }
        return shares;
    }

    private static double[] away(double[] drawn, double from) {
        double[] away = new double[drawn.length];
        for (int i = 0; i < away.length; i++) {
            away[i] = drawn[i] - from;
        }
        return away;
    }

    /** The fitted logits as the figures move them, by place in the fit and draw. */
    private double[][] eta(double[][] moved) {
        ShareFit.Result fit = modelled.fit();
        double[][] eta = new double[fit.eta().length][draws];
        for (int k = 0; k < eta.length; k++) {
            Arrays.fill(eta[k], fit.eta()[k]);
            for (int row = 0; row < moved.length; row++) {
                double gain = fit.gains()[k][row];
                for (int i = 0; i < draws; i++) {
                    eta[k][i] += gain * moved[row][i];
                }
            }
        }
        return eta;
    }

    /** The share of negatives: without any target, then with each target alone. */
    private double[][] negatives(double[][] eta) {
        List<Integer> targets = modelled.shares().targets();
        double[][] negatives = new double[targets.size() + 1][draws];
        for (int i = 0; i < draws; i++) {
            negatives[0][i] = Shares.logistic(-eta[0][i]);
        }
        for (int t = 0; t < targets.size(); t++) {
            int fitted = modelled.fit().targets().indexOf(targets.get(t));
            for (int i = 0; i < draws; i++) {
                negatives[t + 1][i] = Shares.logistic(-(fitted < 0 ? borrowed(eta, i) : eta[fitted + 1][i]));
            }
        }
        return negatives;
    }

    /** A target without figures lies half way to the one that is positive most often. */
    private static double borrowed(double[][] eta, int draw) {
        double most = Double.NEGATIVE_INFINITY;
        for (int k = 1; k < eta.length; k++) {
            most = Math.max(most, eta[k][draw]);
        }
        return (eta[0][draw] + most) / 2;
    }
}
