package io.causticon.core.science.diagnosis.knowledge;

import static io.causticon.core.model.finding.Findings.BRITTLE;
import static io.causticon.core.model.finding.Findings.DENTS;
import static io.causticon.core.model.finding.Findings.TACKY;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Conditions;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.wording.Phrase;
import java.util.Optional;

/** What a bar does at the basin, and how it feels in the hand. */
final class UseKnowledge implements Knowledge.Source {

    private static final Condition POOR_LATHER = Condition.cosmetic("poor-lather", "poor lather");
    private static final Condition HARD_WATER = Condition.cosmetic("hard-water-scum", "scum of hard water");
    private static final Condition MUSHY = Condition.cosmetic("mushy", "mushy in use");
    private static final Condition RUBBERY = Condition.cosmetic("rubbery", "rubbery or slimy");
    private static final Condition CRUMBLY = Condition.cosmetic("crumbly", "crumbly without too much alkali");
    private static final Condition SCRATCHY = Condition.cosmetic("scratchy", "scratchy");
    private static final Condition LATHER_STAIN = Condition.cosmetic("stain-on-lather", "colour in the lather");

    private static final double MUCH_CASTOR = .10;
    private static final double VERY_OLEIC = .72;

    /** mg/l of calcium carbonate: soft below the one, hard from the other on (as waterworks class it). */
    private static final double SOFT_WATER = 60;

    private static final double HARD_WATER_FROM = 180;

    @Override
    public void tell(Knowledge.Builder k) {
        poorLather(k);
        hardWater(k);
        mushyBar(k);
        rubberyBar(k);
        crumblyBar(k);
        scratchyBar(k);
        latherStain(k);
        fatHeavy(k);
    }

    private static void poorLather(Knowledge.Builder k) {
        k.condition(POOR_LATHER)
                .happensTo(.04)
                .isMetBy(
                        "Cure it longer, try it again.",
                        "A little more of the short chains, castor, sugar; a lower superfat.");
        k.finding("few-bubbles")
                .happensAnyway(.04)
                .points(.90)
                .to(POOR_LATHER)
                .because("few short chains, much superfat, or young");
        k.finding("scum").happensAnyway(.05).points(.15).to(POOR_LATHER).because("lime eats the lather");
        k.fact("younger than four weeks", f -> f.age().toDays() < 28)
                .shifts(POOR_LATHER)
                .by(3)
                .because("it comes with the cure");
    }

    private static void hardWater(Knowledge.Builder k) {
        k.condition(HARD_WATER)
                .happensTo(.04)
                .isMetBy("It is the water: lime soap, harmless.", "A chelator: citrate or gluconate.");
        k.finding("scum").points(.92).to(HARD_WATER).because("lime and magnesium make soap that does not dissolve");
        k.finding("grey-flecks").happensAnyway(.02).points(.80).to(HARD_WATER).because("scum dries on the dish");
        k.fact(UseKnowledge::limeInWater).shifts(HARD_WATER).by(6).because("each litre takes its share of soap");
        k.fact("soft water", f -> lime(f).filter(mg -> mg < SOFT_WATER).isPresent())
                .shifts(HARD_WATER)
                .by(-8)
                .because("there is no lime to curdle with");
        k.finding("few-bubbles").points(.35).to(HARD_WATER).because("the first soap goes to the lime");
        k.fact("a chelator in it", f -> Facts.has(f, "chelator"))
                .shifts(HARD_WATER)
                .by(-6)
                .because("it holds the lime");
    }

    private static Optional<Double> lime(BatchFacts facts) {
        return facts.log().last(Entry.WaterRead.class).map(w -> w.entry().milligramsPerLitre());
    }

    private static Optional<Phrase> limeInWater(BatchFacts facts) {
        return lime(facts)
                .filter(mg -> mg >= HARD_WATER_FROM)
                .map(mg -> Phrase.of("water of {} mg/l of lime", Math.round(mg)));
    }

    private static void mushyBar(Knowledge.Builder k) {
        k.condition(MUSHY)
                .happensTo(.03)
                .isMetBy(
                        "A dish that drains, a longer cure.",
                        "Fewer short chains and less oleic acid; more palmitic and stearic.");
        k.finding("mushy")
                .happensAnyway(.04)
                .points(.90)
                .to(MUSHY)
                .because("its soaps dissolve readily, or it is young");
        k.finding("damp-softens").points(.25).to(MUSHY).because("it takes up water readily");
        k.finding("slimy").happensAnyway(.02).points(.20).to(MUSHY).because("wet soap swells");
    }

    private static void rubberyBar(Knowledge.Builder k) {
        k.condition(RUBBERY)
                .happensTo(.01)
                .isMetBy(
                        "It washes; a longer cure helps a little.",
                        "Less castor and water; very high oleic wants months.");
        k.finding("rubbery")
                .happensAnyway(.008)
                .points(.90)
                .to(RUBBERY)
                .because("castor with much water sets like gum");
        k.finding("slimy").points(.70).to(RUBBERY).because("oleic soap draws threads");
        k.finding(TACKY).points(.30).to(RUBBERY).because("it is sticky as well");
        k.fact(f -> Facts.atLeast(f, Family.RICINOLEIC, MUCH_CASTOR, "castor's acid"))
                .shifts(RUBBERY)
                .by(8)
                .because("castor is what does it");
        k.fact(f -> Facts.atLeast(f, Family.MONO_UNSATURATED, VERY_OLEIC, "oleic acid"))
                .shifts(RUBBERY)
                .by(6)
                .because("it draws threads");
    }

    private static void crumblyBar(Knowledge.Builder k) {
        k.condition(CRUMBLY)
                .happensTo(.03)
                .isMetBy(
                        "Press what crumbles into balls. First make sure that it is not alkali.",
                        "Fewer solids, more water, cut it warmer and sooner.");
        k.finding(BRITTLE).points(.80).to(CRUMBLY).because("solids, salt, little water, or cut late");
        k.finding("grainy-bar").points(.45).to(CRUMBLY).because("it never was one mass");
        k.finding("cracks-in-use").points(.30).to(CRUMBLY).because("little holds it together");
        k.finding("drag-lines").points(.25).to(CRUMBLY).because("crumbs drag");
        k.fact(f -> Facts.overdosed(f, "clay", "exfoliant", "hardener", "wax"))
                .shifts(CRUMBLY)
                .by(8)
                .because("more than soap can hold together");
    }

    private static void scratchyBar(Knowledge.Builder k) {
        k.condition(SCRATCHY).happensTo(.012).isMetBy("For hands and feet, not for faces.", "Finer grains, and fewer.");
        k.finding("scratchy").points(.92).to(SCRATCHY).because("grains too coarse or too many");
        k.fact("grains in it", f -> Facts.has(f, "exfoliant"))
                .shifts(SCRATCHY)
                .by(9)
                .because("there is something to scratch");
        k.fact("no grains in it", f -> !Facts.has(f, "exfoliant", "clay", "botanical"))
                .shifts(SCRATCHY)
                .by(-8)
                .because("there is nothing to scratch");
    }

    private static void latherStain(Knowledge.Builder k) {
        k.condition(LATHER_STAIN).happensTo(.01).isMetBy("Not for white cloth.", "Less pigment.");
        k.finding("coloured-lather").points(.93).to(LATHER_STAIN).because("more pigment than the soap holds");
        k.finding("stains-cloth")
                .happensAnyway(.008)
                .points(.80)
                .to(LATHER_STAIN)
                .because("more pigment than the soap holds");
        k.fact("colour in it", f -> Facts.has(f, "colourant"))
                .shifts(LATHER_STAIN)
                .by(4)
                .because("there is colour to come off");
        k.fact("no colour in it", f -> !Facts.has(f, "colourant"))
                .shifts(LATHER_STAIN)
                .by(-12)
                .because("there is none to come off");
        k.fact(f -> Facts.overdosed(f, "colourant", "clay"))
                .shifts(LATHER_STAIN)
                .by(6)
                .because("more than soap can hold");
    }

    private static void fatHeavy(Knowledge.Builder k) {
        k.condition(Conditions.FAT_HEAVY)
                .happensTo(.02)
                .isMetBy(
                        "It is mild and goes stale sooner: use it up within months.",
                        "Weigh the lye twice; a superfat below eight.");
        k.finding("oily").points(.85).to(Conditions.FAT_HEAVY).because("fat that found no alkali");
        k.finding(DENTS).points(.40).to(Conditions.FAT_HEAVY).because("fat softens it");
        k.finding("few-bubbles").points(.45).to(Conditions.FAT_HEAVY).because("fat kills lather");
        k.finding("water-pearls")
                .happensAnyway(.015)
                .points(.50)
                .to(Conditions.FAT_HEAVY)
                .because("fat at the face sheds water");
        k.finding("orange-dots").points(.25).to(Conditions.FAT_HEAVY).because("free fat goes stale");
        k.fact(Facts::muchSuperfat).shifts(Conditions.FAT_HEAVY).by(10).because("the weights leave as much");
    }
}
