package io.causticon.web.places.plan;

import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.note.NotedLine;
import io.causticon.core.model.said.note.NotedLine.What;
import io.causticon.core.model.said.note.RecipeNote;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.web.places.plan.PlanForm.AdditiveRow;
import io.causticon.web.places.plan.PlanForm.FatRow;
import io.causticon.web.places.plan.PlanForm.LiquidRow;
import io.causticon.web.shared.Formats;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** Types a note into the composer's form: what the note says leads, what it does not say is as in a new recipe. */
final class NotedRecipe {

    private static final int FATS_IN_A_NAME = 3;

    private NotedRecipe() {}

    /**
     * @param fresh a form of this workshop
     * @param name of the recipe; empty for one made of its fats
     */
    static PlanForm form(RecipeNote note, PlanForm fresh, String name, Formats formats) {
        PlanForm form = fresh.with("name", name.isBlank() ? nameOf(note) : name.strip());
        Optional<Mass> sodium = note.together(What.SODIUM_HYDROXIDE);
        Optional<Mass> potassium = note.together(What.POTASSIUM_HYDROXIDE);
        if (sodium.isPresent() || potassium.isPresent()) {
            Mass together = sodium.orElse(Mass.ZERO).plus(potassium.orElse(Mass.ZERO));
            form = form.with("lyeMass", written(together, formats)).with("naohShare", pureShare(sodium, potassium));
        } else if (note.percent(What.SUPERFAT).isPresent()) {
            form = form.with(
                    "superfat", NumberNotation.write(note.percent(What.SUPERFAT).getAsDouble(), 2));
        }
        if (note.percent(What.CONCENTRATION).isPresent()) {
            form = form.with(
                    "liquidValue",
                    NumberNotation.write(note.percent(What.CONCENTRATION).getAsDouble(), 2));
        }
        boolean byShare = note.of(What.FAT).stream().anyMatch(l -> l.percent().isPresent());
        if (byShare) {
            form = form.with("sizedBy", "TOTAL")
                    .with(
                            "total",
                            note.together(What.TOTAL)
                                    .map(m -> written(m, formats))
                                    .orElse(""));
        }
        List<FatRow> fats = note.of(What.FAT).stream()
                .map(l -> new FatRow(l.id(), amount(l, formats), false))
                .toList();
        return new PlanForm(form.one(), fats, liquids(note, form, formats), additives(note, formats), List.of());
    }

    private static List<LiquidRow> liquids(RecipeNote note, PlanForm fresh, Formats formats) {
        List<LiquidRow> rows = new ArrayList<>();
        for (NotedLine line : note.of(What.LIQUID)) {
            String amount = line.mass()
                    .map(m -> written(m, formats) + " " + formats.massUnit())
                    .orElseGet(() -> amount(line, formats));
            rows.add(new LiquidRow(line.id(), amount, "LIQUID", "LYE"));
        }
        return rows.isEmpty() ? fresh.liquids() : rows;
    }

    private static List<AdditiveRow> additives(RecipeNote note, Formats formats) {
        return note.of(What.ADDITIVE).stream()
                .map(l -> new AdditiveRow(
                        l.id(),
                        l.mass()
                                .map(m -> written(m, formats) + " " + formats.massUnit())
                                .orElseGet(() -> amount(l, formats) + " %"),
                        ""))
                .toList();
    }

    private static String amount(NotedLine line, Formats formats) {
        return line.mass()
                .map(m -> written(m, formats))
                .orElseGet(() -> NumberNotation.write(line.percent().orElse(0), 3));
    }

    private static String written(Mass mass, Formats formats) {
        return MassNotation.write(mass, formats.units());
    }

    /** Share of sodium hydroxide in the pure alkali, with the purities that are usual, per cent. */
    private static String pureShare(Optional<Mass> sodium, Optional<Mass> potassium) {
        double naoh =
                sodium.map(m -> AlkaliChoice.USUAL_NAOH_PURITY.of(m).grams()).orElse(0.0);
        double koh =
                potassium.map(m -> AlkaliChoice.USUAL_KOH_PURITY.of(m).grams()).orElse(0.0);
        return naoh + koh > 0 ? NumberNotation.write(100 * naoh / (naoh + koh), 4) : "100";
    }

    private static String nameOf(RecipeNote note) {
        String fats = note.of(What.FAT).stream()
                .limit(FATS_IN_A_NAME)
                .map(l -> Catalogue.standard()
                        .findFat(l.id())
                        .map(f -> f.shortName())
                        .orElse(l.name()))
                .distinct()
                .collect(Collectors.joining(", "));
        return fats.isEmpty() ? "From a note" : fats;
    }
}
