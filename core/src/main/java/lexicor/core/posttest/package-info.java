/** The chance of a condition after tests, in closed form: odds, ranges, single tests and groups that share a factor. */
package lexicor.core.posttest;
