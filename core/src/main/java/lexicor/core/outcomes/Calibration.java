package lexicor.core.outcomes;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import lexicor.core.evidence.Estimate;
import lexicor.core.posttest.LogOdds;

/**
 * How well stated chances held, beside saying the start every time. Chances are cut to 0.001 to 0.999, so that one
 * wrong certainty costs much and not everything.
 */
public final class Calibration {

    /** Claims needed on each side, come true and not, before a line is put through them. */
    public static final int NEEDED = 10;

    private static final double EDGE = 0.001;
    private static final int MOST_GROUPS = 5;
    /** Claims that a group of the curve has at least. */
    private static final int GROUP = 5;

    private static final int MOST_ROUNDS = 100;

    /**
     * A chance that was stated, and what turned out.
     *
     * @param start chance before anything was found, 0..1
     * @param stated 0..1
     */
    public record Claim(double start, double stated, boolean present) {}

    /**
     * Claims of nearly the same chance: their mean, how many there were, how many came true, as a share with limits.
     */
    public record Group(double stated, int claims, int present, Estimate share) {}

    /**
     * A logistic line through what came true against the logit of what was stated: 0 and 1 where claims hold. A slope
     * below 1 says that claims are too bold.
     */
    public record Line(Estimate intercept, Estimate slope) {}

    private final List<Claim> claims;

    /** @throws IllegalArgumentException where there is no claim, or a chance is outside 0..1 */
    public Calibration(List<Claim> claims) {
        if (claims.isEmpty()) {
            throw new IllegalArgumentException("no claim; allowed: at least one");
        }
        if (claims.stream()
                .anyMatch(each ->
                        !(each.stated() >= 0 && each.stated() <= 1 && each.start() >= 0 && each.start() <= 1))) {
            throw new IllegalArgumentException("a chance is outside 0 to 1");
        }
        this.claims = List.copyOf(claims);
    }

    public int claims() {
        return claims.size();
    }

    public int present() {
        return (int) claims.stream().filter(Claim::present).count();
    }

    /** Mean squared distance of what was stated from what came true, 0 (best) to 1. */
    public double brier() {
        return brier(Claim::stated);
    }

    /** The same of saying the start every time. */
    public double brierOfStart() {
        return brier(Claim::start);
    }

    private double brier(ToDoubleFunction<Claim> chance) {
        return claims.stream()
                .mapToDouble(each -> chance.applyAsDouble(each) - (each.present() ? 1 : 0))
                .map(distance -> distance * distance)
                .average()
                .orElseThrow();
    }

    /** Mean of -ln of the chance given to what came true, 0 (best) upwards. */
    public double logLoss() {
        return logLoss(Claim::stated);
    }

    /** The same of saying the start every time. */
    public double logLossOfStart() {
        return logLoss(Claim::start);
    }

    private double logLoss(ToDoubleFunction<Claim> chance) {
        return claims.stream()
                .mapToDouble(each -> {
                    double stated = cut(chance.applyAsDouble(each));
                    return -Math.log(each.present() ? stated : 1 - stated);
                })
                .average()
                .orElseThrow();
    }

    private static double cut(double chance) {
        return Math.min(1 - EDGE, Math.max(EDGE, chance));
    }

    /**
     * The curve: claims in the order of their chance, in at most 5 groups as large as each other, none below 5 claims
     * unless there are fewer in all. Limits are Wilson's.
     */
    public List<Group> groups() {
        List<Claim> sorted = claims.stream()
                .sorted(Comparator.comparingDouble(Claim::stated))
                .toList();
        int many = Math.max(1, Math.min(MOST_GROUPS, sorted.size() / GROUP));
        List<Group> groups = new ArrayList<>();
        for (int g = 0; g < many; g++) {
            List<Claim> own = sorted.subList(g * sorted.size() / many, (g + 1) * sorted.size() / many);
            int present = (int) own.stream().filter(Claim::present).count();
            groups.add(new Group(
                    own.stream().mapToDouble(Claim::stated).average().orElseThrow(),
                    own.size(),
                    present,
                    Estimate.ofShare(present, own.size())));
        }
        return groups;
    }

    /**
     * The line by maximum likelihood with large-sample limits (Cox 1958). Empty below {@link #NEEDED} claims on each
     * side, where all claims are alike, or where they part what came true from what did not without a fault.
     */
    public Optional<Line> line() {
        int without = claims() - present();
        if (Math.min(present(), without) < NEEDED) {
            return Optional.empty();
        }
        double[] x = claims.stream()
                .mapToDouble(each -> LogOdds.ofChance(cut(each.stated())).value())
                .toArray();
        double a = 0;
        double b = 1;
        for (int round = 0; round < MOST_ROUNDS; round++) {
            double pullA = 0;
            double pullB = 0;
            double aa = 0;
            double ab = 0;
            double bb = 0;
            for (int i = 0; i < x.length; i++) {
                double p = LogOdds.chance(a + b * x[i]);
                double residual = (claims.get(i).present() ? 1 : 0) - p;
                double weight = p * (1 - p);
                pullA += residual;
                pullB += residual * x[i];
                aa += weight;
                ab += weight * x[i];
                bb += weight * x[i] * x[i];
            }
            double determinant = aa * bb - ab * ab;
            if (!(determinant > 1e-9 * aa * bb) || Math.abs(b) > 50) {
                return Optional.empty();
            }
            double stepA = (bb * pullA - ab * pullB) / determinant;
            double stepB = (aa * pullB - ab * pullA) / determinant;
            a += stepA;
            b += stepB;
            if (Math.max(Math.abs(stepA), Math.abs(stepB)) < 1e-11) {
                return Optional.of(new Line(around(a, bb / determinant), around(b, aa / determinant)));
            }
        }
        return Optional.empty();
    }

    private static Estimate around(double estimate, double variance) {
        double half = Estimate.Z * Math.sqrt(variance);
        return new Estimate(estimate, estimate - half, estimate + half);
    }
}
