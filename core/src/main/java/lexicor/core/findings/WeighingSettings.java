package lexicor.core.findings;

import lexicor.core.synthesis.Alone;

/**
 * How uncertainty is drawn.
 *
 * @param draws number of draws behind each range; with 0 a range is the point itself
 * @param betweenStudies standard deviation on each logit by which a study's figures differ elsewhere
 * @param startDeviation standard deviation of a working starting estimate, on the logit
 * @param worthlessWithin a test whose |sensitivity + specificity - 1| is below this tells next to nothing
 */
public record WeighingSettings(int draws, double betweenStudies, double startDeviation, double worthlessWithin) {

    public static final WeighingSettings USUAL = new WeighingSettings(4000, Alone.ELSEWHERE, 0.5, 0.10);

    /** Factor on the variance between clinics that a spread between studies stands for; 1 for the usual one. */
    public static double clinics(double betweenStudies) {
        return betweenStudies * betweenStudies / (USUAL.betweenStudies * USUAL.betweenStudies);
    }

    public WeighingSettings withoutDraws() {
        return new WeighingSettings(0, betweenStudies, startDeviation, worthlessWithin);
    }
}
