package lexicor.core.catalogue;

/**
 * What a test costs beyond its own seconds, and what it has to promise to be worth doing. Working defaults.
 *
 * @param changePosition seconds for the patient to change position
 * @param leastBits a test that promises less information than this is not worth doing, in bits
 */
public record Effort(double changePosition, double leastBits) {}
