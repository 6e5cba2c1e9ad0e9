package io.causticon.core.science.diagnosis.knowledge;

import static io.causticon.core.model.finding.Findings.DARK_CORE;
import static io.causticon.core.model.finding.Findings.PUDDLES;

import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Knowledge;

/** What time makes of a bar. */
final class CureKnowledge implements Knowledge.Source {

    private static final Condition STALE_SPOTS = Condition.unfit("stale-spots", "stale spots");
    private static final Condition WARPED = Condition.cosmetic("warped", "warped or shrunken");
    private static final Condition CURE_CRACKS = Condition.cosmetic("cure-cracks", "cracks of drying");
    private static final Condition SPOILED_ADDITION = Condition.unfit("spoiled-addition", "spoiled addition");
    private static final Condition OUT_OF_DATE = Condition.cosmetic("out-of-date", "out of date");
    private static final Condition BROWNED = Condition.cosmetic("browned", "browned by an ingredient");
    private static final Condition COLOUR_TURNED = Condition.cosmetic("colour-turned", "colour that turned");
    private static final Condition FADED_SCENT = Condition.cosmetic("faded-scent", "faded scent");
    private static final Condition BLEED = Condition.cosmetic("bleed", "bled colour");
    private static final Condition BROWN_BOTANICALS =
            Condition.cosmetic("botanicals-brown", "botanicals gone brown or loose");
    private static final Condition FRAGRANCE_SEEP = Condition.cosmetic("fragrance-seep", "seeping fragrance");
    private static final Condition HONEY_SPOTS = Condition.cosmetic("honey-spots", "spots of honey or sugar");
    private static final Condition OFF_SMELL = Condition.cosmetic("other-smell", "another smell than planned");

    private static final double MUCH_POLY = .15;

    @Override
    public void tell(Knowledge.Builder k) {
        staleSpots(k);
        warpedBar(k);
        cureCracks(k);
        spoiled(k);
        outOfDate(k);
        brownedBar(k);
        colourTurned(k);
        fadedScent(k);
        bled(k);
        botanicals(k);
        fragranceSeep(k);
        honeySpots(k);
        otherSmell(k);
    }

    private static void staleSpots(Knowledge.Builder k) {
        k.condition(STALE_SPOTS)
                .happensTo(.03)
                .isMetBy(
                        "Not for use or sale. Keep it apart from other bars and discard it: the smell does not go.",
                        "Fresher fats, less of linoleic and linolenic acid, a lower superfat, a chelator.");
        k.finding("orange-dots")
                .happensAnyway(.01)
                .points(.88)
                .to(STALE_SPOTS)
                .because("unsaturated fat takes up oxygen");
        k.finding("crayon-smell")
                .happensAnyway(.008)
                .points(.80)
                .to(STALE_SPOTS)
                .because("that is the smell of it");
        k.fact(f -> Facts.atLeast(f, Family.POLY_UNSATURATED, MUCH_POLY, "poly-unsaturated acids"))
                .shifts(STALE_SPOTS)
                .by(6)
                .because("they go stale first");
        k.fact("younger than a month", f -> f.age().toDays() < 30)
                .shifts(STALE_SPOTS)
                .by(-12)
                .because("that takes months");
    }

    private static void warpedBar(Knowledge.Builder k) {
        k.condition(WARPED)
                .happensTo(.02)
                .isMetBy("A look; plane it.", "Turn bars weekly, air from all sides, less water.");
        k.finding("warped").happensAnyway(.015).points(.90).to(WARPED).because("one face dried before the other");
        k.finding("curled-edges").happensAnyway(.01).points(.65).to(WARPED).because("one face dried before the other");
        k.finding("shrunken").happensAnyway(.02).points(.75).to(WARPED).because("water left, the skin did not follow");
        k.fact(Facts::weakLye).shifts(WARPED).by(3).because("there is more water to leave");
    }

    private static void cureCracks(Knowledge.Builder k) {
        k.condition(CURE_CRACKS).happensTo(.012).isMetBy("A look.", "Out of sun and wind, turned; less clay.");
        k.finding("fine-cracks")
                .happensAnyway(.01)
                .points(.90)
                .to(CURE_CRACKS)
                .because("the surface dried faster than the heart");
        k.finding("cracks-in-use")
                .happensAnyway(.02)
                .points(.35)
                .to(CURE_CRACKS)
                .because("they were there and water opens them");
    }

    private static void spoiled(Knowledge.Builder k) {
        k.condition(SPOILED_ADDITION)
                .happensTo(.004)
                .isMetBy(
                        "Not for use or sale. Gloves; discard it, do not plane it: what grows sits deeper than it"
                                + " shows. Keep it apart from other bars.",
                        "No fresh fruit or thick pieces; strained purée in the lye.");
        k.finding("mouldy")
                .happensAnyway(.003)
                .points(.93)
                .to(SPOILED_ADDITION)
                .because("water and food in a piece that lye did not reach");
        k.finding("sour-smell")
                .happensAnyway(.01)
                .points(.70)
                .to(SPOILED_ADDITION)
                .because("it rots");
        k.finding("halo").happensAnyway(.02).points(.10).to(SPOILED_ADDITION).because("juice runs from it");
        k.fact("purée in it", Facts::hasFood).shifts(SPOILED_ADDITION).by(10).because("food rots");
        k.fact("no purée in it", f -> !Facts.hasFood(f))
                .shifts(SPOILED_ADDITION)
                .by(-4)
                .because("little in it that rots");
    }

    private static void outOfDate(Knowledge.Builder k) {
        k.condition(OUT_OF_DATE)
                .happensTo(.01)
                .isMetBy("It still washes, if it smells of nothing bad.", "Date the bars, sell the oldest first.");
        k.finding("old-and-cracked")
                .happensAnyway(.004)
                .points(.90)
                .to(OUT_OF_DATE)
                .because("years dry it out");
        k.finding("cracks-in-use").points(.40).to(OUT_OF_DATE).because("a dry bar splits when it is wetted");
        k.finding("weak-scent").happensAnyway(.03).points(.50).to(OUT_OF_DATE).because("scent leaves");
        k.finding("crayon-smell").points(.20).to(OUT_OF_DATE).because("fats age");
        k.fact("younger than a year", f -> f.age().toDays() < 365)
                .shifts(OUT_OF_DATE)
                .by(-15)
                .because("it is young");
    }

    private static void brownedBar(Knowledge.Builder k) {
        k.condition(BROWNED)
                .happensTo(.08)
                .isMetBy(
                        "A look. It ends after some weeks.",
                        "Plan for brown, or leave the vanillin, milk or sugar out.");
        k.finding("browned")
                .happensAnyway(.02)
                .points(.90)
                .to(BROWNED)
                .because("vanillin, sugars, milk or tannin darken");
        k.finding(DARK_CORE).points(.04).to(BROWNED).because("the core browns first");
        k.fact("something in it that browns", f -> Facts.does(f, "discolours_brown"))
                .shifts(BROWNED)
                .by(9)
                .because("it is known to");
        k.fact("nothing in it that browns", f -> !Facts.does(f, "discolours_brown") && !f.canScorch())
                .shifts(BROWNED)
                .by(-8)
                .because("nothing known to");
    }

    private static void colourTurned(Knowledge.Builder k) {
        k.condition(COLOUR_TURNED)
                .happensTo(.02)
                .isMetBy("A look.", "Pigments that stand alkali; try a drop in lye first.");
        k.finding("colour-turned")
                .happensAnyway(.01)
                .points(.93)
                .to(COLOUR_TURNED)
                .because("that dye does not stand alkali");
        k.fact("colour in it", f -> Facts.has(f, "colourant"))
                .shifts(COLOUR_TURNED)
                .by(4)
                .because("there is colour to turn");
        k.fact("no colour in it", f -> !Facts.has(f, "colourant", "fragrance"))
                .shifts(COLOUR_TURNED)
                .by(-8)
                .because("there is none to turn");
    }

    private static void fadedScent(Knowledge.Builder k) {
        k.condition(FADED_SCENT)
                .happensTo(.06)
                .isMetBy(
                        "Wrap it; nothing brings it back.",
                        "More base notes, cooler, added late; citrus does not last.");
        k.finding("weak-scent").points(.90).to(FADED_SCENT).because("light notes leave with heat, air and time");
        k.fact("scent in it", f -> Facts.has(f, "fragrance"))
                .shifts(FADED_SCENT)
                .by(2)
                .because("there is scent to leave");
        k.fact("no scent in it", f -> !Facts.has(f, "fragrance"))
                .shifts(FADED_SCENT)
                .by(-12)
                .because("there is none to leave");
    }

    private static void bled(Knowledge.Builder k) {
        k.condition(BLEED).happensTo(.02).isMetBy("A look.", "Pigments that do not dissolve in water; less water.");
        k.finding("halo").points(.88).to(BLEED).because("what dissolves in water wanders");
        k.fact("colour or petals in it", f -> Facts.has(f, "colourant", "botanical"))
                .shifts(BLEED)
                .by(3)
                .because("there is colour to wander");
        k.fact("neither colour nor petals in it", f -> !Facts.has(f, "colourant", "botanical", "clay"))
                .shifts(BLEED)
                .by(-8)
                .because("there is none to wander");
        k.fact(Facts::weakLye).shifts(BLEED).by(2).because("water carries it");
    }

    private static void botanicals(Knowledge.Builder k) {
        k.condition(BROWN_BOTANICALS)
                .happensTo(.02)
                .isMetBy("Brush them off.", "Only on top, late, pressed in; calendula keeps its colour.");
        k.finding("brown-petals")
                .happensAnyway(.01)
                .points(.93)
                .to(BROWN_BOTANICALS)
                .because("alkali browns leaves and petals");
        k.fact("petals or herbs in it", f -> Facts.has(f, "botanical"))
                .shifts(BROWN_BOTANICALS)
                .by(9)
                .because("there are some to go brown");
        k.fact("no petals in it", f -> !Facts.has(f, "botanical"))
                .shifts(BROWN_BOTANICALS)
                .by(-9)
                .because("there are none by the plan");
        k.finding("loose-petals")
                .happensAnyway(.01)
                .points(.75)
                .to(BROWN_BOTANICALS)
                .because("nothing holds them");
        k.finding("halo").points(.15).to(BROWN_BOTANICALS).because("they bleed");
    }

    private static void fragranceSeep(Knowledge.Builder k) {
        k.condition(FRAGRANCE_SEEP)
                .happensTo(.012)
                .isMetBy(
                        "Let it stand some days, it is often taken up; wipe the rest. Oil, not liquor: it smells and"
                                + " does not sting.",
                        "At most the supplier's dose; blended in before it is thick.");
        k.finding("scented-beads")
                .happensAnyway(.005)
                .points(.90)
                .to(FRAGRANCE_SEEP)
                .because("more than the soap holds, or not stirred in");
        k.finding("soft-rings")
                .happensAnyway(.008)
                .points(.70)
                .to(FRAGRANCE_SEEP)
                .because("oil softens the soap round it");
        k.finding("oily").points(.35).to(FRAGRANCE_SEEP).because("it comes out");
        k.fact("no scent in it", f -> !Facts.has(f, "fragrance"))
                .shifts(FRAGRANCE_SEEP)
                .by(-12)
                .because("there is none to come out");
        k.fact(f -> Facts.overdosed(f, "fragrance"))
                .shifts(FRAGRANCE_SEEP)
                .by(8)
                .because("more than soap can hold");
        k.finding(PUDDLES).points(.10).to(FRAGRANCE_SEEP).because("on top it stands in drops");
    }

    private static void honeySpots(Knowledge.Builder k) {
        k.condition(HONEY_SPOTS)
                .happensTo(.008)
                .isMetBy("A look; they wash out.", "Thin honey and sugar with water before they go in.");
        k.finding("brown-dots").happensAnyway(.008).points(.90).to(HONEY_SPOTS).because("it was not thinned");
        k.finding("dew").points(.20).to(HONEY_SPOTS).because("sugar draws water");
        k.fact("honey or sugar in it", f -> Facts.has(f, "sweetener"))
                .shifts(HONEY_SPOTS)
                .by(9)
                .because("there is some to clump");
        k.fact("neither honey nor sugar in it", f -> !Facts.has(f, "sweetener"))
                .shifts(HONEY_SPOTS)
                .by(-10)
                .because("there is none");
    }

    private static void otherSmell(Knowledge.Builder k) {
        k.condition(OFF_SMELL)
                .happensTo(.012)
                .isMetBy(
                        "Wait some weeks. What is sour and grows: look for a spoiled addition.",
                        "Smell fats and milk before they go in.");
        k.finding("fishy-smell")
                .happensAnyway(.006)
                .points(.85)
                .to(OFF_SMELL)
                .because("old fat, or amines of milk in lye");
        k.finding("scent-other").happensAnyway(.03).points(.55).to(OFF_SMELL).because("lye changed what it is made of");
        k.fact("milk or sugar in the liquid", f -> f.canScorch())
                .shifts(OFF_SMELL)
                .by(3)
                .because("their amines and sugars smell in lye");
        k.finding("bar-smells-burnt")
                .happensAnyway(.008)
                .points(.45)
                .to(OFF_SMELL)
                .because("sugar or milk that was scorched");
        k.finding("sour-smell").points(.30).to(OFF_SMELL).because("old fat or milk");
    }
}
