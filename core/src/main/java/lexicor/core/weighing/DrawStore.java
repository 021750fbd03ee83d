package lexicor.core.weighing;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import lexicor.core.evidence.Belief;

/**
 * Keeps the draws made last, so that a tap costs only what is new. Draws depend on nothing but their key, so keeping
 * them changes no result.
 */
final class DrawStore {

    private static final int MOST = 1024;

    /** Everything that draws depend on. */
    record Key(Belief belief, boolean positive, WeighingSettings settings, long seed) {
    }

    private final Map<Key, double[]> kept = Collections.synchronizedMap(new LinkedHashMap<>(64, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, double[]> eldest) {
            return size() > MOST;
        }
    });

    /** The draws of a key, made now if they are not kept. The array must not be changed. */
    double[] draws(Key key, Supplier<double[]> make) {
        double[] known = kept.get(key);
        if (known == null) {
            known = make.get();
            kept.put(key, known);
        }
        return known;
    }
}
