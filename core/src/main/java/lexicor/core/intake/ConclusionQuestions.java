package lexicor.core.intake;

import java.util.Set;

/** The questions of the record by which a therapist concludes. */
public final class ConclusionQuestions {

    /** The working diagnosis: a condition of the catalogue, or {@link #OPEN}. */
    public static final String WORKING = "working";

    /** The working diagnosis in the therapist's own words. */
    public static final String IN_WORDS = "diagnosis-in-words";

    /** What stands for a conclusion that is still open. */
    public static final String OPEN = "open";

    /** What it could be instead, the likeliest first. */
    public static final String RIVALS = "rivals";

    /** How sure, a chance. */
    public static final String CONFIDENCE = "confidence";

    /** Why the conclusion differs from the ranking, in words. */
    public static final String WHY = "why-different";

    /** Conditions whose settling step is taken up. */
    public static final String STEPS = "next-steps";

    /** Further steps, in words. */
    public static final String OWN_STEPS = "own-steps";

    /** Advice given, in words. */
    public static final String ADVICE = "advice";

    /** Tests to repeat at the next visit. */
    public static final String MARKERS = "markers";

    /** The day of the next visit. */
    public static final String AGAIN = "again-on";

    /** All of them. */
    public static final Set<String> ALL =
            Set.of(WORKING, IN_WORDS, RIVALS, CONFIDENCE, WHY, STEPS, OWN_STEPS, ADVICE, MARKERS, AGAIN);

    private ConclusionQuestions() {}
}
