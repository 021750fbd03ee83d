/** Looking up values of keys that must be there. */
package lexicor.core.lookup;
