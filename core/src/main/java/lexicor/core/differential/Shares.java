package lexicor.core.differential;

import java.util.List;

/**
 * The share of people who answer positive, by the conditions they have: a noisy "or" of what each target adds to those
 * without any.
 *
 * @param targets places of the conditions, in order
 * @param none logit of the share among people without any of them
 * @param only logits of the share among people with a target and what it lies within
 * @param borrowed which targets have no figures of their own
 */
public record Shares(List<Integer> targets, double none, double[] only, boolean[] borrowed) {

    private static final double EDGE = 1e-6;

    /** The nearest wider target of each target, as its place in the list; -1 where there is none. */
    static int[] wider(Forest forest, List<Integer> targets) {
        int[] wider = new int[targets.size()];
        for (int t = 0; t < wider.length; t++) {
            int at = forest.parent(targets.get(t));
            while (at >= 0 && !targets.contains(at)) {
                at = forest.parent(at);
            }
            wider[t] = at < 0 ? -1 : targets.indexOf(at);
        }
        return wider;
    }

    /** The share among people in a state, kept within 1e-6 of 0 and 1. */
    public double of(Forest forest, boolean[] state) {
        int[] wider = wider(forest, targets);
        double log = logNot(none);
        for (int t = 0; t < targets.size(); t++) {
            if (state[targets.get(t)]) {
                log += logNot(only[t]) - logNot(wider[t] < 0 ? none : only[wider[t]]);
            }
        }
        return Math.min(1 - EDGE, Math.max(EDGE, 1 - Math.exp(log)));
    }

    static double logistic(double logit) {
        return 1 / (1 + Math.exp(-logit));
    }

    static double logit(double share) {
        return Math.log(share / (1 - share));
    }

    /** log of one minus the logistic. */
    static double logNot(double logit) {
        return logit > 0 ? -logit - Math.log1p(Math.exp(-logit)) : -Math.log1p(Math.exp(logit));
    }
}
