package io.causticon.web.places.plan;

import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.PlanField;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.said.notation.DoseNotation;
import io.causticon.core.science.cook.CookPlan;
import io.causticon.core.science.cook.MeltPlan;
import io.causticon.core.science.making.TraceKnowledge;
import io.causticon.core.science.making.WorkingTime;
import io.causticon.core.science.pots.LyePeak;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.WhenWords;
import io.causticon.web.store.account.Maker;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A plan as it hangs at the bench: what to weigh, in the order of the work, with room to write what was weighed.
 *
 * @param first what stands first: fats, or scraps
 * @param fats each of them with its mass
 * @param fatTotal all of them
 * @param alkali each alkali
 * @param liquids each liquid, with when it joins
 * @param additives each additive, with when it goes in
 * @param steps the work in order
 * @param facts superfat, temperatures, forecast
 * @param face drawn layers, null without
 * @param bar portions as one bar, null without
 * @param portions what each portion takes
 * @param jugs what goes into the jug of each part that is made by itself; empty for one batter
 * @param note the maker's note
 */
record BatchSheet(
        String first,
        List<Row> fats,
        String fatTotal,
        List<Row> alkali,
        List<Row> liquids,
        List<Row> additives,
        List<String> steps,
        List<String> facts,
        @Nullable FaceLayout face,
        @Nullable Drawing bar,
        List<Reckoning.PortionWords> portions,
        List<Reckoning.JugWords> jugs,
        String note) {

    /** Something to weigh. */
    record Row(String what, String how, String mass) {}

    static BatchSheet of(BatchPlan plan, TraceKnowledge trace, Maker maker) {
        Formats f = maker.formats();
        Rework rework = plan.rework();
        if (rework != null) {
            return ofRework(plan, rework, maker);
        }
        AlkaliBalance balance = AlkaliBalance.of(plan.formula());
        PortionTable portions = new PortionTable(plan, f);
        return new BatchSheet(
                "Fats",
                plan.formula().fats().stream()
                        .map(p -> new Row(p.fat().name(), p.lot() == null ? "" : "lot " + p.lot(), f.mass(p.mass())))
                        .toList(),
                f.mass(plan.formula().fatMass()),
                alkali(balance, f),
                balance.liquids().stream().map(l -> liquid(l, f)).toList(),
                plan.formula().additives().stream().map(a -> additive(a, maker)).toList(),
                steps(plan, trace, balance, maker),
                facts(plan, balance, maker),
                portions.face(),
                portions.bar(),
                portions.words(),
                portions.jugs(),
                plan.note());
    }

    /** Nothing of lye stands on it: it is in the scraps. */
    private static BatchSheet ofRework(BatchPlan plan, Rework rework, Maker maker) {
        Formats f = maker.formats();
        List<String> steps = new ArrayList<>();
        steps.add("Goggles, gloves, sleeves: the mash is hot, and a scrap may hold lye.");
        MeltPlan.of(rework).steps().forEach(s -> steps.add(f.phrase(s)));
        steps.add("Looks, with the time: lumpy ____  even ____ . A pea of it in ten times its mass of water: pH ____ ,"
                + " or titrate ____ %.");
        return new BatchSheet(
                "Scraps",
                Stream.concat(
                                rework.scraps().stream().map(s -> new Row(s.name(), "", f.mass(s.mass()))),
                                rework.added().stream().map(a -> new Row(a.fat().name(), "added", f.mass(a.mass()))))
                        .toList(),
                f.mass(rework.soap().plus(rework.addedFat())),
                List.of(),
                rework.water().isPositive()
                        ? List.of(new Row("Water", "to melt it", f.mass(rework.water())))
                        : List.of(),
                plan.formula().additives().stream().map(a -> additive(a, maker)).toList(),
                steps,
                List.of(
                        "superfat " + f.percent(plan.formula().superfat(), 1),
                        "water in it " + f.percent(rework.waterShare(), 0)),
                null,
                null,
                List.of(),
                List.of(),
                plan.note());
    }

    private static List<Row> alkali(AlkaliBalance balance, Formats f) {
        List<Row> rows = new ArrayList<>();
        if (balance.naoh().isPositive()) {
            rows.add(new Row("Sodium hydroxide, NaOH", "alone, tared", f.mass(balance.naoh())));
        }
        if (balance.koh().isPositive()) {
            rows.add(new Row("Potassium hydroxide, KOH", "alone, tared", f.mass(balance.koh())));
        }
        return rows;
    }

    private static Row liquid(LiquidPortion l, Formats f) {
        String when = WhenWords.ofLiquid(l.joins());
        return new Row(
                l.liquid().name(),
                (l.state().words().isEmpty() ? "" : l.state().words() + ", ") + (when.isEmpty() ? "for the lye" : when),
                f.mass(l.mass()));
    }

    private static Row additive(AdditivePortion a, Maker maker) {
        String dose = DoseNotation.write(a.dose(), maker.units());
        return new Row(
                a.additive().name(),
                WhenWords.ofAdditive(a.joins()) + (a.dose().isSpooned() ? ", " + dose : ""),
                maker.formats().mass(a.mass()));
    }

    private static List<String> steps(BatchPlan plan, TraceKnowledge trace, AlkaliBalance balance, Maker maker) {
        Formats f = maker.formats();
        LyePeak peak = LyePeak.of(plan, maker.room());
        List<String> steps = new ArrayList<>();
        steps.add("Goggles, gloves, sleeves, air; children and animals out. Running water at hand.");
        steps.add("Weigh each fat alone, tared. Weigh lye and liquid twice.");
        Portioning.LyeRoute route = plan.pouring().portioning().route();
        boolean each = route == Portioning.LyeRoute.OWN
                && !plan.pouring().portioning().portions().isEmpty();
        steps.add((each ? "Each part's own lye into its own liquid, as below" : "Lye into the liquid")
                + ", never the reverse, in portions"
                + (each || plan.lyeVessel() == null
                        ? ""
                        : ", in the " + plan.lyeVessel().name())
                + ". It peaks near " + f.temperature(peak.expected())
                + peak.limit()
                        .map(l -> " and must stay below " + f.temperature(l))
                        .orElse("") + ".");
        steps.add("Melt the fats clear"
                + (plan.fatsVessel() == null
                        ? ""
                        : " in the " + plan.fatsVessel().name()) + ". Both to " + f.temperature(plan.mixAt()) + ".");
        WorkingTime time = WorkingTime.forecast(plan, trace);
        if (route != Portioning.LyeRoute.TOGETHER
                && !plan.pouring().portioning().portions().isEmpty()) {
            steps.add(
                    "Pour each part's fats from the pot into its jug, then its lye, as below. Superfat and lye of each"
                            + " stand beside its name.");
        }
        steps.add("Lye through a strainer into the fats. Light trace in about " + Formats.number(time.minutes(), 0)
                + " min, "
                + Formats.number(time.band().low(), 0) + " to "
                + Formats.number(time.band().high(), 0) + "; it pours until about "
                + Formats.number(time.unpourable(), 0) + " min, "
                + Formats.number(time.unpourableBand().low(), 0) + " to "
                + Formats.number(time.unpourableBand().high(), 0) + ".");
        if (balance.isSplit()) {
            steps.add("The liquids that join later: "
                    + balance.liquids().stream()
                            .filter(l -> !l.dissolvesLye())
                            .map(l -> l.liquid().name() + " " + WhenWords.ofLiquid(l.joins()))
                            .reduce((a, b) -> a + ", " + b)
                            .orElse("")
                    + ".");
        }
        if (plan.process() == Process.HOT) {
            cook(plan, steps, f);
            return steps;
        }
        steps.add("Pour"
                + (plan.mould() == null ? "" : " into the " + plan.mould().name()) + ", tap, "
                + (plan.process() == Process.OVEN
                        ? "into the " + (plan.oven().preheated() ? "hot " : "cold ") + "oven, "
                                + f.temperature(plan.oven().temperature()) + " for "
                                + plan.oven().minutes() + " min, then off with its door shut; "
                        : "")
                + switch (plan.gel()) {
                    case FORCE -> "insulate for gel.";
                    case ALLOW -> "cover.";
                    case PREVENT -> "keep it cold.";
                });
        return steps;
    }

    private static void cook(BatchPlan plan, List<String> steps, Formats f) {
        steps.addAll(CookWords.of(plan, f).stream().limit(2).toList());
        steps.add("Stir every 20 min and whenever it rises. Looks, with the time: sets ____  rises ____  grainy ____ "
                + " waxy ____  clear ____ . Pot weighed ____  ____ .");
        steps.add("Test a pea of clear paste in ten times its mass of water: pH ____ , or titrate ____ %. Alkali left:"
                + " cook on, test again.");
        String after = Stream.concat(
                        plan.formula().fats().stream()
                                .filter(FatPortion::afterCook)
                                .map(p -> f.mass(p.mass()) + " " + p.fat().name()),
                        plan.formula().additives().stream()
                                .filter(a -> a.joins() == AdditionStage.AFTER_COOK)
                                .map(a -> f.mass(a.mass()) + " " + a.additive().name()))
                .collect(Collectors.joining(", "));
        steps.add("Heat off."
                + (after.isEmpty()
                        ? ""
                        : " Into the paste: " + after + "; scent below " + f.temperature(CookPlan.SCENT_BELOW) + "."));
        steps.add("Spoon it"
                + (plan.mould() == null ? "" : " into the " + plan.mould().name())
                + ", press and knock the air out, smooth the top.");
    }

    private static List<String> facts(BatchPlan plan, AlkaliBalance balance, Maker maker) {
        Formats f = maker.formats();
        List<String> facts = new ArrayList<>(List.of(
                "superfat " + f.percent(plan.formula().superfat(), 1),
                "lye " + f.percent(balance.concentration(), 1),
                "water : lye " + Formats.number(balance.waterPerLye(), 2)));
        PlanFields.ALL.stream()
                .filter(field -> field.isToldOnSheet() && field.isFor(plan.settings()))
                .forEach(field -> fact(field, plan, f).ifPresent(facts::add));
        return facts;
    }

    /** What is as usual needs no room on paper. */
    private static <T> Optional<String> fact(PlanField<T> field, BatchPlan plan, Formats f) {
        T value = plan.get(field);
        return field.isUsual(value)
                ? Optional.empty()
                : Optional.of(field.words() + " " + new FieldForm<>(field).told(value, f));
    }
}
