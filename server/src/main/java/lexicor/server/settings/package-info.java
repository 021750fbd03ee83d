/** What the clinic decides for itself: schools, thresholds, starting estimates, side of reach, units. */
package lexicor.server.settings;
