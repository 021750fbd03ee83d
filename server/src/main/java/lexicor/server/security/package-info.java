/** Who may ask for what, and what a browser may do with the answers. */
package lexicor.server.security;
