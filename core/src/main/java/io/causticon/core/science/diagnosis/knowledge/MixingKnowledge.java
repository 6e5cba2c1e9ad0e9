package io.causticon.core.science.diagnosis.knowledge;

import static io.causticon.core.model.finding.Findings.BURNS_AGAIN;
import static io.causticon.core.model.finding.Findings.FREE_ALKALI;
import static io.causticon.core.model.finding.Findings.HOT_MASH;
import static io.causticon.core.model.finding.Findings.OIL_LAYER;
import static io.causticon.core.model.finding.Findings.SOFT_BELOW;
import static io.causticon.core.model.finding.Findings.SOLID_AT_ONCE;
import static io.causticon.core.model.finding.Findings.WASH_BURNS;
import static io.causticon.core.model.finding.Findings.WEEPING_DOTS;
import static io.causticon.core.model.finding.Findings.WHITE_SPOTS;
import static io.causticon.core.science.diagnosis.network.Conditions.SEIZED;
import static io.causticon.core.science.diagnosis.network.Conditions.SEPARATION;

import io.causticon.core.model.log.Stage;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.wording.Phrase;

/** What happens in the pot. */
final class MixingKnowledge implements Knowledge.Source {

    private static final double HOT = 48;

    @Override
    public void tell(Knowledge.Builder k) {
        seized(k);
        separation(k);
    }

    private static void seized(Knowledge.Builder k) {
        k.condition(SEIZED)
                .happensTo(0.015)
                .isMetBy(
                        "Press it into the mould or cook it; tap hard against voids. Gloves: it is hot and raw.",
                        "Put that fragrance into the fats, mix cooler, or stir it into the last cup by hand.");
        k.finding(SOLID_AT_ONCE).happensAnyway(.006).points(.92).to(SEIZED).because("the reaction ran away at once");
        k.finding(HOT_MASH).happensAnyway(.006).points(.70).to(SEIZED).because("it gives off its heat in one go");
        k.finding(WHITE_SPOTS).points(.08).to(SEIZED).because("a mash traps what it closes over");
        k.fact(Facts::mover).shifts(SEIZED).by(9).because("its phenols react with lye at once");
        k.fact(
                        Phrase.of("poured into fats above {}", Temperature.celsius(HOT)),
                        f -> f.pouredAt().map(t -> t.celsius() > HOT).orElse(false))
                .shifts(SEIZED)
                .by(3)
                .because(Phrase.of("every {} warmer halves the time", TemperatureChange.kelvin(10)));
    }

    private static void separation(Knowledge.Builder k) {
        k.condition(SEPARATION)
                .happensTo(0.004)
                .isMetBy(
                        "Gloves: liquor that stands free is lye. Stir it back while it lets you, else rebatch; hold"
                                + " until tested.",
                        "Blend to one colour, wait for a trail that rests, keep hard fats above their melting point.");
        k.finding(OIL_LAYER).happensAnyway(.004).points(.88).to(SEPARATION).because("fats and liquor parted again");
        k.finding("oil-streaks").happensAnyway(.03).points(.55).to(SEPARATION).because("they had not become one");
        k.finding(SOFT_BELOW).happensAnyway(.01).points(.45).to(SEPARATION).because("what sank did not react");
        k.finding(BURNS_AGAIN).points(.30).to(SEPARATION).because("other bars lack fat as well");
        k.finding(WASH_BURNS).points(.30).to(SEPARATION).because("where fat is missing lye is left");
        k.finding(FREE_ALKALI).points(.50).to(SEPARATION).because("lye that sank may be in that bar");
        k.finding(WEEPING_DOTS).points(.25).to(SEPARATION).because("liquor was left without fat");
        k.fact(
                        "poured before it was one colour",
                        f -> f.stageWhenPoured().map(s -> s == Stage.STREAKS).orElse(false))
                .shifts(SEPARATION)
                .by(14)
                .because("no emulsion, nothing holds it");
        k.fact(
                        "a trail rested when poured",
                        f -> f.stageWhenPoured()
                                .map(s -> s.isAtLeast(Stage.LIGHT))
                                .orElse(false))
                .shifts(SEPARATION)
                .by(-6)
                .because("the emulsion held");
    }
}
