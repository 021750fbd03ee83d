/**
 * From readings to chances: likelihood ratios, clusters, the ranking with its ranges, and what of it came from where.
 * Pure functions; randomness comes only from a seed that is passed in.
 */
package lexicor.core.weighing;
