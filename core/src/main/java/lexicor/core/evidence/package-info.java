/**
 * Published accuracy: the ledger of records, what each is tied to, the arithmetic of 2x2 tables, and the policy that
 * decides which record speaks for a test.
 */
package lexicor.core.evidence;
