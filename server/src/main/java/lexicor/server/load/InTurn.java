package lexicor.server.load;

import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/** Marks requests, or all of a controller's, that compute so much that only a few of their kind run at a time. */
@Target({ElementType.METHOD, ElementType.TYPE})
@Retention(RetentionPolicy.RUNTIME)
public @interface InTurn {

    Kind value();

    /** Kinds of work that wait for their own kind only. */
    enum Kind {
        /** What anybody may compute, signed in or not. */
        CALCULATOR,
        /** Where an examination stands, its plan, and what is written of it. */
        WEIGHING,
        /** The whole ledger worked out anew: seconds of one processor. */
        LEDGER,
        /** Pages laid out for a printer. */
        PAPER
    }
}
