/** What is recorded of a case, as tables for a spreadsheet or a statistics package, and whole, out and in. */
package lexicor.server.examinations.export;
