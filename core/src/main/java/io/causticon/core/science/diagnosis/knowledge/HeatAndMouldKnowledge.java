package io.causticon.core.science.diagnosis.knowledge;

import static io.causticon.core.model.finding.Findings.CLINGS;
import static io.causticon.core.model.finding.Findings.DENTS;
import static io.causticon.core.model.finding.Findings.TUNNELS;

import io.causticon.core.model.log.GelExtent;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.science.facts.BatchFacts;

/** What heat, cold and the mould do to a loaf, beside overheating and gel. */
final class HeatAndMouldKnowledge implements Knowledge.Source {

    /** Overheating brings it about. */
    static final Condition HEAT_TUNNEL = Condition.cosmetic("heat-tunnels", "heat tunnels");

    private static final Condition AIR_GAP = Condition.cosmetic("air-gap", "air gap");
    private static final Condition OVEN_POCKS = Condition.cosmetic("oven-pocks", "oven pocks");
    private static final Condition GLYCERIN_RIVERS = Condition.cosmetic("glycerin-rivers", "glycerin rivers");
    private static final Condition DID_NOT_SET = Condition.cosmetic("did-not-set", "did not set");
    private static final Condition STUCK = Condition.cosmetic("stuck-to-mould", "stuck to the mould");
    private static final Condition MOULD_RINGS = Condition.cosmetic("mould-rings", "mark of mould or liner");
    private static final Condition BOWED = Condition.cosmetic("bowed-mould", "bowed mould");
    private static final Condition LEAK = Condition.cosmetic("leak", "leak");
    private static final Condition DRAG = Condition.cosmetic("torn-cut", "torn cut");
    private static final Condition LAYERS_PART = Condition.cosmetic("layers-part", "layers that part");
    private static final Condition EMBED_SHRANK = Condition.cosmetic("shrinking-embed", "shrinking embed");

    @Override
    public void tell(Knowledge.Builder k) {
        heatTunnels(k);
        airGap(k);
        ovenPocks(k);
        rivers(k);
        didNotSet(k);
        stuckToMould(k);
        mouldRings(k);
        bowedMould(k);
        leak(k);
        tornCut(k);
        layersPart(k);
        embed(k);
    }

    private static void heatTunnels(Knowledge.Builder k) {
        k.condition(HEAT_TUNNEL)
                .happensTo(.006)
                .isMetBy(
                        "Gloves: look whether they hold liquor, strip and titrate. Dry holes are a look.",
                        "Pour cooler, no towels, fridge for sugar and milk.");
        k.finding("rough-holes").happensAnyway(.006).points(.90).to(HEAT_TUNNEL).because("the core foamed");
        k.finding(TUNNELS).points(.70).to(HEAT_TUNNEL).because("the core foamed");
        k.fact("kept cold", BatchFacts::wasKeptCold)
                .shifts(HEAT_TUNNEL)
                .by(-8)
                .because("it never got hot enough to foam");
        k.finding("hollow-tap").points(.50).to(HEAT_TUNNEL).because("a space inside rings");
    }

    private static void airGap(Knowledge.Builder k) {
        k.condition(AIR_GAP)
                .happensTo(.012)
                .isMetBy("A look. A smooth dry hole is air.", "Spoon thick batter in small portions, press and tap.");
        k.finding("smooth-hole").happensAnyway(.008).points(.90).to(AIR_GAP).because("thick batter bridged over air");
        k.finding("hollow-tap").happensAnyway(.01).points(.55).to(AIR_GAP).because("a space inside rings");
        k.fact(
                        "thick when poured",
                        f -> f.stageWhenPoured()
                                .map(s -> s.isAtLeast(Stage.THICK))
                                .orElse(false))
                .shifts(AIR_GAP)
                .by(6)
                .because("it does not flow into corners");
    }

    private static void ovenPocks(Knowledge.Builder k) {
        k.condition(OVEN_POCKS).happensTo(.01).isMetBy("Plane the faces.", "A cooler oven, or a wooden mould.");
        k.finding("silicone-pits").points(.85).to(OVEN_POCKS).because("water boils off against silicone");
        k.finding("oven-craters")
                .happensAnyway(.01)
                .points(.55)
                .to(OVEN_POCKS)
                .because("vapour leaves through the skin");
        k.fact("in the oven", f -> f.was(MouldCare.OVEN))
                .shifts(OVEN_POCKS)
                .by(9)
                .because("that is where they come from");
        k.fact("never in an oven, by the log", f -> !f.was(MouldCare.OVEN))
                .shifts(OVEN_POCKS)
                .by(-4)
                .because("they come from heat");
        k.fact("in a wooden mould", f -> Facts.isIn(f, MouldKind.WOODEN_LOAF))
                .shifts(OVEN_POCKS)
                .by(-6)
                .because("they come against silicone");
    }

    private static void rivers(Knowledge.Builder k) {
        k.condition(GLYCERIN_RIVERS)
                .happensTo(.04)
                .isMetBy("A look, and to some a fine one.", "Less water, cooler, a little less titanium dioxide.");
        k.finding("glassy-veins")
                .happensAnyway(.012)
                .points(.92)
                .to(GLYCERIN_RIVERS)
                .because("soap of two kinds parts as a hot, wet loaf cools slowly");
        k.finding("veins-smooth")
                .happensAnyway(.02)
                .points(.70)
                .to(GLYCERIN_RIVERS)
                .because("both kinds are soap, equally hard");
        k.fact(Facts::weakLye).shifts(GLYCERIN_RIVERS).by(4).because("much water lets it part");
        k.fact(
                        "gel went all through",
                        f -> f.gel().map(g -> g == GelExtent.FULL).orElse(false))
                .shifts(GLYCERIN_RIVERS)
                .by(4)
                .because("it was hot enough to part");
        k.fact("no gel", f -> f.gel().map(g -> g == GelExtent.NONE).orElse(false))
                .shifts(GLYCERIN_RIVERS)
                .by(-9)
                .because("it was never hot enough");
    }

    private static void didNotSet(Knowledge.Builder k) {
        k.condition(DID_NOT_SET)
                .happensTo(.006)
                .isMetBy(
                        "Scoop it into bowls as a cream for washing once it is tested, or rebatch with what is"
                                + " missing. Gloves until then.",
                        "Fewer solids; weigh the lye twice.");
        k.finding("loose-after-two-days")
                .happensAnyway(.006)
                .points(.92)
                .to(DID_NOT_SET)
                .because("too many solids, too little lye, or it parted");
        k.finding(DENTS).points(.75).to(DID_NOT_SET).because("it has not set");
        k.finding(CLINGS).points(.60).to(DID_NOT_SET).because("it has not set");
        k.finding("never-hard").points(.35).to(DID_NOT_SET).because("it has not set");
        k.fact(f -> Facts.overdosed(f, "clay", "exfoliant", "wax", "sweetener", "humectant"))
                .shifts(DID_NOT_SET)
                .by(8)
                .because("too many solids");
    }

    private static void stuckToMould(Knowledge.Builder k) {
        k.condition(STUCK)
                .happensTo(.05)
                .isMetBy(
                        "An hour in the freezer, then push it out. Plane the faces.",
                        "Wait a day longer; line or oil what is stiff.");
        k.finding("stuck").happensAnyway(.02).points(.90).to(STUCK).because("it was softer than its mould is smooth");
        k.finding(CLINGS).points(.70).to(STUCK).because("it was softer than its mould is smooth");
    }

    private static void mouldRings(Knowledge.Builder k) {
        k.condition(MOULD_RINGS).happensTo(.03).isMetBy("Plane it, or leave it.", "A smooth liner, stretched.");
        k.finding("mould-rings").happensAnyway(.02).points(.90).to(MOULD_RINGS).because("it prints what it touches");
        k.finding("liner-folds").happensAnyway(.02).points(.60).to(MOULD_RINGS).because("it prints what it touches");
    }

    private static void bowedMould(Knowledge.Builder k) {
        k.condition(BOWED).happensTo(.01).isMetBy("Cut by weight.", "A stiffer mould, or a crate round it.");
        k.finding("bowed").happensAnyway(.008).points(.92).to(BOWED).because("wet batter pushes the walls");
        k.finding("uneven-bars").happensAnyway(.03).points(.60).to(BOWED).because("the loaf was not straight");
        k.fact("in a silicone loaf mould", f -> Facts.isIn(f, MouldKind.SILICONE_LOAF))
                .shifts(BOWED)
                .by(4)
                .because("its walls give way");
        k.fact("in cavities", f -> Facts.isIn(f, MouldKind.CAVITIES))
                .shifts(BOWED)
                .by(-6)
                .because("small walls hold");
    }

    private static void leak(Knowledge.Builder k) {
        k.condition(LEAK)
                .happensTo(.01)
                .isMetBy(
                        "Gloves. Stand it in a tray, scrape up what ran out, wipe with much water.",
                        "Pour a finger deep first and let it seal.");
        k.finding("leaked").happensAnyway(.005).points(.95).to(LEAK).because("thin batter finds the seam");
        k.finding("seam-crust").happensAnyway(.006).points(.60).to(LEAK).because("what ran out dried there");
        k.finding("uneven-bars").points(.15).to(LEAK).because("part of it ran away");
    }

    private static void tornCut(Knowledge.Builder k) {
        k.condition(DRAG)
                .happensTo(.03)
                .isMetBy("Plane or stamp over it.", "Cut on its side, a day later, with a wiped wire.");
        k.finding("drag-lines")
                .happensAnyway(.015)
                .points(.90)
                .to(DRAG)
                .because("soft soap, toppings on top, or a dirty wire");
        k.finding("wire-ripples").happensAnyway(.02).points(.60).to(DRAG).because("a slack or dirty wire jumps");
        k.finding("warm-cut").happensAnyway(.03).points(.35).to(DRAG).because("warm soap clings to the wire");
    }

    private static void layersPart(Knowledge.Builder k) {
        k.condition(LAYERS_PART)
                .happensTo(.015)
                .isMetBy(
                        "Rub both faces wet and press; keep the halves otherwise.",
                        "Pour on before the first skin is dry; no dry mica between.");
        k.finding("layers-split").points(.90).to(LAYERS_PART).because("nothing bound them");
        k.finding("lifts-off").happensAnyway(.004).points(.65).to(LAYERS_PART).because("nothing bound them");
        k.fact("made in one pour", f -> !Facts.isLayered(f))
                .shifts(LAYERS_PART)
                .by(-10)
                .because("there are no layers");
        k.fact("made in parts", Facts::isLayered).shifts(LAYERS_PART).by(5).because("there are layers to part");
    }

    private static void embed(Knowledge.Builder k) {
        k.condition(EMBED_SHRANK)
                .happensTo(.004)
                .isMetBy("A look.", "Embeds of the age of the bar, or well cured ones.");
        k.finding("embed-gap")
                .happensAnyway(.002)
                .points(.92)
                .to(EMBED_SHRANK)
                .because("younger soap shrinks more than older");
        k.finding("embed-loose")
                .happensAnyway(.002)
                .points(.55)
                .to(EMBED_SHRANK)
                .because("its hole grew wider than it");
    }
}
