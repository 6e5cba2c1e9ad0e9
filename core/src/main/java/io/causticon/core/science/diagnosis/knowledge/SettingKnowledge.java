package io.causticon.core.science.diagnosis.knowledge;

import static io.causticon.core.model.finding.Findings.CRACK;
import static io.causticon.core.model.finding.Findings.DARK_CORE;
import static io.causticon.core.model.finding.Findings.GEL_HALFWAY;
import static io.causticon.core.model.finding.Findings.HEAVED;
import static io.causticon.core.model.finding.Findings.OIL_LAYER;
import static io.causticon.core.model.finding.Findings.PALE_EDGE;
import static io.causticon.core.model.finding.Findings.PUDDLES;
import static io.causticon.core.model.finding.Findings.TUNNELS;
import static io.causticon.core.model.finding.Findings.WRINKLED;
import static io.causticon.core.science.diagnosis.network.Conditions.OVERHEATED;
import static io.causticon.core.science.diagnosis.network.Conditions.PARTIAL_GEL;

import io.causticon.core.model.log.GelExtent;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.wording.Phrase;
import java.util.Optional;

/** What the heat of the loaf does. */
final class SettingKnowledge implements Knowledge.Source {

    private static final double HOT_CORE = 82;
    private static final double TOO_HOT_CORE = 88;
    private static final double CALM_CORE = 75;
    private static final double MUCH_SUGAR = 0.025;

    @Override
    public void tell(Knowledge.Builder k) {
        overheated(k);
        partialGel(k);
    }

    private static void overheated(Knowledge.Builder k) {
        k.condition(OVERHEATED)
                .happensTo(0.03)
                .bringsAbout(HeatAndMouldKnowledge.HEAT_TUNNEL, .35)
                .isMetBy(
                        "Uncover, cool it, keep bare hands off anything that oozes. Cut, look for voids, test; rebatch"
                                + " if they hold liquor.",
                        "Pour cooler, no towels, fridge for sugar, honey and milk.");
        k.finding("hot-outside")
                .happensAnyway(.06)
                .points(.70)
                .to(OVERHEATED)
                .because("a mould that is hot outside is hotter inside");
        k.finding(CRACK).happensAnyway(.02).points(.60).to(OVERHEATED).because("the core swells under a set skin");
        k.finding(HEAVED).happensAnyway(.01).points(.60).to(OVERHEATED).because("steam and foam lift the top");
        k.finding(PUDDLES).happensAnyway(.012).points(.40).to(OVERHEATED).because("hot soap weeps oil and glycerin");
        k.finding(TUNNELS).happensAnyway(.015).points(.45).to(OVERHEATED).because("it foamed from inside");
        k.finding(WRINKLED).happensAnyway(.05).points(.50).to(OVERHEATED).because("a hot top shrinks as it cools");
        k.finding("oven-craters").points(.20).to(OVERHEATED).because("vapour leaves through the skin");
        k.finding(OIL_LAYER).points(.12).to(OVERHEATED).because("hot soap can push oil out on top");
        k.fact(f -> core(f, TOO_HOT_CORE, Double.MAX_VALUE))
                .shifts(OVERHEATED)
                .by(14)
                .because(Phrase.of("above {} loaves heave", Temperature.celsius(TOO_HOT_CORE)));
        k.fact(f -> core(f, HOT_CORE, TOO_HOT_CORE))
                .shifts(OVERHEATED)
                .by(7)
                .because(Phrase.of("above {} loaves begin to crack", Temperature.celsius(HOT_CORE)));
        k.fact(f -> core(f, 0, CALM_CORE)).shifts(OVERHEATED).by(-9).because("too cool to crack");
        k.fact(SettingKnowledge::sugar).shifts(OVERHEATED).by(6).because("sugar feeds the heat");
        k.fact("kept cold", BatchFacts::wasKeptCold).shifts(OVERHEATED).by(-10).because("the cold took the heat");
    }

    private static void partialGel(Knowledge.Builder k) {
        k.condition(PARTIAL_GEL)
                .happensTo(0.07)
                .isMetBy(
                        "Cosmetic. Wait some days: a fresh core may even out.",
                        "Decide: insulate more, or keep it cool. Half-way is the worst.");
        k.finding(DARK_CORE)
                .happensAnyway(.012)
                .points(.85)
                .to(PARTIAL_GEL)
                .because("the core gelled, the rim did not");
        k.finding(GEL_HALFWAY).happensAnyway(.01).points(.95).to(PARTIAL_GEL).because("it was seen to stop");
        k.finding(PALE_EDGE)
                .happensAnyway(.04)
                .points(.50)
                .to(PARTIAL_GEL)
                .because("soap that did not gel stays matte");
        k.fact("kept cold", BatchFacts::wasKeptCold).shifts(PARTIAL_GEL).by(-7).because("it never got warm enough");
        k.fact(
                        "gel went all through",
                        f -> f.gel().map(g -> g == GelExtent.FULL).orElse(false))
                .shifts(PARTIAL_GEL)
                .by(-8)
                .because("it was seen to reach the walls");
        k.fact(
                        "neither insulated nor cold",
                        f -> f.wasPoured() && !f.was(MouldCare.INSULATED) && !f.was(MouldCare.OVEN) && !f.wasKeptCold())
                .shifts(PARTIAL_GEL)
                .by(2)
                .because("heat on the border of enough");
    }

    private static Optional<Phrase> core(BatchFacts facts, double from, double to) {
        return facts.peak(MeasurementPoint.CORE)
                .filter(t -> t.celsius() >= from && t.celsius() < to)
                .map(t -> Phrase.of("core logged up to {}", t));
    }

    private static Optional<Phrase> sugar(BatchFacts facts) {
        double sugar = facts.sugarOfFats().fraction();
        return sugar >= MUCH_SUGAR && facts.was(MouldCare.INSULATED)
                ? Optional.of(Phrase.of("sugar {} of fats under towels", Share.fraction(sugar)))
                : Optional.empty();
    }
}
