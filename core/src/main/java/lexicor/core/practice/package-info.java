/** Practice on invented patients whose truth is known: who they are, what they answer, and how well one judged. */
@NullMarked
package lexicor.core.practice;

import org.jspecify.annotations.NullMarked;
