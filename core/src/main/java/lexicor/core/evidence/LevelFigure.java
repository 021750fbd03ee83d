package lexicor.core.evidence;

/** What a count level of a cluster weighs. */
public sealed interface LevelFigure {

    AccuracyRecord record();

    Series series();

    /**
     * Known by shares.
     *
     * @param positive whether the level is the record's positive result
     */
    record Shares(AccuracyRecord record, Series series, Belief belief, boolean positive) implements LevelFigure {}

    /** Known by a likelihood ratio alone. */
    record RatioOnly(AccuracyRecord record, Series series, double likelihoodRatio) implements LevelFigure {}
}
