package lexicor.core.weighing;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;

/**
 * Keeps what was drawn and weighed last, so that a tap costs only what is new. Both depend on nothing but their key, so
 * keeping them changes no result.
 */
final class DrawStore {

    private static final int MOST_DRAWS = 768;
    private static final int MOST_WEIGHED = 512;

    /**
     * Everything that draws depend on.
     *
     * @param what   name of what is drawn
     * @param belief what it is drawn from
     */
    record Key(String what, Object belief, int draws, double betweenStudies, long seed) {
    }

    private final Map<Key, double[]> draws = latest(MOST_DRAWS);
    private final Map<Object, Weighed> weighed = latest(MOST_WEIGHED);

    private static <K, V> Map<K, V> latest(int most) {
        return Collections.synchronizedMap(new LinkedHashMap<>(64, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
            }
        });
    }

    /** The draws of a key, made now if they are not kept. The array must not be changed. */
    double[] draws(Key key, Function<Key, double[]> make) {
        double[] known = draws.get(key);
        if (known == null) {
            known = make.apply(key);
            draws.put(key, known);
        }
        return known;
    }

    /** What was weighed from a key, weighed now if it is not kept. */
    Weighed weighed(Object key, Supplier<Weighed> weigh) {
        Weighed known = weighed.get(key);
        if (known == null) {
            known = weigh.get();
            weighed.put(key, known);
        }
        return known;
    }
}
