/**
 * What to do next: the information that a test or a set of tests is expected to bring, what separates two conditions,
 * and which finding would decide.
 */
package lexicor.core.nexttest;
