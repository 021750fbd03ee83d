/**
 * From all studies of the ledger to one belief for each criterion: what a clinic that took no part in them would find.
 */
package lexicor.core.synthesis;
