package io.causticon.core.model.substance;

import java.util.List;
import org.apache.commons.csv.CSVRecord;

/** The table of liquids. */
final class LiquidRows {

    private LiquidRows() {}

    static List<Liquid> read() {
        return Rows.read("liquids.csv", LiquidRows::liquid);
    }

    private static Liquid liquid(CSVRecord row) {
        String fatAs = row.get("fat_as");
        return new Liquid(
                row.get("id"),
                row.get("name"),
                Rows.percent(row, "water_pct"),
                Rows.percent(row, "sugar_pct"),
                Rows.percent(row, "protein_pct"),
                Rows.percent(row, "fat_pct"),
                fatAs.isBlank() ? null : fatAs,
                Rows.percent(row, "acid_pct"),
                Rows.acid(row, "acid"),
                Rows.percent(row, "salt_pct"),
                Rows.percent(row, "alcohol_pct"),
                Rows.yes(row, "animal_derived"),
                Rows.words(row, "allergen"),
                row.get("note"),
                row.get("source_note"),
                Rows.confidence(row));
    }
}
