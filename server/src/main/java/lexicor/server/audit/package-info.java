/** Who saw, entered, changed or took out what, and when. Only ever added to. */
package lexicor.server.audit;
