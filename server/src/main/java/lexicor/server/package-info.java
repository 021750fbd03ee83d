/** Keeps the record and answers the page, feature by feature; all computation is the core's. */
package lexicor.server;
