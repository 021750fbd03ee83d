/**
 * Pathways: what to ask and which test to do next, from a complaint to an end, as clinicians teach it. A pathway reads
 * the record and never changes it; it stands beside the weighing and never replaces it.
 */
package lexicor.core.pathway;
