/** Signing an examination, amending it, and what it showed when it was signed. */
package lexicor.server.examinations.signing;
