package io.causticon.core.science.diagnosis.knowledge;

import static io.causticon.core.model.finding.Findings.BRITTLE;
import static io.causticon.core.model.finding.Findings.BURNS_AGAIN;
import static io.causticon.core.model.finding.Findings.CRUST_UNDER_COVER;
import static io.causticon.core.model.finding.Findings.SKIN_TIGHT;
import static io.causticon.core.model.finding.Findings.STRIP_HIGH;
import static io.causticon.core.model.finding.Findings.TACKY;
import static io.causticon.core.model.finding.Findings.THICK_CRUST;
import static io.causticon.core.model.finding.Findings.THIN_BLOOM;
import static io.causticon.core.model.finding.Findings.WASH_BURNS;
import static io.causticon.core.model.finding.Findings.WEEPING_DOTS;
import static io.causticon.core.model.finding.Findings.WHITE_SPOTS;

import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Knowledge;

/** What looks or feels like too much alkali and is none, and liquor that hides in one place. */
final class LookAlikeKnowledge implements Knowledge.Source {

    private static final Condition HIDDEN_LIQUOR =
            Condition.hazard("hidden-liquor", "liquor under a stamp, in a swirl or round an embed");
    private static final Condition STEARIC_SPOTS = Condition.cosmetic("stearic-spots", "stearic spots");
    private static final Condition DEW = Condition.cosmetic("dew", "sweat of glycerin, salt or sugar");
    private static final Condition SALT_BLOOM = Condition.cosmetic("salt-bloom", "salt bloom");
    private static final Condition SENSITIVE_SKIN =
            Condition.cosmetic("sensitive-skin", "sensitive skin, no fault of the bar");
    private static final Condition SHORT_CHAINS = Condition.cosmetic("short-chain-dryness", "drying by short chains");
    private static final Condition FROST = Condition.cosmetic("frost", "frost of hard fat");
    private static final Condition ASH_BETWEEN = Condition.cosmetic("ash-between-layers", "ash between layers");

    private static final double MUCH_HARD = .25;
    private static final double MUCH_SHORT = .33;

    @Override
    public void tell(Knowledge.Builder k) {
        hiddenLiquor(k);
        stearicSpots(k);
        dew(k);
        saltBloom(k);
        sensitiveSkin(k);
        shortChains(k);
        frost(k);
        ashBetween(k);
    }

    private static void hiddenLiquor(Knowledge.Builder k) {
        k.condition(HIDDEN_LIQUOR)
                .happensTo(.002)
                .isMetBy(
                        "Hold it, gloves. Cut the place out of every bar, or rebatch; a clean face beside it says"
                                + " nothing.",
                        "Press stamps and embeds into soap that is one colour; no liquor left in the bowl of a swirl.");
        k.finding("stings-in-one-place")
                .happensAnyway(.004)
                .points(.85)
                .to(HIDDEN_LIQUOR)
                .because("liquor was closed in there");
        k.finding(STRIP_HIGH).points(.35).to(HIDDEN_LIQUOR).because("the strip may have met the place");
        k.finding(WEEPING_DOTS).points(.30).to(HIDDEN_LIQUOR).because("it finds its way out");
        k.finding(BURNS_AGAIN).points(.20).to(HIDDEN_LIQUOR).because("liquor lay in that bar as well");
        k.finding(WASH_BURNS).points(.35).to(HIDDEN_LIQUOR).because("that face was under the hand");
    }

    private static void stearicSpots(Knowledge.Builder k) {
        k.condition(STEARIC_SPOTS)
                .happensTo(.04)
                .isMetBy(
                        "Nothing: it is soap of the hard acids that set first. It washes like the rest.",
                        "Melt the fats until they are clear, soap a few degrees warmer.");
        k.finding("small-dots")
                .happensAnyway(.02)
                .points(.85)
                .to(STEARIC_SPOTS)
                .because("palmitic and stearic acid set before the rest");
        k.finding("waxy-dots").happensAnyway(.01).points(.75).to(STEARIC_SPOTS).because("they are wax, not alkali");
        k.finding(WHITE_SPOTS).points(.15).to(STEARIC_SPOTS).because("close by they look like it");
        k.finding("cloudy-fats")
                .happensAnyway(.03)
                .points(.45)
                .to(STEARIC_SPOTS)
                .because("crystals were there from the beginning");
        k.fact(Facts::belowClear).shifts(STEARIC_SPOTS).by(4).because("what is not clear sets");
        k.fact(f -> Facts.atLeast(f, Family.LONG_SATURATED, MUCH_HARD, "palmitic and stearic acid"))
                .shifts(STEARIC_SPOTS)
                .by(3)
                .because("there is more to set");
    }

    private static void dew(Knowledge.Builder k) {
        k.condition(DEW)
                .happensTo(.05)
                .isMetBy(
                        "Wipe it, give it air and dry days. Beads that sting or read high are another thing: gloves.",
                        "Cure it drier; less salt, sugar or honey; wrap it when the air is damp.");
        k.finding("dew").happensAnyway(.02).points(.85).to(DEW).because("glycerin draws water out of the air");
        k.finding(TACKY).points(.20).to(DEW).because("the film of it is sticky");
        k.finding("damp-softens").happensAnyway(.02).points(.60).to(DEW).because("it drinks from the air");
        k.fact("salt, honey or sugar in it", f -> Facts.hasSalt(f) || Facts.has(f, "sweetener"))
                .shifts(DEW)
                .by(5)
                .because("they draw water too");
    }

    private static void saltBloom(Knowledge.Builder k) {
        k.condition(SALT_BLOOM)
                .happensTo(.004)
                .isMetBy("Wipe it off; nothing else is wrong.", "Dissolve the salt in the liquid, cut salt bars warm.");
        k.finding("salt-grit")
                .happensAnyway(.006)
                .points(.90)
                .to(SALT_BLOOM)
                .because("salt comes out as the water leaves");
        k.finding(THICK_CRUST).points(.15).to(SALT_BLOOM).because("it can lie thick");
        k.finding(BRITTLE).points(.45).to(SALT_BLOOM).because("salt bars shatter when they are cut late");
        k.finding(CRUST_UNDER_COVER).points(.20).to(SALT_BLOOM).because("salt needs no air");
        k.fact("salt in it", f -> Facts.hasSalt(f)).shifts(SALT_BLOOM).by(16).because("there is salt to come out");
    }

    private static void sensitiveSkin(Knowledge.Builder k) {
        k.condition(SENSITIVE_SKIN)
                .happensTo(.02)
                .isMetBy(
                        "That person leaves it alone; sore skin is for a doctor. Until a second tester is calm and a"
                                + " titration is nil it counts as a burn.",
                        "Milder acids for that person: less of the short chains, a little more superfat.");
        k.finding(BURNS_AGAIN).points(.70).to(SENSITIVE_SKIN).because("the same skin burns with the next bar as well");
        k.finding(WASH_BURNS).points(.30).to(SENSITIVE_SKIN).because("skin that is broken or dry burns with any soap");
        k.finding(SKIN_TIGHT).points(.60).to(SENSITIVE_SKIN).because("all soap takes fat from skin");
        k.finding("one-tester")
                .happensAnyway(.02)
                .points(.80)
                .to(SENSITIVE_SKIN)
                .because("it lies in the person");
        k.finding("any-soap").happensAnyway(.01).points(.85).to(SENSITIVE_SKIN).because("it lies in the person");
    }

    private static void shortChains(Knowledge.Builder k) {
        k.condition(SHORT_CHAINS)
                .happensTo(.01)
                .isMetBy(
                        "It is safe and drying. Cure it longer, keep it for laundry or for oily skin.",
                        "Coconut and its kin below a third of the fats, or more superfat with them.");
        k.finding(SKIN_TIGHT).points(.75).to(SHORT_CHAINS).because("soaps of C8 to C14 take fat from skin");
        k.fact(f -> Facts.atLeast(f, Family.SHORT_SATURATED, MUCH_SHORT, "acids of C8 to C14"))
                .shifts(SHORT_CHAINS)
                .by(13)
                .because("above a third they dry");
    }

    private static void frost(Knowledge.Builder k) {
        k.condition(FROST)
                .happensTo(.01)
                .isMetBy(
                        "Nothing: it melts in the hand.",
                        "Keep bars from cold draughts; a little less cocoa butter or stearic acid.");
        k.finding("cold-haze")
                .happensAnyway(.02)
                .points(.85)
                .to(FROST)
                .because("hard fat of the superfat crystallises at the surface");
        k.finding("thumb-melts").happensAnyway(.006).points(.85).to(FROST).because("fat melts, carbonate does not");
        k.finding(THIN_BLOOM).points(.25).to(FROST).because("from afar it is the same haze");
    }

    private static void ashBetween(Knowledge.Builder k) {
        k.condition(ASH_BETWEEN)
                .happensTo(.01)
                .isMetBy(
                        "A look. Where the layers part, plane them or keep the halves.",
                        "Pour the next layer sooner, or spray the first with alcohol.");
        k.finding("pale-seam")
                .happensAnyway(.01)
                .points(.85)
                .to(ASH_BETWEEN)
                .because("the first layer lay open to the air");
        k.finding("layers-split")
                .happensAnyway(.003)
                .points(.35)
                .to(ASH_BETWEEN)
                .because("a skin of carbonate does not bind");
        k.finding("lifts-off").points(.25).to(ASH_BETWEEN).because("a skin of carbonate does not bind");
        k.finding(THIN_BLOOM)
                .points(.25)
                .to(ASH_BETWEEN)
                .because("where there was air for the seam there was air for the top");
        k.fact("made in one pour", f -> !Facts.isLayered(f))
                .shifts(ASH_BETWEEN)
                .by(-10)
                .because("there are no layers");
        k.fact("made in parts", Facts::isLayered).shifts(ASH_BETWEEN).by(5).because("a layer lay open");
    }
}
