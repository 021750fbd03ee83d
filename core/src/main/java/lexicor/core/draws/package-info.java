/** What the figures leave open: draws of accuracy, correlation and starts, seeded by what they depend on, and kept. */
package lexicor.core.draws;
