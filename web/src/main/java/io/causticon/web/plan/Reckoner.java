package io.causticon.web.plan;

import io.causticon.core.forecast.LoafForecast;
import io.causticon.core.forecast.LyePeak;
import io.causticon.core.forecast.PreFlight;
import io.causticon.core.formula.AlkaliBalance;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.Composition;
import io.causticon.core.formula.FatPortion;
import io.causticon.core.formula.Formula;
import io.causticon.core.formula.LiquidTarget.Way;
import io.causticon.core.formula.Mould;
import io.causticon.core.formula.MouldKind;
import io.causticon.core.formula.Superfat;
import io.causticon.core.formula.Weights;
import io.causticon.core.heat.LoafEnsemble;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.substance.FattyAcid.Family;
import io.causticon.web.account.Maker;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Works out everything that follows from a plan, and words it. */
final class Reckoner {

    private static final int DRAWS = 10;
    private static final double ALARMING = 0.005;
    private static final double BAR_THICKNESS = 25;

    private final BatchPlan plan;
    private final Maker maker;
    private final Formats formats;
    private final Formula formula;
    private final AlkaliBalance balance;

    Reckoner(BatchPlan plan, Maker maker) {
        this.plan = plan;
        this.maker = maker;
        this.formats = maker.formats();
        this.formula = plan.formula();
        this.balance = AlkaliBalance.of(formula);
    }

    Reckoning reckon(PlanForm form) {
        Estimate superfat = Superfat.distribution(Weights.planned(formula), formula.alkali(), plan.scales());
        LyePeak peak = LyePeak.of(plan, maker.room());
        Optional<LoafEnsemble> loaf = LoafForecast.planned(plan, maker.room(), DRAWS);
        Composition composition = Composition.of(formula.fats());
        Mass batter = LoafForecast.batterMass(plan);
        double excess = superfat.probabilityBelow(0);
        return new Reckoning(
                alkalis(),
                steps(),
                figures(),
                liquids(),
                shares(form),
                formats.mass(formula.fatMass()),
                Formats.number(100 * superfat.value(), 1) + " \u00b1 "
                        + Formats.number(100 * superfat.halfWidth95(), 1) + " %",
                Formats.probability(excess),
                excess >= ALARMING,
                PlanDrawings.density(superfat),
                PlanDrawings.spectrum(composition),
                words(composition),
                PlanDrawings.timeline(plan, peak, loaf, formats),
                mould(batter),
                mouldWords(batter),
                PreFlight.of(plan, peak, loaf));
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
        steps.add(new Reckoning.Step(
                "left out, " + formats.percent(formula.superfat(), 1), formats.massNumber(balance.leftOut().times(-1))));
        if (balance.forAcid().isPositive()) {
            steps.add(new Reckoning.Step("for acids", "+" + formats.massNumber(balance.forAcid())));
        }
        if (balance.fatInLiquids().isPositive()) {
            steps.add(new Reckoning.Step(
                    "fat in the liquid, counted above", formats.massNumber(balance.fatInLiquids())));
        }
        if (balance.forPurity().isPositive()) {
            steps.add(new Reckoning.Step(
                    "purity " + formats.percent(formula.alkali().naohPurity(), 1),
                    "+" + formats.massNumber(balance.forPurity())));
        }
        return steps;
    }

    private List<Reckoning.Figure> figures() {
        Way typed = formula.liquidTarget().way();
        return List.of(
                new Reckoning.Figure(
                        Way.LYE_CONCENTRATION.name(),
                        "lye concentration",
                        formats.percent(balance.concentration(), 1),
                        typed == Way.LYE_CONCENTRATION),
                new Reckoning.Figure(
                        Way.WATER_TO_LYE.name(),
                        "water : lye",
                        Formats.number(balance.waterPerLye(), 2),
                        typed == Way.WATER_TO_LYE),
                new Reckoning.Figure(
                        Way.WATER_OF_FATS.name(),
                        "water of fats",
                        formats.percent(balance.waterOfFats(), 1),
                        typed == Way.WATER_OF_FATS));
    }

    private List<Reckoning.Amount> liquids() {
        return balance.liquids().stream()
                .map(l -> new Reckoning.Amount(
                        formats.massNumber(l.mass()),
                        formats.massUnit(),
                        l.liquid().name() + (l.frozen() ? ", frozen" : "")))
                .toList();
    }

    /** Shares in the order of the form's rows, so that each finds its place. */
    private List<Reckoning.ShareOf> shares(PlanForm form) {
        Map<String, FatPortion> byId = new HashMap<>();
        formula.fats().forEach(f -> byId.put(f.fat().id(), f));
        return form.fats().stream().map(row -> share(byId.get(row.id()))).toList();
    }

    private Reckoning.ShareOf share(@Nullable FatPortion portion) {
        if (portion == null) {
            return new Reckoning.ShareOf("", 0);
        }
        double share = portion.mass().dividedBy(formula.fatMass());
        return new Reckoning.ShareOf(Formats.number(100 * share, 1) + " %", (int) Math.round(40 * share));
    }

    private static String words(Composition c) {
        int saturated = (int) Math.round(c.saturated().inPercent());
        String poly = c.of(Family.POLY_UNSATURATED).fraction() > 0.15 ? " \u00b7 keeps less well: much linoleic" : "";
        return "saturated " + saturated + " : " + (100 - saturated) + " unsaturated \u00b7 iodine value "
                + Formats.number(c.iodineValue(), 0) + " \u00b7 saponification value "
                + Formats.number(c.saponificationValue(), 0) + poly;
    }

    private @Nullable Drawing mould(Mass batter) {
        Mould mould = plan.mould();
        return mould == null ? null : PlanDrawings.mould(mould, batter, bars(mould));
    }

    private static int bars(Mould mould) {
        return mould.kind() == MouldKind.CAVITIES
                ? mould.cavities()
                : Math.max(1, (int) Math.floor(mould.length() / BAR_THICKNESS));
    }

    private String mouldWords(Mass batter) {
        Mould mould = plan.mould();
        if (mould == null) {
            return "No mould chosen.";
        }
        int bars = bars(mould);
        Mass in = batter.isMoreThan(mould.capacity()) ? mould.capacity() : batter;
        String bar = bars + " bars" + (mould.kind() == MouldKind.CAVITIES ? "" : " of 25 mm") + ", "
                + formats.mass(in.times(1.0 / bars)) + " wet";
        return bar + " \u00b7 filled " + Formats.number(100 * batter.dividedBy(mould.capacity()), 0) + " %";
    }
}
