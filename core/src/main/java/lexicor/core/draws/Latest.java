package lexicor.core.draws;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Supplier;

/**
 * Keeps the values that were asked for last, up to a number. Safe for several threads; two that ask for the same new
 * key at once may both make its value.
 *
 * @param <K> what a value depends on, wholly
 */
public final class Latest<K, V> {

    private final Map<K, V> kept;

    public Latest(int most) {
        this.kept = Collections.synchronizedMap(new LinkedHashMap<>(64, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
            }
        });
    }

    /** The value of a key, made now if it is not kept. */
    public V get(K key, Supplier<? extends V> make) {
        V known = kept.get(key);
        if (known == null) {
            known = make.get();
            kept.put(key, known);
        }
        return known;
    }
}
