package io.causticon.web.shared;

import java.util.Arrays;
import java.util.Optional;

/** Reads single values of rows, whatever stands in them. */
public final class Kept {

    private Kept() {}

    /** The choice of this name; empty if there is none, as a newer program or a damaged file may have left it. */
    public static <E extends Enum<E>> Optional<E> choice(Class<E> type, String name) {
        return Arrays.stream(type.getEnumConstants())
                .filter(c -> c.name().equals(name))
                .findFirst();
    }
}
