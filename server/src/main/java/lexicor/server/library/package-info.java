/** The catalogue for the page. */
package lexicor.server.library;
