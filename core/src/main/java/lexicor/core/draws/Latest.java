package lexicor.core.draws;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.ToLongFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Keeps the values that were asked for last, up to a size in all. Safe for several threads; two that ask for the same
 * new key at once may both make its value.
 *
 * @param <K> what a value depends on, wholly
 */
public final class Latest<K, V> {

    private final long most;
    private final ToLongFunction<V> size;
    private final Map<K, V> kept = new LinkedHashMap<>(64, 0.75f, true);
    private long total;

    /** Keeps so many values. */
    public Latest(int most) {
        this(most, value -> 1);
    }

    /**
     * Keeps values up to a size in all.
     *
     * @param size of a value, in any unit
     */
    public Latest(long most, ToLongFunction<V> size) {
        this.most = most;
        this.size = size;
    }

    /** The value of a key, made now if it is not kept. */
    public V get(K key, Supplier<? extends V> make) {
        V known = known(key);
        if (known == null) {
            known = make.get();
            keep(key, known);
        }
        return known;
    }

    /**
     * The values of several keys; those that are not kept are made together.
     *
     * @param make takes the places of the keys that are missing, in order, and makes their values
     */
    public List<V> all(List<K> keys, Function<List<Integer>, List<V>> make) {
        Map<Integer, V> known = new HashMap<>();
        List<Integer> missing = new ArrayList<>();
        for (int i = 0; i < keys.size(); i++) {
            V value = known(keys.get(i));
            if (value == null) {
                missing.add(i);
            } else {
                known.put(i, value);
            }
        }
        if (!missing.isEmpty()) {
            List<V> made = make.apply(missing);
            for (int m = 0; m < made.size(); m++) {
                keep(keys.get(missing.get(m)), made.get(m));
                known.put(missing.get(m), made.get(m));
            }
        }
        return IntStream.range(0, keys.size()).mapToObj(known::get).toList();
    }

    private synchronized @Nullable V known(K key) {
        return kept.get(key);
    }

    private synchronized void keep(K key, V value) {
        V before = kept.put(key, value);
        total += size.applyAsLong(value) - (before == null ? 0 : size.applyAsLong(before));
        for (Iterator<V> eldest = kept.values().iterator(); total > most && eldest.hasNext(); ) {
            total -= size.applyAsLong(eldest.next());
            eldest.remove();
        }
    }
}
