package io.causticon.web.places.plan;

import io.causticon.core.model.mould.Cutting;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.LiquidTarget.Way;
import io.causticon.core.model.plan.Pouring.SizedBy;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.cure.Readiness;
import io.causticon.core.science.forecast.BarCharacter;
import io.causticon.core.science.forecast.LoafForecast;
import io.causticon.core.science.formula.BatterAmount;
import io.causticon.core.science.formula.Composition;
import io.causticon.core.science.formula.Cost;
import io.causticon.core.science.formula.Sizing;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.making.WorkingTime;
import io.causticon.core.science.pots.LyePeak;
import io.causticon.core.workshop.preflight.PlanRisk;
import io.causticon.core.workshop.preflight.PreFlight;
import io.causticon.core.workshop.preflight.WorkshopFacts;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.account.Maker;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Works out everything that follows from a plan, and words it. */
final class Reckoner {

    private static final Map<AdditionStage, String> WHEN = Map.of(
            AdditionStage.LYE, "",
            AdditionStage.COOLED_LYE, "into cooled lye",
            AdditionStage.FATS, "into the fats",
            AdditionStage.EMULSION, "at emulsion",
            AdditionStage.TRACE, "at trace",
            AdditionStage.AFTER_COOK, "after the cook",
            AdditionStage.LAST, "last second, by hand",
            AdditionStage.TOP, "on top");

    private final BatchPlan plan;
    private final Maker maker;
    private final Formats formats;
    private final Formula formula;
    private final AlkaliBalance balance;
    private final BatterAmount batter;
    private final WorkshopFacts workshop;
    private final Map<String, BigDecimal> prices;

    Reckoner(BatchPlan plan, Maker maker, WorkshopFacts workshop, Map<String, BigDecimal> prices) {
        this.plan = plan;
        this.maker = maker;
        this.formats = maker.formats();
        this.formula = plan.formula();
        this.balance = AlkaliBalance.of(formula);
        this.batter = BatterAmount.of(formula);
        this.workshop = workshop;
        this.prices = prices;
    }

    /** What will bite, for a change that was tapped. */
    List<PlanRisk> bites() {
        return PreFlight.of(
                plan,
                LyePeak.of(plan, maker.room()),
                LoafForecast.planned(plan, maker.room(), workshop.loaves()),
                workshop);
    }

    Reckoning reckon(PlanForm form) {
        Estimate superfat =
                Superfat.distribution(Weights.planned(formula).shownOn(plan.scales()), formula.alkali(), plan.scales());
        LyePeak peak = LyePeak.of(plan, maker.room());
        Optional<LoafEnsemble> loaf = LoafForecast.planned(plan, maker.room(), workshop.loaves());
        Composition composition = Composition.of(formula.fats());
        double excess = superfat.probabilityBelow(0);
        PortionTable portions = new PortionTable(plan, formats);
        return new Reckoning(
                alkalis(),
                steps(),
                figures(),
                liquids(),
                firstStep(),
                besideFats(form),
                doses(form),
                formats.mass(formula.fatMass()),
                Formats.percent(superfat),
                Formats.probability(excess),
                excess >= Superfat.NOTABLE_EXCESS.fraction(),
                PlanDrawings.density(superfat),
                PlanDrawings.spectrum(composition),
                words(composition),
                BarCharacter.of(plan, workshop.trace()).stream()
                        .map(t -> new Reckoning.TraitWords(
                                t.name(),
                                formats.phrase(t.verdict()),
                                formats.phrase(t.reason()),
                                formats.phrase(t.change())))
                        .toList(),
                PlanDrawings.timeline(plan, WorkingTime.forecast(plan, workshop.trace()), peak, loaf, formats),
                loaf.isPresent(),
                CookWords.of(plan, formats),
                mould(),
                mouldWords(),
                portions.face(),
                portions.bar(),
                portions.words(),
                portions.sum(),
                portions.jugs(),
                formula.fixed().lye() == null ? "" : "follows, " + formats.percent(formula.superfat(), 1),
                formula.fixed().liquid() == null ? "" : "follows from the masses",
                allergens(),
                cost(),
                PreFlight.of(plan, peak, loaf, workshop).stream()
                        .map(this::words)
                        .toList());
    }

    private Reckoning.BiteWords words(PlanRisk bite) {
        return new Reckoning.BiteWords(
                formats.phrase(bite.title()),
                formats.phrase(bite.reason()),
                formats.phrase(bite.advice()),
                bite.changes().stream()
                        .map(c -> new Reckoning.Tap(c.id(), formats.phrase(c.label())))
                        .toList(),
                bite.dangerous());
    }

    private List<Reckoning.Amount> alkalis() {
        List<Reckoning.Amount> alkalis = new ArrayList<>();
        if (balance.naoh().isPositive()) {
            alkalis.add(new Reckoning.Amount(formats.massNumber(balance.naoh()), formats.massUnit(), "NaOH"));
        }
        if (balance.koh().isPositive()) {
            alkalis.add(new Reckoning.Amount(formats.massNumber(balance.koh()), formats.massUnit(), "KOH"));
        }
        return alkalis;
    }

    private List<Reckoning.Step> steps() {
        List<Reckoning.Step> steps = new ArrayList<>();
        steps.add(new Reckoning.Step("for the fats", formats.massNumber(balance.forFats())));
        boolean excess = formula.superfat().fraction() < 0;
        steps.add(new Reckoning.Step(
                (excess ? "in excess, " : "left out, ") + formats.percent(formula.superfat(), 1),
                (excess ? "+" : "") + formats.massNumber(balance.leftOut().times(-1))));
        if (balance.forAcid().isPositive()) {
            steps.add(new Reckoning.Step("for acids", "+" + formats.massNumber(balance.forAcid())));
        }
        if (balance.fatInLiquids().isPositive()) {
            steps.add(
                    new Reckoning.Step("fat in the liquid, counted above", formats.massNumber(balance.fatInLiquids())));
        }
        if (balance.forPurity().isPositive()) {
            steps.add(new Reckoning.Step(purityWords(), "+" + formats.massNumber(balance.forPurity())));
        }
        return steps;
    }

    private String purityWords() {
        if (!balance.koh().isPositive()) {
            return "purity " + formats.percent(formula.alkali().naohPurity(), 1);
        }
        if (!balance.naoh().isPositive()) {
            return "purity " + formats.percent(formula.alkali().kohPurity(), 1);
        }
        return "purity " + formats.percent(formula.alkali().naohPurity(), 1) + " and "
                + formats.percent(formula.alkali().kohPurity(), 1);
    }

    private List<Reckoning.Figure> figures() {
        // What was given as a mass leads, and all three follow.
        Way typed = formula.fixed().liquid() == null ? formula.liquidTarget().way() : null;
        return List.of(
                new Reckoning.Figure(
                        Way.LYE_CONCENTRATION.name(),
                        "lye concentration",
                        formats.percent(balance.concentration(), 1),
                        NumberNotation.write(balance.concentration().inPercent(), 2),
                        typed == Way.LYE_CONCENTRATION),
                new Reckoning.Figure(
                        Way.WATER_TO_LYE.name(),
                        "water : lye",
                        Formats.number(balance.waterPerLye(), 2),
                        NumberNotation.write(balance.waterPerLye(), 3),
                        typed == Way.WATER_TO_LYE),
                new Reckoning.Figure(
                        Way.WATER_OF_FATS.name(),
                        "water of fats",
                        formats.percent(balance.waterOfFats(), 1),
                        NumberNotation.write(balance.waterOfFats().inPercent(), 2),
                        typed == Way.WATER_OF_FATS));
    }

    private List<Reckoning.Amount> liquids() {
        return balance.liquids().stream()
                .map(l -> new Reckoning.Amount(
                        formats.massNumber(l.mass()), formats.massUnit(), l.words() + when(l.joins())))
                .toList();
    }

    private static String when(AdditionStage joins) {
        String words = WHEN.getOrDefault(joins, "");
        return words.isEmpty() ? "" : ", " + words;
    }

    private String firstStep() {
        return balance.isSplit()
                ? "Strong lye first: " + formats.mass(balance.lye()) + " in " + formats.mass(balance.firstWater())
                        + " of water is " + formats.percent(balance.firstConcentration(), 1) + "; the rest joins later."
                : "";
    }

    /** Shares beside masses, masses beside shares, in the order of the form's rows. */
    private List<String> besideFats(PlanForm form) {
        Map<String, FatPortion> byId = new HashMap<>();
        formula.fats().forEach(f -> byId.put(f.fat().id(), f));
        boolean byShare = plan.pouring().sizedBy() != SizedBy.WEIGHTS;
        return form.fats().stream()
                .map(row -> byId.get(row.fatId()))
                .map(p -> p == null
                        ? ""
                        : byShare
                                ? formats.mass(p.mass())
                                : Formats.number(100 * p.mass().dividedBy(formula.fatMass()), 1) + " %")
                .toList();
    }

    private List<String> doses(PlanForm form) {
        Map<String, AdditivePortion> byId = new HashMap<>();
        formula.additives().forEach(a -> byId.put(a.additive().id(), a));
        return form.additives().stream()
                .map(row -> byId.get(row.id()))
                .map(p -> p == null
                        ? ""
                        : formats.mass(p.mass()) + " \u00b7 "
                                + Formats.number(p.dosePerKilogram(formula.fatMass()) / 10, 1) + " %")
                .toList();
    }

    private static String words(Composition c) {
        int saturated = (int) Math.round(c.saturated().inPercent());
        return "saturated " + saturated + " : " + (100 - saturated) + " unsaturated \u00b7 iodine value "
                + Formats.number(c.iodineValue(), 0) + " \u00b7 saponification value "
                + Formats.number(c.saponificationValue(), 0) + " \u00b7 short saturated "
                + Formats.number(100 * c.of(Family.SHORT_SATURATED).fraction(), 0) + " %";
    }

    private @Nullable Drawing mould() {
        Mould mould = plan.mould();
        return mould == null
                ? null
                : PlanDrawings.mould(
                        mould,
                        batter,
                        Cutting.of(mould, inMould(mould), plan.pouring().thickness()));
    }

    private Mass inMould(Mould mould) {
        Mass capacity = mould.capacity(batter.density());
        Mass made =
                Mass.grams(batter.mass().grams() / (1 + plan.pouring().overage().fraction()));
        return made.isMoreThan(capacity) ? capacity : made;
    }

    private List<String> mouldWords() {
        Mould mould = plan.mould();
        List<String> words = new ArrayList<>();
        words.add(formats.mass(batter.mass()) + " of batter, " + Formats.number(batter.density(), 2) + " g/ml");
        if (mould == null) {
            words.add("No mould chosen.");
            return words;
        }
        double fill = mould.fillHeight(inMould(mould), batter.density());
        words.add("Stands " + Formats.number(fill, 0) + " of " + Formats.number(mould.height(), 0) + " mm, "
                + Formats.number(100 * batter.mass().dividedBy(mould.capacity(batter.density())), 0)
                + " % of the mould");
        Cutting cutting = Cutting.of(mould, inMould(mould), plan.pouring().thickness());
        words.add(cutting.bars() + " bars"
                + (mould.kind().isCut() ? " of " + Formats.number(cutting.thickness(), 0) + " mm" : "") + ", "
                + formats.mass(cutting.wet()) + " wet, about " + formats.mass(cured(cutting.wet())) + " cured");
        Mass over = Sizing.leftOver(batter, mould, plan.pouring());
        int spare = Sizing.spareCavities(batter, mould, plan.pouring());
        if (spare > 0) {
            words.add(formats.mass(over) + " left over fills " + spare
                    + (spare == 1 ? " spare cavity" : " spare cavities"));
        }
        return words;
    }

    /** On the day on which its cure would call it ready, as the page of a cure has it. */
    private Mass cured(Mass wet) {
        return wet.times(Readiness.expected(plan).readyMassShare());
    }

    private List<String> allergens() {
        List<String> lines = new ArrayList<>();
        if (!plan.allergens().isEmpty()) {
            lines.add("Food allergens: " + String.join(", ", plan.allergens()));
        }
        if (!plan.scentAllergens().isEmpty()) {
            lines.add("Fragrance allergens, as far as known: " + String.join(", ", plan.scentAllergens()));
        }
        return lines;
    }

    private List<String> cost() {
        if (prices.isEmpty()) {
            return List.of();
        }
        Cost cost = Cost.of(formula, prices);
        List<String> lines = new ArrayList<>();
        Mould mould = plan.mould();
        String bar = mould == null
                ? ""
                : ", " + maker.currency() + " "
                        + cost.perBar(
                                Cutting.of(mould, inMould(mould), plan.pouring().thickness())
                                        .bars()) + " a bar";
        lines.add(maker.currency() + " " + cost.total() + " of ingredients" + bar);
        if (!cost.unpriced().isEmpty()) {
            lines.add("No price: " + String.join(", ", cost.unpriced()));
        }
        return lines;
    }
}
