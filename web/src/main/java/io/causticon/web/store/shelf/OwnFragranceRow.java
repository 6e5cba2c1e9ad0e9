package io.causticon.web.store.shelf;

import io.causticon.core.model.substance.Additive;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** A fragrance of the workshop's own, as its supplier's sheet and earlier batches describe it. */
@Entity
@Table(name = "own_fragrance")
class OwnFragranceRow {

    @Id
    String id = "";

    String name = "";

    /** g per kg of fats. */
    @Nullable
    Double cap;

    String behaviour = "";
    String allergens = "";
    String note = "";
    boolean retired;

    /** Empty if what stands here cannot be a fragrance. */
    Optional<Additive> additive() {
        return cap != null && !ShelfForm.CAP.contains(cap)
                ? Optional.empty()
                : Optional.of(Additive.ownFragrance(id, name, cap, words(behaviour), words(allergens), note));
    }

    private static Set<String> words(String text) {
        return Arrays.stream(text.split(","))
                .map(String::strip)
                .filter(w -> !w.isEmpty())
                .collect(Collectors.toSet());
    }
}
