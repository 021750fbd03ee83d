/** Exercises of two minutes, made from content and figures, and when each is due again. */
@NullMarked
package lexicor.core.drills;

import org.jspecify.annotations.NullMarked;
