package io.causticon.core.model.substance;

import io.causticon.core.quantity.Interval;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVRecord;

/** The table of fats. */
final class FatRows {

    private FatRows() {}

    static List<Fat> read() {
        return Rows.read("fats.csv", FatRows::fat);
    }

    private static Fat fat(CSVRecord row) {
        return new Fat(
                row.get("id"),
                row.get("common_name"),
                FatKind.valueOf(kindName(row.get("kind"))),
                Rows.number(row, "sap_koh_typical"),
                Interval.between(Rows.number(row, "sap_koh_low"), Rows.number(row, "sap_koh_high")),
                Rows.percent(row, "sv_spread95_pct"),
                Rows.number(row, "iodine_typical"),
                Interval.between(Rows.number(row, "iodine_low"), Rows.number(row, "iodine_high")),
                Rows.percent(row, "unsaponifiable_pct_typical"),
                Rows.range(row, "melt_point_C_low", "melt_point_C_high"),
                acids(row),
                row.get("source_note"),
                Rows.confidence(row),
                Rows.yes(row, "animal_derived"),
                Rows.yes(row, "palm_derived"),
                Rows.words(row, "allergen"));
    }

    private static String kindName(String written) {
        return written.toUpperCase(Locale.ROOT);
    }

    private static List<AcidShare> acids(CSVRecord row) {
        return Arrays.stream(FattyAcid.values())
                .filter(acid -> Rows.number(row, acid.column()) > 0)
                .map(acid -> acid(row, acid))
                .toList();
    }

    private static AcidShare acid(CSVRecord row, FattyAcid acid) {
        return new AcidShare(acid, Rows.percent(row, acid.column()), molarMass(row, acid), doubleBonds(row, acid));
    }

    private static double molarMass(CSVRecord row, FattyAcid acid) {
        return switch (acid) {
            case LONG_SATURATED_LUMP -> Rows.number(row, "c20sat_mean_mw", acid.molarMass());
            case LONG_UNSATURATED_LUMP -> Rows.number(row, "c20unsat_mean_mw", acid.molarMass());
            case OTHER -> Rows.number(row, "other_mean_mw", acid.molarMass());
            default -> acid.molarMass();
        };
    }

    private static double doubleBonds(CSVRecord row, FattyAcid acid) {
        return switch (acid) {
            case LONG_UNSATURATED_LUMP -> Rows.number(row, "c20unsat_mean_db", acid.doubleBonds());
            case OTHER -> Rows.number(row, "other_mean_db", acid.doubleBonds());
            default -> acid.doubleBonds();
        };
    }
}
