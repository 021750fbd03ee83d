package lexicor.server.audit;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * Marks a request that leaves a line in the audit; what it changes is kept together with the line or not at all. The
 * subject's id is the address's own, or the one of the answer where that is {@link Known}.
 */
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Traced {

    Action action();

    /** What it is about, in a word or two. */
    String subject();

    /** An answer that knows what it is about. */
    interface Known {

        /** Id of the subject. */
        String tracedId();
    }
}
