/** The plan of an examination: in which order the tests spare patient and clock. */
package lexicor.core.planning;
