package lexicor.core.lookup;

import java.util.Map;
import java.util.NoSuchElementException;

/** Values of keys that are in a map by how it was made. */
public final class Keyed {

    private Keyed() {}

    /**
     * The value of a key.
     *
     * @throws NoSuchElementException naming the key, where the map has no value for it
     */
    public static <K, V> V at(Map<K, V> map, K key) {
        V value = map.get(key);
        if (value == null) {
            throw new NoSuchElementException("no value for '" + key + "' among " + map.size() + " keys");
        }
        return value;
    }
}
