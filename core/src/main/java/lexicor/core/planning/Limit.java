package lexicor.core.planning;

import lexicor.core.catalogue.ConditionId;

/**
 * A condition that a plan may leave open: neither unlikely enough to need no further test, nor likely enough to act on.
 *
 * @param now where it stands, 0..1
 * @param open chance that it is still open once every test of the plan has an answer, 0..1
 * @param least the same once every test has that may be done, 0..1
 */
public record Limit(ConditionId condition, double now, double open, double least) {}
