/**
 * Patients whose truth is known, drawn from the same content and figures as the weighing, or from others on purpose.
 */
@NullMarked
package lexicor.core.simulation;

import org.jspecify.annotations.NullMarked;
