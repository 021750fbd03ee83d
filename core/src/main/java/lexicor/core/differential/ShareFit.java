package lexicor.core.differential;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import lexicor.core.differential.Target.Figures;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * Fits the shares of one finding to its figures: each record's sensitivity and specificity is the mean share over a
 * reference mix of people inside and outside its target. Weighted least squares on the logits, with weak priors where
 * several conditions are targets; damped Gauss-Newton, then Newton.
 */
final class ShareFit {

    private static final double UNKNOWN_SIZE = 20;
    private static final double LEAD_SPREAD = 0.1;
    private static final double BORROWING_SD = 1;
    private static final double GUARD_SD = 3;
    private static final double MOST_SHARE = 0.999;
    private static final int MOST_ROUNDS = 200;
    private static final double CLOSE = 1e-12;
    private static final int MOST_STATES = 4096;

    private final Forest forest;
    private final List<Figures> records;
    private final List<Integer> targets;
    private final int[] wider;
    private final double[] mix;
    /** For each family of the targets: its states' weights, and how often each log share enters; entry 0 is "none". */
    private final Map<Integer, Family> families = new LinkedHashMap<>();

    private final double[] published;
    private final double[] variances;
    private final double[] own;
    private final double[] ownSd;
    private final double noneMean;

    private record Family(List<boolean[]> states, double[] weights, int[][] counts) {}

    private record Row(double value, double[] slope) {}

    ShareFit(Forest forest, List<Figures> records, double[] reference, double transport) {
        this.forest = forest;
        this.records = List.copyOf(records);
        targets = new ArrayList<>(new LinkedHashSet<>(
                records.stream().map(each -> forest.place(each.condition())).toList()));
        wider = Shares.wider(forest, targets);
        List<Figures> lead = lead(records);
        mix = forest.shares(forest.coherent(mix(reference, lead)));
        published = new double[2 * records.size()];
        variances = new double[2 * records.size()];
        for (int r = 0; r < records.size(); r++) {
            Figures each = records.get(r);
            double spread = lead.contains(each) ? LEAD_SPREAD : transport;
            set(2 * r, each.sensitivity(), each.sizes().map(Target.Sizes::with).orElse(UNKNOWN_SIZE), spread);
            set(
                    2 * r + 1,
                    1 - each.specificity(),
                    each.sizes().map(Target.Sizes::without).orElse(UNKNOWN_SIZE),
                    spread);
            if (each.variances().isPresent()) {
                variances[2 * r] = each.variances().get().sensitivity();
                variances[2 * r + 1] = each.variances().get().specificity();
            }
        }
        own = new double[targets.size()];
        ownSd = new double[targets.size()];
        for (int t = 0; t < own.length; t++) {
            String condition = forest.id(targets.get(t));
            Figures first = records.stream()
                    .filter(each ->
                            each.condition().equals(condition) && each.except().isPresent())
                    .findFirst()
                    .orElseGet(() -> records.stream()
                            .filter(each -> each.condition().equals(condition))
                            .findFirst()
                            .orElseThrow());
            own[t] = Shares.logit(first.sensitivity());
            int target = targets.get(t);
            ownSd[t] = targets.stream().anyMatch(other -> forest.within(other, target)) ? BORROWING_SD : GUARD_SD;
        }
        noneMean = Shares.logit(
                1 - records.stream().mapToDouble(Figures::specificity).max().orElseThrow());
        enumerate();
    }

    private void set(int row, double share, double size, double spread) {
        published[row] = Shares.logit(share);
        variances[row] = 1 / (size * share * (1 - share)) + spread * spread;
    }

    /** The records of the study with the most of them, then with the most patients, then named first. */
    private static List<Figures> lead(List<Figures> records) {
        Map<Object, List<Figures>> studies = new LinkedHashMap<>();
        for (Figures each : records) {
            studies.computeIfAbsent(
                            each.study().<Object>map(name -> name).orElse(new Object()), study -> new ArrayList<>())
                    .add(each);
        }
        List<Figures> best = List.of();
        for (List<Figures> study : studies.values()) {
            if (study.size() > best.size() || study.size() == best.size() && patients(study) > patients(best)) {
                best = study;
            }
        }
        return best;
    }

    private static double patients(List<Figures> study) {
        return study.stream()
                .flatMap(each -> each.sizes().stream())
                .mapToDouble(sizes -> sizes.with() + sizes.without())
                .sum();
    }

    /** The reference mix with the shares that the leading study saw. */
    private double[] mix(double[] reference, List<Figures> lead) {
        double[] shares = reference.clone();
        for (int c : forest.narrowToWide()) {
            List<Figures> known = lead.stream()
                    .filter(each -> each.sizes().isPresent() && each.condition().equals(forest.id(c)))
                    .toList();
            Figures chosen = known.stream()
                    .filter(each -> each.except().isEmpty())
                    .findFirst()
                    .orElse(known.isEmpty() ? null : known.get(0));
            if (chosen != null) {
                Target.Sizes sizes = chosen.sizes().orElseThrow();
                double excepted = chosen.except()
                        .map(except -> shares[forest.place(except)])
                        .orElse(0.0);
                shares[c] = Math.min(MOST_SHARE, sizes.with() / (sizes.with() + sizes.without()) + excepted);
            }
        }
        return shares;
    }

    private void enumerate() {
        boolean[] active = new boolean[forest.size()];
        targets.forEach(target -> active[target] = true);
        records.forEach(each -> each.except().ifPresent(except -> active[forest.place(except)] = true));
        boolean[] upward = forest.upward(active);
        for (int target : targets) {
            families.computeIfAbsent(forest.root(target), root -> family(root, upward));
        }
    }

    private Family family(int root, boolean[] active) {
        long size = forest.states(root, active);
        if (size > MOST_STATES) {
            throw new IllegalArgumentException("the conditions within " + forest.id(root)
                    + " that one finding speaks about have " + size + " states; allowed: at most " + MOST_STATES);
        }
        List<boolean[]> states = forest.states(List.of(root), active);
        double[] weights = new double[states.size()];
        int[][] counts = new int[states.size()][targets.size() + 1];
        for (int s = 0; s < weights.length; s++) {
            weights[s] = forest.prior(states.get(s), List.of(root), active, mix);
            for (int t = 0; t < targets.size(); t++) {
                if (forest.root(targets.get(t)) == root && states.get(s)[targets.get(t)]) {
                    counts[s][t + 1]++;
                    counts[s][wider[t] + 1]--;
                }
            }
        }
        return new Family(states, weights, counts);
    }

    /**
     * What the fit gives.
     *
     * @param eta logits of the shares: without any target, then of each target
     * @param fitted what each record's sensitivity and one minus specificity would be by them
     * @param gains how far each logit moves with each published logit
     */
    record Result(List<Integer> targets, double[] eta, double[] fitted, double[][] gains) {}

    Result fit() {
        double[] eta = records.size() == 1 ? exact() : solved();
        double[] fitted = new double[2 * records.size()];
        for (int row = 0; row < fitted.length; row++) {
            fitted[row] = Shares.logistic(predicted(row, eta).value());
        }
        return new Result(targets, eta, fitted, gains(eta));
    }

    /** (J'J)^-1 J'R with J the slopes of the scaled residuals and R how they move with what was published. */
    private double[][] gains(double[] eta) {
        if (records.size() == 1) {
            return new double[][] {{0, 1}, {1, 0}};
        }
        RealMatrix inverse =
                new LUDecomposition(linear(eta).normal()).getSolver().getInverse();
        double[][] slopes = new double[eta.length][published.length];
        for (int row = 0; row < published.length; row++) {
            double[] slope = predicted(row, eta).slope();
            for (int i = 0; i < eta.length; i++) {
                slopes[i][row] = slope[i] / variances[row];
            }
        }
        return inverse.multiply(MatrixUtils.createRealMatrix(slopes)).getData();
    }

    private double[] exact() {
        return new double[] {published[1], published[0]};
    }

    private double[] solved() {
        double[] eta = start();
        double value = objective(eta);
        for (int round = 0; round < MOST_ROUNDS; round++) {
            Linear at = linear(eta);
            double[] step = solve(at.normal(), at.gradient());
            double factor = 1;
            double[] next = eta;
            double lower = value;
            while (factor > 1e-10 && !(lower < value)) {
                next = moved(eta, step, factor);
                lower = objective(next);
                factor /= 2;
            }
            if (!(lower < value)) {
                break;
            }
            boolean resting = value - lower < 1e-9 * (1 + value);
            eta = next;
            value = lower;
            if (resting) {
                break;
            }
        }
        return newton(eta);
    }

    private double[] newton(double[] from) {
        double[] eta = from;
        double[] gradient = linear(eta).gradient();
        for (int round = 0; round < MOST_ROUNDS && largest(gradient) >= CLOSE; round++) {
            double[] next = moved(eta, solve(curvature(eta), gradient), 1);
            double[] after = linear(next).gradient();
            if (!(largest(after) < largest(gradient))) {
                break;
            }
            eta = next;
            gradient = after;
        }
        return eta;
    }

    private RealMatrix curvature(double[] eta) {
        double[][] rows = new double[eta.length][];
        double width = 1e-5;
        for (int i = 0; i < eta.length; i++) {
            double[] above = eta.clone();
            double[] below = eta.clone();
            above[i] += width;
            below[i] -= width;
            double[] up = linear(above).gradient();
            double[] down = linear(below).gradient();
            rows[i] = new double[eta.length];
            for (int j = 0; j < eta.length; j++) {
                rows[i][j] = (up[j] - down[j]) / (2 * width);
            }
        }
        RealMatrix matrix = MatrixUtils.createRealMatrix(rows);
        return matrix.add(matrix.transpose()).scalarMultiply(0.5);
    }

    private static double[] solve(RealMatrix matrix, double[] gradient) {
        try {
            return new LUDecomposition(matrix)
                    .getSolver()
                    .solve(MatrixUtils.createRealVector(gradient))
                    .toArray();
        } catch (MathRuntimeException singular) {
            return new double[gradient.length];
        }
    }

    private static double[] moved(double[] eta, double[] step, double factor) {
        double[] next = eta.clone();
        for (int i = 0; i < next.length; i++) {
            next[i] -= factor * step[i];
        }
        return next;
    }

    private static double largest(double[] gradient) {
        return Arrays.stream(gradient).map(Math::abs).max().orElse(0);
    }

    private double[] start() {
        double[] eta = new double[targets.size() + 1];
        eta[0] = noneMean;
        System.arraycopy(own, 0, eta, 1, own.length);
        if (!Double.isFinite(objective(eta))) {
            for (int c : forest.wideToNarrow()) {
                int t = targets.indexOf(c);
                if (t >= 0) {
                    eta[t + 1] = Math.max(own[t], wider[t] < 0 ? eta[0] : eta[wider[t] + 1]);
                }
            }
        }
        return eta;
    }

    private double objective(double[] eta) {
        double sum = 0;
        for (int row = 0; row < published.length; row++) {
            double off = predicted(row, eta).value() - published[row];
            sum += off * off / variances[row];
        }
        if (targets.size() > 1) {
            sum += (eta[0] - noneMean) * (eta[0] - noneMean);
            for (int t = 0; t < own.length; t++) {
                double off = (eta[t + 1] - own[t]) / ownSd[t];
                sum += off * off;
            }
        }
        return sum;
    }

    private record Linear(RealMatrix normal, double[] gradient) {}

    private Linear linear(double[] eta) {
        double[][] normal = new double[eta.length][eta.length];
        double[] gradient = new double[eta.length];
        for (int row = 0; row < published.length; row++) {
            Row at = predicted(row, eta);
            for (int i = 0; i < eta.length; i++) {
                gradient[i] += at.slope()[i] * (at.value() - published[row]) / variances[row];
                for (int j = 0; j < eta.length; j++) {
                    normal[i][j] += at.slope()[i] * at.slope()[j] / variances[row];
                }
            }
        }
        if (targets.size() > 1) {
            gradient[0] += eta[0] - noneMean;
            normal[0][0]++;
            for (int t = 0; t < own.length; t++) {
                double weight = 1 / (ownSd[t] * ownSd[t]);
                gradient[t + 1] += (eta[t + 1] - own[t]) * weight;
                normal[t + 1][t + 1] += weight;
            }
        }
        return new Linear(MatrixUtils.createRealMatrix(normal), gradient);
    }

    /** The logit of the mean share inside (even rows) or outside (odd rows) a record's target, and its slopes. */
    private Row predicted(int row, double[] eta) {
        Figures record = records.get(row / 2);
        int condition = forest.place(record.condition());
        int except = record.except().map(forest::place).orElse(-1);
        double[] logs = new double[eta.length];
        for (int i = 0; i < eta.length; i++) {
            logs[i] = Shares.logNot(eta[i]);
        }
        double log = logs[0];
        double[] slope = new double[eta.length];
        slope[0] = 1;
        for (Map.Entry<Integer, Family> each : families.entrySet()) {
            Family family = each.getValue();
            double weights = 0;
            double sum = 0;
            double[] counted = new double[eta.length];
            for (int s = 0; s < family.weights().length; s++) {
                boolean[] state = family.states().get(s);
                boolean inside = state[condition] && !(except >= 0 && state[except]);
                if (each.getKey() != forest.root(condition) || inside == (row % 2 == 0)) {
                    double term = 0;
                    for (int i = 0; i < eta.length; i++) {
                        term += family.counts()[s][i] * logs[i];
                    }
                    double value = family.weights()[s] * Math.exp(term);
                    weights += family.weights()[s];
                    sum += value;
                    for (int i = 0; i < eta.length; i++) {
                        counted[i] += value * family.counts()[s][i];
                    }
                }
            }
            log += Math.log(sum / weights);
            for (int i = 0; i < eta.length; i++) {
                slope[i] += counted[i] / sum;
            }
        }
        double share = -Math.expm1(log);
        for (int i = 0; i < eta.length; i++) {
            slope[i] *= Shares.logistic(eta[i]) / share;
        }
        return new Row(Math.log(share) - log, slope);
    }
}
