/** The report of an examination on paper: one page laid out once, for the browser's printer and as a PDF. */
package lexicor.server.report;
