package lexicor.core.findings;

import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;

/**
 * A clinic's own estimate of what a test's answers weigh, where no study can be used. It is called an estimate wherever
 * it shows, and none ships.
 *
 * @param ifPositive likelihood ratio of a positive, above 0
 * @param ifNegative likelihood ratio of a negative, above 0
 */
public record OwnEstimate(TestId test, ConditionId condition, double ifPositive, double ifNegative) {}
