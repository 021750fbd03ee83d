/** What was told and found in one visit, drawn together into what is weighed. */
@NullMarked
package lexicor.core.assessment;

import org.jspecify.annotations.NullMarked;
