/** Measures with large records, apart from the tests. */
package lexicor.bench;
