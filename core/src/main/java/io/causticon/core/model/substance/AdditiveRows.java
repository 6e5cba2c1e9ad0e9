package io.causticon.core.model.substance;

import java.util.List;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** The table of additives. */
final class AdditiveRows {

    private AdditiveRows() {}

    static List<Additive> read() {
        return Rows.read("additives.csv", AdditiveRows::additive);
    }

    private static Additive additive(CSVRecord row) {
        return new Additive(
                row.get("id"),
                row.get("name"),
                row.get("kind"),
                Rows.range(row, "usual_low_g_per_kg_oils", "usual_high"),
                cap(row),
                spoon(row),
                Rows.words(row, "effects"),
                row.get("best_added_at"),
                Rows.acid(row, "acid"),
                Rows.percent(row, "acid_pct"),
                Rows.percent(row, "sugar_pct"),
                Rows.words(row, "allergen"),
                Rows.words(row, "scent_allergens"),
                row.get("note"),
                Rows.confidence(row));
    }

    private static @Nullable Double cap(CSVRecord row) {
        return row.get("hard_cap_g_per_kg").isBlank() ? null : Rows.number(row, "hard_cap_g_per_kg");
    }

    private static @Nullable Double spoon(CSVRecord row) {
        return row.get("grams_per_tsp").isBlank() ? null : Rows.number(row, "grams_per_tsp");
    }
}
