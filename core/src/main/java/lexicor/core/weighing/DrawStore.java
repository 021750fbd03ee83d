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

    private static final int MOST_DRAWS = 1536;
    private static final int MOST_JOINED = 48;
    private static final int MOST_MODELS = 256;

    /**
     * Everything that draws depend on.
     *
     * @param what name of what is drawn
     * @param belief what it is drawn from
     */
    record Key(String what, Object belief, int draws, double betweenStudies, long seed) {}

    private final Map<Key, double[]> draws = latest(MOST_DRAWS);
    private final Map<Object, JointModel> models = latest(MOST_MODELS);
    private final Map<Object, VisitWeighing.Joined> joined = latest(MOST_JOINED);

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

    /** What was weighed from a key, weighed now if it is not kept. */
    VisitWeighing.Joined joined(Object key, Supplier<VisitWeighing.Joined> weigh) {
        return kept(joined, key, weigh);
    }

    /** The points of a weighing, worked out now if they are not kept. */
    JointModel model(Object key, Supplier<JointModel> make) {
        return kept(models, key, make);
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
