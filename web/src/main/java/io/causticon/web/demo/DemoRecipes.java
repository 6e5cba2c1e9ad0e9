package io.causticon.web.demo;

import io.causticon.core.model.mould.Line;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** The recipes of the made-up workshop. */
final class DemoRecipes {

    static final Mould OAK_LOAF = new Mould("oak loaf", MouldKind.WOODEN_LOAF, 300, 85, 75, 1);
    static final Mould SMALL_LOAF = new Mould("silicone loaf", MouldKind.SILICONE_LOAF, 240, 65, 75, 1);
    static final Mould SLAB = new Mould("slab", MouldKind.SLAB, 380, 240, 45, 1);
    static final Mould TUBE = new Mould("rain pipe", MouldKind.TUBE, 72, 72, 300, 1);
    static final Mould CAVITIES = new Mould("twelve cavities", MouldKind.CAVITIES, 80, 55, 30, 12);

    static final Vessel FIRST_JUG = new Vessel("first jug", VesselMaterial.POLYPROPYLENE, Mass.grams(112));
    static final Vessel STEEL_POT = new Vessel("steel pot", VesselMaterial.STAINLESS_STEEL, Mass.grams(640));
    static final Vessel WIDE_POT = new Vessel("wide pot", VesselMaterial.STAINLESS_STEEL, Mass.grams(1240));

    private final String name;
    private final List<FatPortion> fats = new ArrayList<>();
    private final List<LiquidPart> liquids = new ArrayList<>();
    private final List<AdditivePortion> additives = new ArrayList<>();
    private double superfat = 5;
    private Vessel lyeIn = FIRST_JUG;
    private double concentration = 0.33;
    private double mixAt = 40;
    private GelGoal gel = GelGoal.ALLOW;
    private Mould mould = OAK_LOAF;

    private DemoRecipes(String name) {
        this.name = name;
    }

    static BatchPlan wheyAndBarley() {
        return new DemoRecipes("Whey & Barley")
                .fat("olive-oil", 504)
                .fat("lard", 264)
                .fat("coconut-oil-76", 240)
                .fat("shea-butter", 96)
                .fat("cocoa-butter", 60)
                .fat("castor-oil", 36)
                .liquid("distilled-water", 20, false)
                .liquid("whey-sweet", 80, true)
                .additive("barley-flour", 20)
                .additive("eo-lavender", 30)
                .mixAt(34)
                .plan();
    }

    /** Three layers drawn on the end face, the recipe sized by the mould. */
    static BatchPlan threeTides() {
        BatchPlan plan = new DemoRecipes("Three Tides")
                .fat("olive-oil", 560)
                .fat("coconut-oil-76", 340)
                .fat("lard", 260)
                .fat("cocoa-butter", 60)
                .fat("castor-oil", 50)
                .water()
                .mixAt(38)
                .plan();
        Catalogue tables = Catalogue.standard();
        List<Portion> layers = List.of(
                Portion.layer("sand", line(18, 22, 16)).with(tables.additive("kaolin"), Dose.ofFats(Share.percent(2))),
                Portion.layer("sea", line(40, 34, 44)).with(tables.additive("indigo"), Dose.ofFats(Share.percent(0.3))),
                Portion.layer("haze", line(66, 70, 62)).with(tables.additive("mica"), Dose.ofFats(Share.percent(1))));
        return plan.with(
                plan.pouring().divided(new Portioning(Portioning.Way.LAYERS, layers, Portioning.USUALLY_STUCK)));
    }

    private static Line line(double left, double middle, double right) {
        return new Line(List.of(
                new Line.Point(0, left),
                new Line.Point(OAK_LOAF.width() / 2, middle),
                new Line.Point(OAK_LOAF.width(), right)));
    }

    /** As it stands on the demo's shelf. */
    static final Additive TARRED_HEMP = Additive.ownFragrance(
            "own-tarred-hemp",
            "Tarred hemp",
            30.0,
            Set.of("ricing_possible", "discolours_brown"),
            Set.of("eugenol"),
            "rices below 38 \u00b0C");

    static BatchPlan ryeBeerTar() {
        return new DemoRecipes("Rye-beer Tar")
                .fat("tallow-beef", 480)
                .fat("olive-oil", 420)
                .fat("coconut-oil-76", 240)
                .fat("castor-oil", 60)
                .liquid("distilled-water", 60, false)
                .liquid("beer-flat", 40, true)
                .additive(TARRED_HEMP, 18)
                .gel(GelGoal.FORCE)
                .mixAt(41)
                .plan();
    }

    static BatchPlan juniper() {
        return new DemoRecipes("Juniper Slab")
                .fat("olive-oil", 900)
                .fat("palm-oil", 500)
                .fat("coconut-oil-76", 500)
                .fat("castor-oil", 100)
                .water()
                .additive("green-clay", 30)
                .additive("eo-rosemary", 36)
                .in(SLAB)
                .mixAt(40)
                .plan();
    }

    static BatchPlan nettle() {
        return nettle(0.28);
    }

    /** With so much lye in its water. */
    static BatchPlan nettle(double concentration) {
        return new DemoRecipes("Nettle")
                .fat("olive-oil", 400)
                .fat("rice-bran-oil", 120)
                .fat("coconut-oil-76", 200)
                .fat("shea-butter", 80)
                .water()
                .concentration(concentration)
                .in(SMALL_LOAF)
                .mixAt(33)
                .plan();
    }

    static BatchPlan brine() {
        return new DemoRecipes("Bladderwrack Brine")
                .fat("coconut-oil-76", 700)
                .fat("olive-oil", 200)
                .fat("shea-butter", 100)
                .liquid("brine-25", 100, false)
                .superfat(15)
                .concentration(0.30)
                .in(CAVITIES)
                .mixAt(39)
                .plan();
    }

    static BatchPlan sailLoftTar() {
        return new DemoRecipes("Sail Loft Tar")
                .fat("olive-oil", 540)
                .fat("lard", 264)
                .fat("coconut-oil-76", 300)
                .fat("castor-oil", 96)
                .water()
                .mixAt(40)
                .plan();
    }

    static BatchPlan seaBuckthorn() {
        return new DemoRecipes("Sea Buckthorn Winter")
                .fat("olive-oil", 750)
                .fat("coconut-oil-76", 330)
                .fat("shea-butter", 225)
                .fat("sea-buckthorn-fruit-oil", 45)
                .fat("sunflower-oil-high-oleic", 150)
                .water()
                .superfat(6)
                .gel(GelGoal.FORCE)
                .additive("eo-lavender", 24)
                .mixAt(42)
                .plan();
    }

    static BatchPlan harbourMilk() {
        return new DemoRecipes("Harbour Milk")
                .fat("olive-oil", 450)
                .fat("coconut-oil-76", 250)
                .fat("cocoa-butter", 100)
                .liquid("goat-milk-whole", 100, false)
                .lyeIn(STEEL_POT)
                .superfat(7)
                .in(SMALL_LOAF)
                .mixAt(38)
                .plan();
    }

    static BatchPlan cloveLantern() {
        return new DemoRecipes("Clove Lantern")
                .fat("tallow-beef", 500)
                .fat("coconut-oil-76", 250)
                .fat("olive-oil", 250)
                .water()
                .concentration(0.36)
                .additive("eo-clove", 10)
                .mixAt(45)
                .plan();
    }

    static BatchPlan honeyLoft() {
        return new DemoRecipes("Honey Loft")
                .fat("olive-oil", 600)
                .fat("coconut-oil-76", 330)
                .fat("palm-oil", 270)
                .water()
                .additive("honey", 72)
                .gel(GelGoal.FORCE)
                .mixAt(46)
                .plan();
    }

    static BatchPlan ferryBar() {
        return new DemoRecipes("Ferry Bar")
                .fat("olive-oil", 540)
                .fat("palm-oil", 300)
                .fat("coconut-oil-76", 300)
                .fat("castor-oil", 60)
                .water()
                .gel(GelGoal.FORCE)
                .additive(TARRED_HEMP, 20)
                .mixAt(43)
                .plan();
    }

    static BatchPlan longShelf() {
        return new DemoRecipes("Long Shelf")
                .fat("olive-oil", 2000)
                .water()
                .concentration(0.36)
                .in(SLAB)
                .mixAt(43)
                .plan();
    }

    /** Much of it goes stale soon, and much of that is left as fat. */
    static BatchPlan rapeseedAndRye() {
        return new DemoRecipes("Rapeseed & Rye")
                .fat("canola-oil", 520)
                .fat("hempseed-oil", 90)
                .fat("coconut-oil-76", 330)
                .fat("lard", 260)
                .water()
                .superfat(8)
                .mixAt(38)
                .plan();
    }

    /** A shaving soap: stearic acid, both alkalis, cooked. */
    static BatchPlan loftLather() {
        BatchPlan plan = new DemoRecipes("Loft Lather")
                .fat("stearic-acid", 320)
                .fat("tallow-beef", 180)
                .fat("coconut-oil-76", 130)
                .fat("castor-oil", 70)
                .water()
                .superfat(4)
                .concentration(0.26)
                .in(CAVITIES)
                .mixAt(70)
                .plan();
        Formula f = plan.formula();
        AlkaliChoice both = new AlkaliChoice(Share.percent(40), Share.percent(98), AlkaliChoice.USUAL_KOH_PURITY);
        Formula mixed = new Formula(f.fats(), both, f.superfat(), f.liquidTarget(), f.liquidParts(), f.additives());
        return plan.with(mixed).with(Process.HOT);
    }

    static BatchPlan skerrowFog() {
        return new DemoRecipes("Skerrow Fog")
                .fat("olive-oil", 540)
                .fat("palm-oil", 300)
                .fat("coconut-oil-76", 300)
                .fat("castor-oil", 60)
                .water()
                .concentration(0.27)
                .gel(GelGoal.FORCE)
                .additive("titanium-dioxide", 18)
                .mixAt(44)
                .plan();
    }

    static BatchPlan netLoft() {
        return new DemoRecipes("Net Loft Lavender")
                .fat("olive-oil", 560)
                .fat("coconut-oil-76", 300)
                .fat("lard", 260)
                .fat("shea-butter", 80)
                .water()
                .additive("eo-lavender", 28)
                .mixAt(40)
                .plan();
    }

    static BatchPlan harbourDusk() {
        return new DemoRecipes("Harbour Dusk")
                .fat("olive-oil", 480)
                .fat("tallow-beef", 360)
                .fat("coconut-oil-76", 240)
                .fat("castor-oil", 60)
                .water()
                .concentration(0.28)
                .mixAt(60)
                .plan()
                .with(Process.HOT);
    }

    static final List<String> WATERS = List.of("water", "goat", "cream", "tea", "oat", "beer");

    /** One batter in six equal cups, each with a liquid of its own. */
    static BatchPlan sixWaters() {
        BatchPlan plan = new DemoRecipes("Six Waters")
                .fat("olive-oil", 480)
                .fat("coconut-oil-76", 280)
                .fat("palm-oil", 240)
                .water()
                .concentration(0.36)
                .mixAt(38)
                .plan();
        Catalogue tables = Catalogue.standard();
        List<String> ids =
                List.of("distilled-water", "goat-milk-whole", "heavy-cream-36", "black-tea", "oat-milk", "beer-flat");
        List<Portion> cups = new ArrayList<>();
        for (int i = 0; i < ids.size(); i++) {
            cups.add(Portion.sharing(WATERS.get(i), Share.fraction(1.0 / ids.size()))
                    .with(tables.liquid(ids.get(i)), Dose.ofFats(Share.percent(6))));
        }
        return plan.with(plan.pouring().divided(new Portioning(Portioning.Way.CUPS, cups, Portioning.USUALLY_STUCK)));
    }

    private DemoRecipes fat(String id, double grams) {
        fats.add(new FatPortion(Catalogue.standard().fat(id), Mass.grams(grams)));
        return this;
    }

    private DemoRecipes liquid(String id, double percent, boolean frozen) {
        liquids.add(new LiquidPart(
                Catalogue.standard().liquid(id),
                Share.percent(percent),
                frozen ? LiquidState.FROZEN : LiquidState.LIQUID));
        return this;
    }

    private DemoRecipes water() {
        return liquid("distilled-water", 100, false);
    }

    private DemoRecipes additive(Additive own, double grams) {
        additives.add(new AdditivePortion(own, Mass.grams(grams)));
        return this;
    }

    private DemoRecipes additive(String id, double grams) {
        additives.add(new AdditivePortion(Catalogue.standard().additive(id), Mass.grams(grams)));
        return this;
    }

    private DemoRecipes superfat(double percent) {
        superfat = percent;
        return this;
    }

    private DemoRecipes concentration(double fraction) {
        concentration = fraction;
        return this;
    }

    private DemoRecipes gel(GelGoal goal) {
        gel = goal;
        return this;
    }

    private DemoRecipes in(Mould other) {
        mould = other;
        return this;
    }

    private DemoRecipes lyeIn(Vessel other) {
        lyeIn = other;
        return this;
    }

    private DemoRecipes mixAt(double celsius) {
        mixAt = celsius;
        return this;
    }

    private BatchPlan plan() {
        Formula formula = new Formula(
                fats,
                AlkaliChoice.naoh(Share.percent(98)),
                Share.percent(superfat),
                LiquidTarget.concentration(concentration),
                liquids,
                additives);
        Scales scales = new Scales(Mass.grams(1), Mass.grams(0.1));
        return new BatchPlan(name, formula, Process.COLD, gel, mould, Temperature.celsius(mixAt), scales, "")
                .with(PlanFields.LYE_VESSEL, lyeIn)
                .with(PlanFields.FATS_VESSEL, WIDE_POT);
    }
}
