package lexicor.server.calculators;

/** Median and the middle 95 % of the chances that the counts allow, each 0..1. */
record IntervalAnswer(double median, double lower, double upper) {}
