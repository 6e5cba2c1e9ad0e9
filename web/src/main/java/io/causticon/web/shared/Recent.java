package io.causticon.web.shared;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Function;

/**
 * Keeps what was worked out most recently, for values that follow from their key alone. Safe for many threads; two that ask for the
 * same new key at once may both work it out.
 *
 * @param <K> what it follows from
 * @param <V> what was worked out; immutable
 */
public final class Recent<K, V> {

    private final Map<K, V> known;

    /** @param most how many values are kept */
    public Recent(int most) {
        this.known = new LinkedHashMap<>(64, 0.75f, true) {
            private static final long serialVersionUID = 1L;

            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
            }
        };
    }

    public V get(K key, Function<K, V> work) {
        V found;
        synchronized (known) {
            found = known.get(key);
        }
        if (found != null) {
            return found;
        }
        V made = work.apply(key);
        synchronized (known) {
            known.put(key, made);
        }
        return made;
    }
}
