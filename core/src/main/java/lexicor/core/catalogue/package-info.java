/**
 * What the field knows, as typed data: tests with their cards, criteria and readings, conditions, validated clusters
 * and the routine order of an examination. Content lives in YAML resources and is checked when it is read.
 */
package lexicor.core.catalogue;
