package lexicor.server.report;

import java.util.List;

/**
 * What stands on the report of an examination.
 *
 * @param title what was examined and when
 * @param who the person, by code
 * @param therapist who examined
 * @param standing who signed which version, or that it is a draft
 * @param signed whether it is signed
 * @param conclusion the therapist's conclusion, line by line
 * @param rails conditions that a finding was weighed for
 * @param pictures conditions that have no figures, by their picture
 * @param beam the weights on the first of them; empty where nothing was weighed
 * @param unweighed findings beside the beam, with the reason
 * @param findings what was found, test by test
 * @param quiet tests in which nothing was found
 * @param notDone tests that were not done
 * @param again measures beside the visit before
 * @param caution what the figures are worth
 */
public record ReportJson(
        String title,
        String who,
        String therapist,
        String standing,
        boolean signed,
        String side,
        String otherSide,
        List<String> conclusion,
        List<String> safety,
        List<RailJson> rails,
        List<String> pictures,
        BeamJson beam,
        List<String> unweighed,
        List<FindingJson> findings,
        List<String> quiet,
        List<String> notDone,
        List<String> again,
        List<String> pathways,
        List<String> caution) {

    /**
     * Where a condition stood before the findings and stands now, 0..1.
     *
     * @param working whether it is the therapist's working diagnosis
     */
    public record RailJson(String name, double before, double now, double lower, double upper, boolean working) {}

    /** The weights on one condition. */
    public record BeamJson(
            String name, double before, double now, double lower, double upper, List<WeightJson> weights) {}

    /**
     * One weight, in decibans: above 0 for, below against.
     *
     * @param ratio likelihood ratio of the finding alone
     * @param part what it adds here
     * @param alone what it would add by itself
     */
    public record WeightJson(String phrase, double ratio, double part, double alone) {}

    /** A test with what was found. */
    public record FindingJson(String name, String involved, String other, List<String> says) {}
}
