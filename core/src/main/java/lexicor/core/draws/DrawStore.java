package lexicor.core.draws;

import java.util.List;
import java.util.function.Function;

/** Keeps what was drawn last. Draws depend on nothing but their key, so keeping them changes no result. */
public final class DrawStore {

    private static final int MOST = 4096;

    /**
     * Everything that draws depend on.
     *
     * @param what name of what is drawn
     * @param belief what it is drawn from
     */
    record Key(String what, Object belief, int draws, double betweenStudies, long seed) {}

    /** Bytes of what was worked out of draws: at most a sixteenth of the memory. */
    private static final long MOST_BYTES = Runtime.getRuntime().maxMemory() / 16;

    private final Latest<Key, double[]> draws = new Latest<>(MOST);
    private final Latest<Key, float[][]> workedOut =
            new Latest<>(MOST_BYTES, rows -> (long) rows.length * rows[0].length * Float.BYTES);

    /** The draws of a key, made now if they are not kept. The array must not be changed. */
    double[] draws(Key key, Function<Key, double[]> make) {
        return draws.get(key, () -> make.apply(key));
    }

    /**
     * What was worked out of draws, by key; what is not kept is made now, together. The arrays must not be changed.
     *
     * @param make takes the places of the keys that are missing, in order
     */
    List<float[][]> workedOut(List<Key> keys, Function<List<Integer>, List<float[][]>> make) {
        return workedOut.all(keys, make);
    }
}
