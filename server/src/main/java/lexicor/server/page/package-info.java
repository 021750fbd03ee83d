/** Serves the page. */
package lexicor.server.page;
