package lexicor.core.weighing;

import java.util.List;

/**
 * What follows from the findings of one condition.
 *
 * @param now       chance through the lens in force
 * @param range     middle 95 % of plausible chances
 * @param plausible plausible log odds, one per draw; none where nothing was drawn
 * @param sum       what was added up
 * @param held      what was not
 * @param lenses    every way of adding up
 */
record Weighed(double now, Range range, double[] plausible, Standing.Sum sum, List<Load> held, List<LensResult> lenses) {
}
