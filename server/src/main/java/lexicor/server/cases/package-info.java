/** People known to the clinic, their complaints, and how each is found again. */
package lexicor.server.cases;
