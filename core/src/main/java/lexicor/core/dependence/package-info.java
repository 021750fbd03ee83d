/** Answers that share normal factors: how far tests of one tissue, and of one body, repeat each other. */
package lexicor.core.dependence;
