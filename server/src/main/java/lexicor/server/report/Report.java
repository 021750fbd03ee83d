package lexicor.server.report;

/**
 * A report laid out.
 *
 * @param html a page of XHTML, to be shown and printed by a browser
 * @param pdf the same as a PDF
 * @param pages of the PDF, 1 or 2
 */
public record Report(String html, byte[] pdf, int pages) {}
