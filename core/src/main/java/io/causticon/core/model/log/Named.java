package io.causticon.core.model.log;

import io.causticon.core.model.substance.Catalogue;
import org.jspecify.annotations.Nullable;

/**
 * Something that is known by an id, with the name that it had when the line was written: renamed later, it is still the
 * same thing and the line still says what the maker said.
 *
 * @param id of an additive, a liquid, a portion, a vessel or a condition; null when nothing known answered to the name
 * @param name as it was said
 */
public record Named(@Nullable String id, String name) {

    /** Known by its name alone. */
    public static Named called(String name) {
        return new Named(null, name);
    }

    /** Whether it is the substance of this id; where no id was kept, whether that substance answers to the name. */
    public boolean isSubstance(String otherId, String otherName) {
        return id != null ? id.equals(otherId) : Catalogue.answersTo(otherId, otherName, name);
    }

    /** Whether it goes by this name, whatever the capitals and the space around it. */
    public boolean isCalled(String otherName) {
        return name.trim().equalsIgnoreCase(otherName.trim());
    }
}
