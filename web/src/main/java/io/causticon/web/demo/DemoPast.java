package io.causticon.web.demo;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Behaviour;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MixMethod;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.TouchFeel;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.log.Whither;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.plan.ScrapPortion;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.cure.ScrapWater;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.Scraps;
import java.time.Duration;
import java.time.Instant;
import java.util.List;

/**
 * What Saltern Lane Soapworks made before this season: some that went well, and one of each kind of trouble that takes
 * months to show.
 */
final class DemoPast {

    private static final Entry CALM = new Entry.WashTested(WashFeel.CALM);
    private static final Entry FIRM = new Entry.TouchTested(TouchFeel.FIRM);

    private final Instant now;
    private final Temperature room;

    DemoPast(Instant now, Temperature room) {
        this.now = now;
        this.room = room;
    }

    /** Went stale on the shelf: much linoleic and linolenic acid, much of it left as fat, a year on. */
    DemoBatch rapeseedAndRye() {
        return batch(DemoRecipes.rapeseedAndRye(), 418, 21)
                .weighed()
                .potsMatched()
                .mixedTo(Stage.LIGHT)
                .pouredAndKept(MouldCare.COVERED)
                .unmouldedAndCut(12)
                .day(4, CALM)
                .day(12, FIRM)
                .day(43, CALM, new Entry.Released("six weeks, calm"))
                .day(60, went(5, Whither.SOLD, "the harbour shop"))
                .day(61, went(2, Whither.KEPT, "to see how they age"))
                .day(231, seen("orange-dots"))
                .day(
                        262,
                        seen("crayon-smell"),
                        new Entry.Concluded(new Named("stale-spots", "stale spots"), "the sun side of the rack first"))
                .day(263, went(5, Whither.DESTROYED, ""));
    }

    /** The same recipe with less water, under a lid: no ash. */
    DemoBatch nettleUnderItsLid() {
        return batch(DemoRecipes.nettle(0.33), 391, 22)
                .weighed()
                .potsMatched()
                .mixedTo(Stage.MEDIUM)
                .pouredAndKept(MouldCare.COVERED)
                .unmouldedAndCut(9)
                .day(4, CALM)
                .day(8, absent("thin-bloom"), FIRM)
                .day(36, CALM, new Entry.Released("five weeks, calm"))
                .day(41, went(9, Whither.SOLD, "the winter market"));
    }

    /** Poured too early after a whisk: it fell apart in its mould. */
    DemoBatch juniperThatParted() {
        return batch(DemoRecipes.juniper(), 352, 23)
                .weighed()
                .potsMatched()
                .mixedWith(MixMethod.WHISK)
                .mixedTo(Stage.EMULSION)
                .pouredAndKept(MouldCare.UNCOVERED)
                .day(1, seen("oil-layer"))
                .day(2.1, seen("loose-after-two-days"), seen("soft-below"))
                .day(
                        3,
                        new Entry.Concluded(
                                new Named("separation", "separation"), "poured before the streaks were gone"));
    }

    /** Given up before the pots met. */
    DemoBatch galeWarning() {
        return batch(DemoRecipes.harbourMilk().named("Gale Warning"), 318, 24)
                .weighed()
                .atMinute(12, new Entry.TemperatureRead(MeasurementPoint.ROOM, Temperature.celsius(15.9)))
                .atMinute(14, new Entry.ReadyForLye(List.of()))
                .atMinute(21, new Entry.Noted("the light went out, and the freezer with it"))
                .atMinute(64, new Entry.Abandoned("the power went in the gale, the milk thawed"));
    }

    /** A salt bar that waited too long for the knife. */
    DemoBatch brineCutTooLate() {
        return batch(DemoRecipes.brine(), 287, 25)
                .weighed()
                .potsMatched()
                .mixedTo(Stage.MEDIUM)
                .pouredAndKept(MouldCare.INSULATED)
                .unmouldedAndCut(12)
                .day(1.4, seen("brittle"))
                .day(3, CALM, absent("white-spots"), new Entry.PhRead(9.7, PhMethod.METER))
                .day(
                        10,
                        CALM,
                        new Entry.Concluded(
                                new Named("crumbly", "crumbly without too much alkali"),
                                "salt sets in hours; cut warm"))
                .day(40, CALM, new Entry.Released("calm, chipped ones kept"))
                .day(52, went(7, Whither.SOLD, "the harbour shop"))
                .day(53, went(5, Whither.KEPT, "for the loft"));
    }

    /** Shaving soap of both alkalis, cooked. */
    DemoBatch loftLather() {
        return batch(DemoRecipes.loftLather(), 251, 26)
                .weighed()
                .potsMatched()
                .mixedTo(Stage.MEDIUM)
                .cooked()
                .unmouldedAndCut(8)
                .day(1.8, new Entry.PhRead(9.9, PhMethod.METER))
                .day(7, CALM, new Entry.Lathered(5, null))
                .day(30, CALM, new Entry.Lathered(5, Bars.numbered(3)), new Entry.Released("calm, cream that stands"))
                .day(44, went(5, Whither.SOLD, "the barber at the quay"));
    }

    /** White with an old pigment in much water, forced through gel. */
    DemoBatch skerrowFog() {
        return batch(DemoRecipes.skerrowFog(), 214, 27)
                .weighed()
                .potsMatched()
                .mixedTo(Stage.MEDIUM)
                .pouredAndKept(MouldCare.INSULATED)
                .unmouldedAndCut(12)
                .day(2.3, seen("glassy-veins"), seen("veins-smooth"))
                .day(4, CALM)
                .day(9, new Entry.Concluded(new Named("glycerin-rivers", "glycerin rivers"), "less water next time"))
                .day(35, CALM, new Entry.Released("five weeks, calm; only the look"))
                .day(50, went(10, Whither.SOLD, "the spring fair"));
    }

    /** Sold, and called back when the supplier called back its scent. */
    DemoBatch netLoft() {
        return batch(DemoRecipes.netLoft(), 176, 28)
                .weighed()
                .potsMatched()
                .mixedTo(Stage.MEDIUM)
                .added("lavender", 28, "LV-2")
                .pouredAndKept(MouldCare.COVERED)
                .unmouldedAndCut(12)
                .day(4, CALM, FIRM)
                .day(33, CALM, new Entry.Released("calm on both makers"))
                .day(40, went(6, Whither.SOLD, "the harbour shop"))
                .day(47, went(2, Whither.GIVEN, "the ferry crew"))
                .day(171, new Entry.Held("the supplier called back lavender LV-2"));
    }

    /** Covered only, in a cold week: it gelled half-way. The one of this season went under towels. */
    DemoBatch seaBuckthornHalfGelled() {
        return batch(DemoRecipes.seaBuckthorn(), 148, 29)
                .weighed()
                .potsMatched()
                .mixedTo(Stage.MEDIUM)
                .pouredAndKept(MouldCare.UNCOVERED)
                .unmouldedAndCut(14)
                .day(2, seen("dark-core"), seen("gel-halfway"))
                .day(4, CALM, absent("white-spots"))
                .day(6, new Entry.Concluded(new Named("partial-gel", "partial gel"), "a cold week without towels"))
                .day(34, CALM, new Entry.Released("calm; a ring for the eye alone"))
                .day(45, went(12, Whither.SOLD, "the harbour shop"));
    }

    /** Cooked in the wide pot. */
    DemoBatch harbourDusk() {
        return batch(DemoRecipes.harbourDusk(), 118, 30)
                .weighed()
                .potsMatched()
                .mixedTo(Stage.MEDIUM)
                .cooked()
                .unmouldedAndCut(10)
                .day(3, CALM)
                .day(21, CALM, FIRM)
                .day(29, CALM, new Entry.Released("calm, four weeks"))
                .day(70, went(4, Whither.SOLD, "the harbour shop"));
    }

    /** Three layers. */
    DemoBatch threeTides() {
        return batch(DemoRecipes.threeTides(), 47, 31)
                .weighed()
                .potsMatched()
                .mixedTo(Stage.LIGHT)
                .layersPoured()
                .pouredAndKept(MouldCare.COVERED)
                .unmouldedAndCut(12)
                .day(3, seen("pale-seam"))
                .day(4, CALM)
                .day(
                        20,
                        new Entry.WashTested(WashFeel.CALM, Bars.numbered(4)),
                        new Entry.Behaved("indigo", Behaviour.FADED));
    }

    /** One batter, six liquids, each tried by the same hands at the same age. */
    DemoBatch sixWaters() {
        DemoBatch made = batch(DemoRecipes.sixWaters(), 37.3, 32)
                .atMinute(0.5, new Entry.MeantFor(Purpose.TRIAL))
                .weighed()
                .potsMatched()
                .mixedTo(Stage.LIGHT)
                .pouredAndKept(MouldCare.COVERED)
                .unmouldedAndCut(12);
        int[] fresh = {3, 2, 3, 2, 4, 2};
        int[] cured = {4, 4, 3, 3, 4, 2};
        double[] needle = {3.1, 2.6, 3.4, 2.9, 3.3, 4.0};
        for (int i = 0; i < DemoRecipes.WATERS.size(); i++) {
            Bars cup = Bars.some(1).of(Named.called(DemoRecipes.WATERS.get(i)));
            made.day(
                    3 + 0.01 * i,
                    new Entry.WashTested(WashFeel.CALM, cup),
                    new Entry.Lathered(fresh[i], cup),
                    new Entry.NeedleRead(needle[i], cup));
            made.day(35 + 0.01 * i, new Entry.WashTested(WashFeel.CALM, cup), new Entry.Lathered(cured[i], cup));
        }
        return made.day(9, new Entry.SetApart(Bars.some(2).of(Named.called("beer")), "smells sour"));
    }

    /**
     * Pale and brown ends melted down with a little water: a batch of two ancestors.
     *
     * @param pale the batch of the pale ends
     * @param brown the batch of the brown ends
     */
    DemoBatch quayEnds(Batch pale, Batch brown) {
        Rework mash = new Rework(
                List.of(ends(pale, "pale", 180), ends(brown, "brown", 120)), List.of(), Mass.grams(60), Rework.Way.POT);
        Scales scales = new Scales(Mass.grams(1), Mass.grams(0.1));
        BatchPlan plan = BatchPlan.reworking("Quay Ends", mash, List.of(), DemoRecipes.SMALL_LOAF, scales, "");
        return batch(plan, 26, 33)
                .melted()
                .unmouldedAndCut(4)
                .day(5, CALM)
                .day(12, CALM)
                .day(16, FIRM, new Entry.PhRead(9.6, PhMethod.STRIP));
    }

    private ScrapPortion ends(Batch of, String colour, double grams) {
        BatchFacts facts = of.facts(now);
        Weights weights = facts.weightsNow();
        Share fresh = Share.fraction(weights.water().dividedBy(weights.total()));
        Duration age = Duration.between(of.log().begun(), now.minus(Duration.ofDays(26)));
        return ScrapPortion.of(
                Scraps.id(of.code(), colour),
                of.id().toString(),
                colour + " of " + of.name(),
                Mass.grams(grams),
                weights,
                Superfat.distribution(
                        weights, of.plan().formula().alkali(), of.plan().scales()),
                ScrapWater.of(fresh, age),
                true,
                of.plan().allergens());
    }

    private DemoBatch batch(BatchPlan plan, double days, long seed) {
        return new DemoBatch(plan, now.minus(Duration.ofMinutes(Math.round(1440 * days))), now, room, seed);
    }

    private static Entry went(int bars, Whither where, String to) {
        return new Entry.BarsWent(Bars.some(bars), where, to);
    }

    private static Entry seen(String finding) {
        return new Entry.Observed(finding, Presence.SEEN);
    }

    private static Entry absent(String finding) {
        return new Entry.Observed(finding, Presence.LOOKED_AND_ABSENT);
    }
}
