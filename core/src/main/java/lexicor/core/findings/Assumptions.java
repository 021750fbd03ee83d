package lexicor.core.findings;

import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.dependence.Correlation;

/**
 * What a weighing assumes that no study of this patient says.
 *
 * @param link correlation between findings of different groups, since they come from one body, 0..0.5
 * @param betweenStudies standard deviation on each logit by which a study's figures differ elsewhere, 0..2
 * @param correlations correlations set by hand, by dependency group, 0..0.95; the others are as learnt or assumed
 * @param thresholds where a chance begins to mean something
 * @param estimates the clinic's own estimates in use
 * @param borrowing whether a finding that nobody has measured weighs like an average test; else it is noted only
 */
public record Assumptions(
        double link,
        double betweenStudies,
        Map<String, Double> correlations,
        Thresholds thresholds,
        List<OwnEstimate> estimates,
        boolean borrowing) {

    public static final double USUAL_LINK = 0.1;
    public static final double MOST_LINK = 0.5;
    public static final double MOST_BETWEEN_STUDIES = 2;

    /** @throws IllegalArgumentException if a number is out of its range */
    public Assumptions {
        require("link", link, MOST_LINK);
        require("betweenStudies", betweenStudies, MOST_BETWEEN_STUDIES);
        correlations = Map.copyOf(correlations);
        correlations.forEach((group, rho) -> require("rho of " + group, rho, Correlation.MOST));
        estimates = List.copyOf(estimates);
    }

    /** As they ship. */
    public static Assumptions usual(Catalogue catalogue) {
        return new Assumptions(
                USUAL_LINK, WeighingSettings.USUAL.betweenStudies(), Map.of(), catalogue.thresholds(), List.of(), true);
    }

    /** The same with other correlations set by hand. */
    public Assumptions with(Map<String, Double> chosen) {
        return new Assumptions(link, betweenStudies, chosen, thresholds, estimates, borrowing);
    }

    /** The same with findings that nobody has measured weighed, or noted only. */
    public Assumptions borrowing(boolean weighed) {
        return new Assumptions(link, betweenStudies, correlations, thresholds, estimates, weighed);
    }

    private static void require(String name, double value, double most) {
        if (!(value >= 0 && value <= most)) {
            throw new IllegalArgumentException(name + " is " + value + "; allowed: 0 to " + most);
        }
    }
}
