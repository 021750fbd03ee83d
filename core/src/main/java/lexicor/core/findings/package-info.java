/**
 * What is weighed and why not: the visit and its assumptions, each finding with its weight, groups that depend on each
 * other, sets that are counted, and how tests were done.
 */
package lexicor.core.findings;
