package io.causticon.web.store.shelf;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What is known of a fragrance.
 *
 * @param cap the supplier's limit for wash-off products, g per kg of fats; null when it is not known
 * @param behaviour effects by their names in the tables
 * @param allergens fragrance allergens that labels name
 */
public record FragranceSheet(
        String name, @Nullable Double cap, List<String> behaviour, List<String> allergens, String note) {

    /** Between allergens as they are kept. */
    static final String SEPARATOR = ", ";
}
