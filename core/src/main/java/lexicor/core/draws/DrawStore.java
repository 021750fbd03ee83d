package lexicor.core.draws;

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

    private final Latest<Key, double[]> draws = new Latest<>(MOST);

    /** The draws of a key, made now if they are not kept. The array must not be changed. */
    double[] draws(Key key, Function<Key, double[]> make) {
        return draws.get(key, () -> make.apply(key));
    }
}
