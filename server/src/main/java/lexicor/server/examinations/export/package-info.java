/** What is recorded of a case, as tables for a spreadsheet or a statistics package. */
package lexicor.server.examinations.export;
