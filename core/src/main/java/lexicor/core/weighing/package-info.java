/**
 * How likely each condition stands: the joint differential's points and ranges, ranking, leaders, schools and patterns.
 */
package lexicor.core.weighing;
