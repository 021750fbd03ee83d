package lexicor.core.dependence;

import java.util.List;
import lexicor.core.catalogue.ClusterId;

/**
 * What the published count levels of one set say about how far its tests repeat each other.
 *
 * @param median of what is believed after it alone, 0..0.95
 * @param lower 2.5 % of it
 * @param upper 97.5 % of it
 * @param levels each level as published and as the fitted correlation would have it
 * @param misfit sum of squared standardised differences at the best fit
 * @param contradicts whether no single correlation makes the levels agree (misfit beyond the 95 % point of chi-squared)
 */
public record CorrelationFit(
        ClusterId cluster,
        String name,
        double median,
        double lower,
        double upper,
        List<Level> levels,
        double misfit,
        boolean contradicts) {

    /**
     * One level.
     *
     * @param published likelihood ratio as published
     * @param fitted at the median
     * @param independent at correlation 0
     */
    public record Level(String name, double published, double fitted, double independent) {}

    public CorrelationFit {
        levels = List.copyOf(levels);
    }
}
