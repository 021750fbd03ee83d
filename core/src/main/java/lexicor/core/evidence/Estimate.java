package lexicor.core.evidence;

/** A value with its 95 % interval; {@code lower <= estimate <= upper}. */
public record Estimate(double estimate, double lower, double upper) {}
