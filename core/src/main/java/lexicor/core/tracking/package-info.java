/** One person over time: the same measures at two visits, and whether they part by more than measuring does. */
package lexicor.core.tracking;
