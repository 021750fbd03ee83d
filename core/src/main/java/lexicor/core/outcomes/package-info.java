/**
 * What turned out to be true, and how well examiners agree: agreement of two examiners, accuracy where only some
 * patients were followed up, and how well stated chances hold. Free of frameworks, storage and the clock.
 */
package lexicor.core.outcomes;
