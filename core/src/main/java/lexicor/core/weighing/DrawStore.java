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
    private static final int MOST_PROFILES = 192;
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
    private final Map<Key, double[]> profiles = latest(MOST_PROFILES);
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
        return kept(draws, key, () -> make.apply(key));
    }

    /** What was made of the draws of a bundle, made now if it is not kept. The array must not be changed. */
    double[] profiles(Key key, Supplier<double[]> make) {
        return kept(profiles, key, make);
    }

    /** What was weighed from a key, weighed now if it is not kept. */
    Weighed weighed(Object key, Supplier<Weighed> weigh) {
        return kept(weighed, key, weigh);
    }

    private static <K, V> V kept(Map<K, V> map, K key, Supplier<V> make) {
        V known = map.get(key);
        if (known == null) {
            known = make.get();
            map.put(key, known);
        }
        return known;
    }
}
