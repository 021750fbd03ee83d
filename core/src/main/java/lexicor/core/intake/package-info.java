/**
 * What comes before the hands: red flags that suspend testing, facts that lock tests, and the odds at the start. Dates
 * are passed in; nothing here asks the clock.
 */
package lexicor.core.intake;
