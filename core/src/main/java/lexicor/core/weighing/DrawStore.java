package lexicor.core.weighing;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/**
 * Keeps the draws made last, so that a tap costs only what is new. Draws depend on nothing but their key, so keeping
 * them changes no result.
 */
final class DrawStore {

    private static final int MOST = 768;

    /**
     * Everything that draws depend on.
     *
     * @param what   name of what is drawn
     * @param belief what it is drawn from
     */
    record Key(String what, Object belief, int draws, double betweenStudies, long seed) {
    }

    private final Map<Key, double[]> kept = Collections.synchronizedMap(new LinkedHashMap<>(64, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, double[]> eldest) {
            return size() > MOST;
        }
    });

    /** The draws of a key, made now if they are not kept. The array must not be changed. */
    double[] draws(Key key, Function<Key, double[]> make) {
        double[] known = kept.get(key);
        if (known == null) {
            known = make.apply(key);
            kept.put(key, known);
        }
        return known;
    }
}
