package lexicor.server.calculators;

/** The chance after the tests, 0..1, and the likelihood ratio of all of them. */
record PostTestAnswer(double postTest, double likelihoodRatio) {}
