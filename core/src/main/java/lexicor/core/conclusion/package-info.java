/** The therapist's own word at the end: told like anything else, held beside the ranking, never made by it. */
package lexicor.core.conclusion;
