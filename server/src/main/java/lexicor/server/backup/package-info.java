/** Copies of a clinic's record: taken while the server works, checked, kept, and brought back. */
package lexicor.server.backup;
