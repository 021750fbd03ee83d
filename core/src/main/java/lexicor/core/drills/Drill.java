package lexicor.core.drills;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * An exercise with one question.
 *
 * @param item what it exercises: the same item comes again with other numbers
 * @param seed of its numbers
 * @param ask the question
 * @param given what is known, a line each
 * @param figure id of the test whose figure is shown; empty where none is
 * @param options what is chosen from, or put in order; none where a chance is asked for
 * @param start where the chance stands before; empty where none is asked for
 */
public record Drill(
        Item item,
        long seed,
        String ask,
        List<String> given,
        Optional<String> figure,
        List<Option> options,
        OptionalDouble start) {

    public Drill {
        given = List.copyOf(given);
        options = List.copyOf(options);
    }

    /** What an exercise trains. */
    public enum Kind {
        /** Is this response positive, negative or not interpretable for a condition? */
        READ,
        /** Which of two tests tells one condition from another better? */
        SEPARATE,
        /** Where does one finding leave the chance? */
        MOVE,
        /** Which test is this the figure of, or which figure is this test's? */
        NAME,
        /** In which order are these tests done? */
        ORDER,
        /** Is the level of this set decided? */
        SET
    }

    /**
     * What is exercised.
     *
     * @param about what of the kind, in ids joined by colons
     */
    public record Item(Kind kind, String region, String about) {

        /** The ids in {@code about}. */
        List<String> ids() {
            return List.of(about.split(":"));
        }
    }

    /**
     * An answer that can be given.
     *
     * @param figure whether the test's figure is shown in place of words
     */
    public record Option(String value, String label, boolean figure) {}

    /**
     * An answer.
     *
     * @param values the options chosen, in order where an order is asked for
     * @param chance within 0 and 1; empty where none is asked for
     */
    public record Answer(List<String> values, OptionalDouble chance) {
        public Answer {
            values = List.copyOf(values);
        }
    }

    /**
     * An answer marked.
     *
     * @param should the right options, in order where an order was asked for
     * @param chance the right chance; empty where none was asked for
     * @param because why, in a line or two
     */
    public record Marked(boolean right, List<String> should, OptionalDouble chance, List<String> because) {
        public Marked {
            should = List.copyOf(should);
            because = List.copyOf(because);
        }
    }
}
