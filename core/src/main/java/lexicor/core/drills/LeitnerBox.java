package lexicor.core.drills;

import java.time.LocalDate;
import java.util.List;

/**
 * When an item is asked again: one step further apart after each right answer, from the beginning after a wrong one (S.
 * Leitner, So lernt man lernen, Herder 1972). The days between are a working choice.
 *
 * @param box from 0: known for less long the lower it is
 * @param due the first day on which it is asked again
 */
public record LeitnerBox(int box, LocalDate due) {

    /** Days from one answer to the next, by box. */
    private static final List<Integer> DAYS = List.of(0, 1, 2, 4, 8, 16, 32);

    /** @throws IllegalArgumentException for a box that there is not */
    public LeitnerBox {
        if (box < 0 || box >= DAYS.size()) {
            throw new IllegalArgumentException("box is " + box + "; allowed: 0 to " + (DAYS.size() - 1));
        }
    }

    /** Of an item that was never asked. */
    public static LeitnerBox first(LocalDate today) {
        return new LeitnerBox(0, today);
    }

    /** After an answer. */
    public LeitnerBox after(boolean right, LocalDate today) {
        int next = right ? Math.min(box + 1, DAYS.size() - 1) : 0;
        return new LeitnerBox(next, today.plusDays(DAYS.get(next)));
    }

    /** Whether it is to be asked on a day. */
    public boolean due(LocalDate day) {
        return !due.isAfter(day);
    }
}
