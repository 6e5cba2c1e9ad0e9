package io.causticon.core.science.diagnosis.knowledge;

import static io.causticon.core.model.finding.Findings.BRITTLE;
import static io.causticon.core.model.finding.Findings.BURNS_AGAIN;
import static io.causticon.core.model.finding.Findings.CRUST_GROWS;
import static io.causticon.core.model.finding.Findings.CRUST_RESISTS;
import static io.causticon.core.model.finding.Findings.CRUST_UNDER_COVER;
import static io.causticon.core.model.finding.Findings.FREE_ALKALI;
import static io.causticon.core.model.finding.Findings.METER_HIGH;
import static io.causticon.core.model.finding.Findings.PINK_DROP;
import static io.causticon.core.model.finding.Findings.SKIN_TIGHT;
import static io.causticon.core.model.finding.Findings.STRIP_HIGH;
import static io.causticon.core.model.finding.Findings.THICK_CRUST;
import static io.causticon.core.model.finding.Findings.THIN_BLOOM;
import static io.causticon.core.model.finding.Findings.WASH_BURNS;
import static io.causticon.core.model.finding.Findings.WEEPING_DOTS;
import static io.causticon.core.model.finding.Findings.WHITE_SPOTS;
import static io.causticon.core.model.finding.Findings.ZAP;
import static io.causticon.core.science.diagnosis.network.Conditions.LYE_HEAVY;
import static io.causticon.core.science.diagnosis.network.Conditions.LYE_POCKETS;

import io.causticon.core.model.log.Stage;
import io.causticon.core.science.diagnosis.network.Knowledge;

/**
 * Too much alkali, all through or in places. The start of a lye-heavy bar is not a rate but what the weights and the
 * possible slips say of this batch.
 */
final class AlkaliKnowledge implements Knowledge.Source {

    @Override
    public void tell(Knowledge.Builder k) {
        lyeHeavy(k);
        pockets(k);
    }

    private static void lyeHeavy(Knowledge.Builder k) {
        k.condition(LYE_HEAVY)
                .happensTo(0.02)
                .isMetBy(
                        "Hold it, handle with gloves. Rebatch with the fat that is missing, keep it for cleaning, or"
                                + " discard it. Curing does not mend it: water leaves, alkali does not.",
                        "Weigh each fat alone, tare each time, weigh the lye twice.");
        k.finding(THIN_BLOOM)
                .happensAnyway(.03)
                .points(.30)
                .to(LYE_HEAVY)
                .because("free alkali turns to carbonate in air too");
        k.finding(THICK_CRUST)
                .happensAnyway(.012)
                .points(.50)
                .to(LYE_HEAVY)
                .because("alkali that nothing consumed keeps coming out");
        k.finding(CRUST_GROWS)
                .happensAnyway(.01)
                .points(.75)
                .to(LYE_HEAVY)
                .because("bloom stops within days, excess alkali feeds on");
        k.finding(CRUST_RESISTS)
                .happensAnyway(.05)
                .points(.80)
                .to(LYE_HEAVY)
                .because("a crust fed from inside does not steam off");
        k.finding(CRUST_UNDER_COVER)
                .happensAnyway(.02)
                .points(.60)
                .to(LYE_HEAVY)
                .because("bloom needs air, excess alkali does not");
        k.finding(WASH_BURNS).happensAnyway(.015).points(.88).to(LYE_HEAVY).because("free alkali burns skin");
        k.finding(SKIN_TIGHT).happensAnyway(.08).points(.70).to(LYE_HEAVY).because("free alkali strips the skin");
        // Given that one wash burned: a sting of the hand rather than of the soap comes again now and then.
        k.finding(BURNS_AGAIN)
                .happensAnyway(.10)
                .points(.55)
                .to(LYE_HEAVY)
                .because("what burned once mostly burns with every bar");
        k.finding(ZAP).happensAnyway(.02).points(.93).halfAt(.01).to(LYE_HEAVY).because("the tongue feels free alkali");
        k.finding(FREE_ALKALI)
                .happensAnyway(.004)
                .points(.97)
                .halfAt(.006)
                .to(LYE_HEAVY)
                .because("it measures what is left over");
        // Soap in water colours it faintly by itself, and a dry face hardly shows anything.
        k.finding(PINK_DROP).happensAnyway(.08).points(.85).to(LYE_HEAVY).because("it turns where free alkali is");
        k.finding(STRIP_HIGH).happensAnyway(.03).points(.35).to(LYE_HEAVY).because("soap alone lies at 9 to 10.5");
        k.finding(METER_HIGH)
                .happensAnyway(.03)
                .points(.90)
                .halfAt(.008)
                .to(LYE_HEAVY)
                .because("soap alone lies at 9 to 10");
        k.finding(BRITTLE)
                .happensAnyway(.04)
                .points(.45)
                .to(LYE_HEAVY)
                .because("excess alkali salts the soap out and makes it chalky");
        k.finding(WHITE_SPOTS).happensAnyway(.03).points(.16).to(LYE_HEAVY).because("alkali gathers in places");
        k.finding(WEEPING_DOTS).happensAnyway(.015).points(.12).to(LYE_HEAVY).because("liquor finds its way out");
    }

    private static void pockets(Knowledge.Builder k) {
        k.condition(LYE_POCKETS)
                .happensTo(0.005)
                .isMetBy(
                        "Hold every bar of the batch, gloves. Rebatch or discard; a clean bar says nothing of its"
                                + " neighbour.",
                        "Strain the liquor, wait until it is clear, mix before it is thick.");
        k.finding(WHITE_SPOTS).points(.55).to(LYE_POCKETS).because("crystals or liquor caught in the batter");
        k.finding("lye-grains")
                .happensAnyway(.01)
                .points(.30)
                .to(LYE_POCKETS)
                .because("a grain that was poured in stays a grain");
        k.finding(WEEPING_DOTS).points(.42).to(LYE_POCKETS).because("caught liquor seeps out");
        k.finding(WASH_BURNS).points(.45).to(LYE_POCKETS).because("a pocket under the hand burns");
        k.finding(SKIN_TIGHT).points(.30).to(LYE_POCKETS).because("a pocket under the hand strips the skin");
        k.finding(BURNS_AGAIN).points(.40).to(LYE_POCKETS).because("another pocket came under the hand");
        k.finding(ZAP).points(.45).to(LYE_POCKETS).because("it stings where the pocket is");
        k.finding(FREE_ALKALI).points(.45).to(LYE_POCKETS).because("the sample may have met a pocket");
        k.finding(PINK_DROP).points(.30).to(LYE_POCKETS).because("the drop may have met a pocket");
        k.finding(STRIP_HIGH).points(.20).to(LYE_POCKETS).because("the strip may have met a pocket");
        k.fact(
                        "thick or seized when poured",
                        f -> f.stageWhenPoured()
                                .map(s -> s.isAtLeast(Stage.MASH))
                                .orElse(false))
                .shifts(LYE_POCKETS)
                .by(6)
                .because("a mash closes over liquor that was not stirred in");
    }
}
