package lexicor.core.practice;

import java.util.List;
import java.util.Optional;
import lexicor.core.evidence.Estimate;
import lexicor.core.outcomes.Calibration;
import org.hipparchus.distribution.continuous.TDistribution;

/**
 * What practice cases of one person came to together.
 *
 * @param cases that were ended
 * @param minutes on average, by the patients' clocks; 0 without a case
 * @param hurt share of cases in which it hurt for nothing, with limits; empty without a case
 * @param worthDoing share of tests that promised enough to be worth doing, with limits; empty without a test
 * @param moves own moves of answers that weigh enough to be compared
 * @param reaction how far one goes for each deciban that one should; empty below the moves needed
 * @param own one's own chances at the end, with the truth
 * @param weighed those of the weighing on the same conditions
 */
public record Progress(
        int cases,
        double minutes,
        Optional<Estimate> hurt,
        Optional<Estimate> worthDoing,
        int moves,
        Optional<Estimate> reaction,
        List<Calibration.Claim> own,
        List<Calibration.Claim> weighed) {

    /** Moves from which it can be said whether one goes too far. */
    public static final int NEEDED = 10;

    private static final double MIDDLE = 0.975;

    public Progress {
        own = List.copyOf(own);
        weighed = List.copyOf(weighed);
    }

    /**
     * One case as it is looked back on.
     *
     * @param hurts how often it hurt for nothing
     * @param worthDoing for each test, whether it promised enough
     * @param moves one's own moves, beside what the answers weigh
     */
    public record Case(
            double minutes,
            int hurts,
            List<Boolean> worthDoing,
            List<PracticeReview.Move> moves,
            List<PracticeReview.Claim> claims) {
        public Case {
            worthDoing = List.copyOf(worthDoing);
            moves = List.copyOf(moves);
            claims = List.copyOf(claims);
        }
    }

    /** Draws cases together. */
    public static Progress of(List<Case> cases) {
        List<Boolean> tests =
                cases.stream().flatMap(each -> each.worthDoing().stream()).toList();
        List<PracticeReview.Move> moves = cases.stream()
                .flatMap(each -> each.moves().stream())
                .filter(PracticeReview.Move::telling)
                .toList();
        List<PracticeReview.Claim> claims =
                cases.stream().flatMap(each -> each.claims().stream()).toList();
        return new Progress(
                cases.size(),
                cases.stream().mapToDouble(Case::minutes).average().orElse(0),
                share(cases.stream().filter(each -> each.hurts() > 0).count(), cases.size()),
                share(tests.stream().filter(each -> each).count(), tests.size()),
                moves.size(),
                reaction(moves),
                claims.stream()
                        .map(claim -> new Calibration.Claim(claim.start(), claim.own(), claim.present()))
                        .toList(),
                claims.stream()
                        .map(claim -> new Calibration.Claim(claim.start(), claim.weighed(), claim.present()))
                        .toList());
    }

    private static Optional<Estimate> share(long hits, long all) {
        return all == 0 ? Optional.empty() : Optional.of(Estimate.ofShare(hits, all));
    }

    /**
     * Least-squares slope through the origin of one's own moves on those of the weighing, with limits by Student's t: 1
     * where one goes as far as one should, below 1 too little, above 1 too far.
     */
    static Optional<Estimate> reaction(List<PracticeReview.Move> moves) {
        double xx = moves.stream()
                .mapToDouble(move -> move.weighed() * move.weighed())
                .sum();
        if (moves.size() < NEEDED || xx == 0) {
            return Optional.empty();
        }
        double slope =
                moves.stream().mapToDouble(move -> move.own() * move.weighed()).sum() / xx;
        double left = moves.stream()
                .mapToDouble(move -> move.own() - slope * move.weighed())
                .map(rest -> rest * rest)
                .sum();
        int freedom = moves.size() - 1;
        double half = new TDistribution(freedom).inverseCumulativeProbability(MIDDLE) * Math.sqrt(left / freedom / xx);
        return Optional.of(new Estimate(slope, slope - half, slope + half));
    }
}
