package lexicor.server.calculators;

/** Chance of all answers together with and without the condition, and the ratio of the two. */
record GroupAnswer(double givenPresent, double givenAbsent, double likelihoodRatio) {}
