package io.causticon.web.places.plan;

import io.causticon.web.places.plan.PlanForm.AdditiveRow;
import io.causticon.web.places.plan.PlanForm.FatRow;
import io.causticon.web.places.plan.PlanForm.LiquidRow;
import java.util.List;
import java.util.Map;

/**
 * A recipe of ours to begin with, told by shares, made for whatever mould there is.
 *
 * @param id of it
 * @param name what it is called when it is kept
 * @param purpose what it is for, in a line
 * @param fats the fats with their shares, per cent
 * @param liquids the liquids with their shares, per cent
 * @param additives with their doses
 * @param changes what else differs from a new plan, by field
 */
record StartingRecipe(
        String id,
        String name,
        String purpose,
        List<FatRow> fats,
        List<LiquidRow> liquids,
        List<AdditiveRow> additives,
        Map<String, String> changes) {

    private static final List<LiquidRow> WATER = List.of(new LiquidRow("distilled-water", "100", "LIQUID", "LYE"));

    /**
     * One for each of four purposes. Shares are judgements: common fats, none of them dear, each within its usual
     * limits.
     */
    static final List<StartingRecipe> ALL = List.of(
            new StartingRecipe(
                    "plain",
                    "Plain bar",
                    "A hard bar with good lather that forgives much: the one to begin with. Ready after some five"
                            + " weeks.",
                    fats("olive-oil", "45", "lard", "30", "coconut-oil-76", "20", "castor-oil", "5"),
                    WATER,
                    List.of(),
                    Map.of("superfat", "5", "liquidValue", "33")),
            new StartingRecipe(
                    "olive",
                    "All olive",
                    "One oil, mild, with a low and creamy lather. It traces slowly, and it is better after a year than"
                            + " after a month.",
                    fats("olive-oil", "100"),
                    WATER,
                    List.of(),
                    Map.of("superfat", "5", "liquidValue", "40")),
            new StartingRecipe(
                    "milk",
                    "Milk bar",
                    "Goat milk for half of the liquid, frozen, so that the lye does not scorch it. It heats up: no"
                            + " towels round it.",
                    fats("olive-oil", "50", "shea-butter", "15", "coconut-oil-76", "25", "castor-oil", "10"),
                    List.of(
                            new LiquidRow("distilled-water", "50", "LIQUID", "LYE"),
                            new LiquidRow("goat-milk-whole", "50", "FROZEN", "LYE")),
                    List.of(),
                    Map.of("superfat", "6", "liquidValue", "33", "gel", "PREVENT", "mixAt", "35")),
            new StartingRecipe(
                    "brine",
                    "Brine bar",
                    "Salt water makes it very hard and smooth; coconut still lathers in it. Cut it warm, within hours,"
                            + " or it crumbles.",
                    fats("coconut-oil-76", "60", "olive-oil", "30", "castor-oil", "10"),
                    List.of(new LiquidRow("brine-25", "100", "LIQUID", "LYE")),
                    List.of(),
                    Map.of("superfat", "10", "liquidValue", "30")));

    private static List<FatRow> fats(String... idsAndShares) {
        List<FatRow> rows = new java.util.ArrayList<>();
        for (int i = 0; i < idsAndShares.length; i += 2) {
            rows.add(new FatRow(idsAndShares[i], idsAndShares[i + 1], false));
        }
        return rows;
    }

    /** As it is typed into a form of this workshop, to fill its mould. */
    PlanForm on(PlanForm fresh) {
        PlanForm form = fresh.with("name", name).with("note", purpose).with("sizedBy", "MOULD");
        for (Map.Entry<String, String> change : changes.entrySet()) {
            form = form.with(change.getKey(), change.getValue());
        }
        return new PlanForm(form.one(), fats, liquids, additives, List.of());
    }
}
