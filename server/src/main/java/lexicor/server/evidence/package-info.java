/** The clinic's ledger as it is now and as it was, and what is weighed by it. */
package lexicor.server.evidence;
