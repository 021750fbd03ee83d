/**
 * One distribution over which conditions are present and what was found. Conditions form families; a finding speaks
 * about states of a family, and families that share a finding explain each other away.
 */
package lexicor.core.differential;
