package lexicor.core.weighing;

/** Where a condition stands by one way of adding up. */
public record LensResult(Lens lens, double chance, double likelihoodRatio) {
}
