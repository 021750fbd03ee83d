/**
 * How findings of one tissue depend on each other: normal distribution, shared factor, and correlations with their
 * estimation.
 */
package lexicor.core.dependence;
