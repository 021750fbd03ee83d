package lexicor.core.draws;

import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;
import java.util.function.ToLongFunction;
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
