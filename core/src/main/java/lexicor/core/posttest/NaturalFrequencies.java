package lexicor.core.posttest;

/**
 * What one answer means among 1000 people like this one, in whole people.
 *
 * @param have of 1000, how many have the condition
 * @param haveAndAnswer of those, how many answer like this
 * @param haveNotAndAnswer of the others, how many answer like this too
 */
public record NaturalFrequencies(int have, int haveAndAnswer, int haveNotAndAnswer) {

    public static final int PEOPLE = 1000;

    /**
     * @param chance before the answer, 0..1
     * @param sensitivity 0..1
     * @param specificity 0..1
     */
    public static NaturalFrequencies of(double chance, double sensitivity, double specificity, boolean positive) {
        double given = positive ? sensitivity : 1 - sensitivity;
        double without = positive ? 1 - specificity : specificity;
        return new NaturalFrequencies(
                (int) Math.round(PEOPLE * chance), (int) Math.round(PEOPLE * chance * given), (int)
                        Math.round(PEOPLE * (1 - chance) * without));
    }

    /** Everybody who answers like this. */
    public int answer() {
        return haveAndAnswer + haveNotAndAnswer;
    }
}
