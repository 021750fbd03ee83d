package lexicor.core.weighing;

/**
 * Where a condition stands by one way of adding up.
 *
 * @param chance 0..1
 * @param likelihoodRatio above 0
 * @param by what was added up, in words, without a full stop
 */
public record LensResult(Lens lens, double chance, double likelihoodRatio, String by) {}
