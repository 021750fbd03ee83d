package lexicor.core.differential;

import java.util.Arrays;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;

/**
 * Rows of numbers in lexicographic order. A product over each row is worked out by going only over what differs from
 * the row before, since rows that are neighbours share their first numbers.
 */
final class SharedPrefixes {

    private final int[][] rows;
    private final int[] order;
    /** How many first numbers a row shares with the one before it, in the order. */
    private final int[] shared;

    /** @param rows all of one length, each different from all others */
    SharedPrefixes(int[][] rows) {
        this.rows = rows;
        order = IntStream.range(0, rows.length)
                .boxed()
                .sorted((one, other) -> Arrays.compare(rows[one], rows[other]))
                .mapToInt(Integer::intValue)
                .toArray();
        shared = new int[order.length];
        for (int i = 1; i < order.length; i++) {
            shared[i] = Arrays.mismatch(rows[order[i - 1]], rows[order[i]]);
        }
    }

    /** Is told of a number that differs from the row before, or follows one that does. */
    interface Step {
        void take(int column, int number);
    }

    /**
     * Goes over all rows.
     *
     * @param step takes each number that has to be worked out, by column from the left
     * @param end takes the place of each row, once its last number was taken
     */
    void walk(Step step, IntConsumer end) {
        for (int i = 0; i < order.length; i++) {
            int[] row = rows[order[i]];
            for (int column = shared[i]; column < row.length; column++) {
                step.take(column, row[column]);
            }
            end.accept(order[i]);
        }
    }
}
