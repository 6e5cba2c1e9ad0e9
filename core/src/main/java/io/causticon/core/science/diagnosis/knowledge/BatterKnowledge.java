package io.causticon.core.science.diagnosis.knowledge;

import static io.causticon.core.model.finding.Findings.BRITTLE;
import static io.causticon.core.model.finding.Findings.CURDS;
import static io.causticon.core.model.finding.Findings.SOLID_AT_ONCE;
import static io.causticon.core.science.diagnosis.network.Conditions.SEPARATION;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Knowledge;

/** What a batter does between the lye and the mould. */
final class BatterKnowledge implements Knowledge.Source {

    private static final Condition RICING = Condition.cosmetic("ricing", "ricing");
    private static final Condition ACCELERATION = Condition.cosmetic("acceleration", "acceleration");
    private static final Condition SLOW_TRACE = Condition.cosmetic("slow-trace", "slow trace");
    private static final Condition FALSE_TRACE = Condition.cosmetic("false-trace", "false trace");
    private static final Condition TRAPPED_AIR = Condition.cosmetic("trapped-air", "trapped air");
    private static final Condition GRAINY_LAYER = Condition.cosmetic("grainy-layer", "grainy layer");
    private static final Condition UNDISPERSED_COLOUR = Condition.cosmetic("undispersed-colour", "undispersed colour");
    private static final Condition UNDISPERSED_POWDER = Condition.cosmetic("undispersed-powder", "undispersed powder");
    private static final Condition CURDS_IN_BAR = Condition.cosmetic("milk-curds", "curds of milk or egg");
    private static final Condition TEMPERATURE_STREAKS =
            Condition.cosmetic("temperature-streaks", "temperature streaks");

    private static final double MUCH_OLEIC = .65;

    @Override
    public void tell(Knowledge.Builder k) {
        ricing(k);
        acceleration(k);
        slowTrace(k);
        falseTrace(k);
        trappedAir(k);
        grainyLayer(k);
        colour(k);
        powder(k);
        curdsInBar(k);
        streaks(k);
    }

    private static void ricing(Knowledge.Builder k) {
        k.condition(RICING)
                .happensTo(.02)
                .isMetBy(
                        "Blend it through if it lets you; the specks are a matter of looks.",
                        "That fragrance into the warm fats, or warmer batter.");
        k.finding("riced-grains")
                .happensAnyway(.005)
                .points(.92)
                .to(RICING)
                .because("resins of a fragrance set in the cool batter");
        k.finding("grainy-bar").happensAnyway(.02).points(.30).to(RICING).because("grains that were not blended out");
        k.finding("gritty-flecks").happensAnyway(.015).points(.10).to(RICING).because("grains look like flecks");
        k.fact("no scent in it", f -> !Facts.has(f, "fragrance"))
                .shifts(RICING)
                .by(-8)
                .because("its resins are what sets");
    }

    private static void acceleration(Knowledge.Builder k) {
        k.condition(ACCELERATION)
                .happensTo(.06)
                .isMetBy(
                        "Pour what you have, tap it well; a plain design saves the bar.",
                        "A simpler design, cooler batter, that fragrance last and by hand.");
        k.finding("thick-early")
                .happensAnyway(.03)
                .points(.92)
                .to(ACCELERATION)
                .because("fragrance, heat, sugar, clay or the blender drove it");
        k.finding("pinholes").happensAnyway(.03).points(.20).to(ACCELERATION).because("thick batter holds its air");
        k.finding(SOLID_AT_ONCE).points(.10).to(ACCELERATION).because("it can end so");
        k.fact(Facts::mover).shifts(ACCELERATION).by(5).because("it is known to move a batter");
        k.fact(Facts::muchBlending).shifts(ACCELERATION).by(3).because("blending drives it");
    }

    private static void slowTrace(Knowledge.Builder k) {
        k.condition(SLOW_TRACE)
                .happensTo(.04)
                .isMetBy(
                        "Warm it a few degrees, blend in bursts, wait. Ask first whether all the lye is in.",
                        "Stronger lye, warmer, a little of what sets fast.");
        k.finding("thin-late")
                .happensAnyway(.02)
                .points(.90)
                .to(SLOW_TRACE)
                .because("little that sets fast, cool, or much water");
        k.finding("oil-streaks").points(.35).to(SLOW_TRACE).because("the emulsion comes late");
        k.fact(Facts::weakLye).shifts(SLOW_TRACE).by(4).because("dilute lye reacts slowly");
        k.fact(f -> Facts.atLeast(f, Family.MONO_UNSATURATED, MUCH_OLEIC, "oleic acid"))
                .shifts(SLOW_TRACE)
                .by(4)
                .because("it reacts slowly");
    }

    private static void falseTrace(Knowledge.Builder k) {
        k.condition(FALSE_TRACE)
                .happensTo(.03)
                .bringsAbout(SEPARATION, .05)
                .isMetBy(
                        "Warm it until it is clear and thin, then blend on: it only set, it did not saponify.",
                        "Keep the batter above the melting point of its hardest fat.");
        k.finding("grainy-cool")
                .happensAnyway(.01)
                .points(.85)
                .to(FALSE_TRACE)
                .because("hard fats set in the cool batter");
        k.finding("thins-when-warm")
                .happensAnyway(.008)
                .points(.92)
                .to(FALSE_TRACE)
                .because("what melts again was no trace");
        k.finding("grainy-bar").points(.35).to(FALSE_TRACE).because("grains of fat stay");
        k.finding(BRITTLE).points(.15).to(FALSE_TRACE).because("a bar of grains crumbles");
        k.finding("cloudy-fats").points(.40).to(FALSE_TRACE).because("they had begun to set");
        k.fact(Facts::belowClear).shifts(FALSE_TRACE).by(5).because("what is not clear sets");
    }

    private static void trappedAir(Knowledge.Builder k) {
        k.condition(TRAPPED_AIR)
                .happensTo(.05)
                .isMetBy(
                        "A look; plane the faces if you like.",
                        "Blender in at a slant and tapped under the surface; tap the mould.");
        k.finding("pinholes").points(.85).to(TRAPPED_AIR).because("air was stirred in");
        k.finding("froth").happensAnyway(.02).points(.65).to(TRAPPED_AIR).because("the blender drew air");
        k.finding("silicone-pits")
                .happensAnyway(.02)
                .points(.10)
                .to(TRAPPED_AIR)
                .because("bubbles lie against the mould");
        k.fact("tapped", f -> f.log().first(Entry.AirTapped.class).isPresent())
                .shifts(TRAPPED_AIR)
                .by(-3)
                .because("air was let out");
        k.fact(Facts::muchBlending).shifts(TRAPPED_AIR).by(3).because("each burst draws some air");
    }

    private static void grainyLayer(Knowledge.Builder k) {
        k.condition(GRAINY_LAYER)
                .happensTo(.01)
                .isMetBy(
                        "A look; it washes like the rest.",
                        "One portion at a time; keep the waiting ones covered and warm.");
        k.finding("sandy-layer")
                .happensAnyway(.006)
                .points(.90)
                .to(GRAINY_LAYER)
                .because("that portion waited or was worked too long");
        k.finding("batter-waited")
                .happensAnyway(.02)
                .points(.55)
                .to(GRAINY_LAYER)
                .because("it set while it waited");
        k.fact("made in one pour", f -> !Facts.isLayered(f))
                .shifts(GRAINY_LAYER)
                .by(-10)
                .because("nothing had to wait");
        k.fact("made in parts", Facts::isLayered).shifts(GRAINY_LAYER).by(5).because("parts wait for each other");
        k.fact(Facts::waited).shifts(GRAINY_LAYER).by(6).because("it set while it stood");
    }

    private static void colour(Knowledge.Builder k) {
        k.condition(UNDISPERSED_COLOUR)
                .happensTo(.04)
                .isMetBy(
                        "A look; a coloured lather shows where it is much.",
                        "Wet the colour with oil or glycerin, rub it smooth, blend it in.");
        k.finding("colour-specks")
                .happensAnyway(.02)
                .points(.90)
                .to(UNDISPERSED_COLOUR)
                .because("dry pigment clumps");
        k.finding("coloured-lather")
                .happensAnyway(.004)
                .points(.10)
                .to(UNDISPERSED_COLOUR)
                .because("a clump comes off at once");
        k.fact("colour in it", f -> Facts.has(f, "colourant"))
                .shifts(UNDISPERSED_COLOUR)
                .by(4)
                .because("there is colour to clump");
        k.fact("no colour in it", f -> !Facts.has(f, "colourant"))
                .shifts(UNDISPERSED_COLOUR)
                .by(-12)
                .because("there is none to clump");
    }

    private static void powder(Knowledge.Builder k) {
        k.condition(UNDISPERSED_POWDER)
                .happensTo(.03)
                .isMetBy("A look, unless it scratches.", "Wet clay and powders with some of the water or oil first.");
        k.finding("gritty-flecks").points(.90).to(UNDISPERSED_POWDER).because("powder clumps when it is not wetted");
        k.fact("clay or powder in it", f -> Facts.has(f, "clay", "exfoliant"))
                .shifts(UNDISPERSED_POWDER)
                .by(4)
                .because("there is powder to clump");
        k.fact("no powder in it", f -> !Facts.has(f, "clay", "exfoliant", "colourant"))
                .shifts(UNDISPERSED_POWDER)
                .by(-10)
                .because("there is none to clump");
        k.finding("scratchy")
                .happensAnyway(.01)
                .points(.20)
                .to(UNDISPERSED_POWDER)
                .because("clumps are hard");
    }

    private static void curdsInBar(Knowledge.Builder k) {
        k.condition(CURDS_IN_BAR)
                .happensTo(.01)
                .isMetBy(
                        "A look. Pieces that smell are cut away.",
                        "Cool and thinned into the batter, blended at once.");
        k.finding("rubbery-bits")
                .happensAnyway(.006)
                .points(.90)
                .to(CURDS_IN_BAR)
                .because("protein clots in heat and lye");
        k.finding(CURDS).points(.55).to(CURDS_IN_BAR).because("they were there in the liquor");
        k.fact("nothing in it that clots", f -> !f.canScorch() && !Facts.has(f, "protein"))
                .shifts(CURDS_IN_BAR)
                .by(-12)
                .because("neither milk nor egg");
        k.fact("milk in it", f -> f.canScorch()).shifts(CURDS_IN_BAR).by(5).because("its protein clots");
    }

    private static void streaks(Knowledge.Builder k) {
        k.condition(TEMPERATURE_STREAKS)
                .happensTo(.02)
                .isMetBy(
                        "A look; it often evens out.", "Batter of one temperature and one age; stir before each pour.");
        k.finding("wavy-bands")
                .happensAnyway(.012)
                .points(.90)
                .to(TEMPERATURE_STREAKS)
                .because("batter of two temperatures or two ages met");
        k.fact("made in parts", Facts::isLayered)
                .shifts(TEMPERATURE_STREAKS)
                .by(4)
                .because("parts are of different ages");
        k.fact(Facts::waited).shifts(TEMPERATURE_STREAKS).by(4).because("it cooled while it stood");
    }
}
