package io.causticon.core.model.log;

import io.causticon.core.quantity.Mass;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Jugs and bowls whose own mass is known, also those put away: old batches were weighed in them.
 *
 * @param masses by name in small letters
 * @param names by id, in small letters; a vessel that was renamed is still found
 */
public record KnownVessels(Map<String, Mass> masses, Map<String, String> names) {

    public static final KnownVessels NONE = new KnownVessels(Map.of(), Map.of());

    public KnownVessels {
        masses = Map.copyOf(masses);
        names = Map.copyOf(names);
    }

    public Optional<Mass> mass(@Nullable Named vessel) {
        if (vessel == null) {
            return Optional.empty();
        }
        String said = vessel.name().trim().toLowerCase(Locale.ROOT);
        String now = vessel.id() == null ? said : names.getOrDefault(vessel.id(), said);
        return Optional.ofNullable(masses.get(now)).or(() -> Optional.ofNullable(masses.get(said)));
    }

    /** The vessel that is meant by a name, with its id if there is one of this name. */
    public Named called(String name) {
        String said = name.trim().toLowerCase(Locale.ROOT);
        return new Named(
                names.entrySet().stream()
                        .filter(e -> e.getValue().equals(said))
                        .map(Map.Entry::getKey)
                        .findFirst()
                        .orElse(null),
                name.trim());
    }
}
