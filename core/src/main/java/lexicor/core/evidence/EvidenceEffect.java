package lexicor.core.evidence;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;

/** How the figures of one ledger part from those of another, the furthest moved first. */
public record EvidenceEffect(List<Move> moves) {

    /** Moves of both log likelihood ratios together below this are not told. */
    private static final double LEAST = 0.02;

    /** Where a test begins or ceases to be weighed; more than any figure moves by. */
    private static final double WHOLE = 100;

    /**
     * What becomes of a test's weight for a condition.
     *
     * @param before empty where nothing weighed it
     * @param after empty where nothing does any more
     */
    public record Move(
            TestId test, ConditionId condition, Optional<EvidenceInUse> before, Optional<EvidenceInUse> after) {

        /** How far both log likelihood ratios move together. */
        double size() {
            if (before.isEmpty() || after.isEmpty()) {
                return before.isEmpty() && after.isEmpty() ? 0 : WHOLE;
            }
            return moved(true) + moved(false);
        }

        private double moved(boolean positive) {
            return Math.abs(Math.log(after.orElseThrow().belief().likelihoodRatio(positive)
                    / before.orElseThrow().belief().likelihoodRatio(positive)));
        }
    }

    /** Compares two ledgers under the usual schools. */
    public static EvidenceEffect between(Evidence before, Evidence after, Catalogue catalogue) {
        List<Move> moves = new ArrayList<>();
        for (ExaminationTest test : catalogue.tests().values()) {
            for (ConditionReading reading : test.reads()) {
                Move move = new Move(
                        test.id(),
                        reading.condition(),
                        before.inUse(test.id(), reading.condition()),
                        after.inUse(test.id(), reading.condition()));
                if (move.size() > LEAST) {
                    moves.add(move);
                }
            }
        }
        moves.sort(Comparator.comparingDouble(Move::size).reversed());
        return new EvidenceEffect(List.copyOf(moves));
    }
}
