/** Stateless arithmetic for anyone: no patient data, no account, limits on size. */
package lexicor.server.calculators;
