package io.causticon.web.harness;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
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
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.pots.CoolingBody;
import io.causticon.core.science.pots.PotOutlook;
import io.causticon.core.science.pots.Pots;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;

/** A three-colour swirl on the bench, for tests. */
public final class Swirl {

    private static final Catalogue TABLES = Catalogue.standard();
    private static final Additive HEMP = Additive.ownFragrance(
            "own-tarred-hemp",
            "Tarred hemp",
            30.0,
            Set.of("ricing_possible", "discolours_brown"),
            Set.of("eugenol"),
            "");

    /** Half of it plain, a quarter red, a quarter black, with a fragrance that is known to rice. */
    public static BatchPlan plan(String name) {
        Formula formula = new Formula(
                List.of(
                        new FatPortion(TABLES.fat("olive-oil"), Mass.grams(500)),
                        new FatPortion(TABLES.fat("lard"), Mass.grams(250)),
                        new FatPortion(TABLES.fat("coconut-oil-76"), Mass.grams(250))),
                AlkaliChoice.naoh(Share.percent(98)),
                Share.percent(5),
                LiquidTarget.concentration(0.33),
                List.of(new LiquidPart(TABLES.liquid("distilled-water"), Share.WHOLE, LiquidState.LIQUID)),
                List.of(new AdditivePortion(HEMP, Mass.grams(25))));
        List<Portion> cups = List.of(
                Portion.sharing("plain", Share.percent(50)),
                Portion.sharing("madder", Share.percent(25))
                        .with(TABLES.additive("madder-root"), Dose.ofFats(Share.percent(1))),
                Portion.sharing("charcoal", Share.percent(25))
                        .with(TABLES.additive("activated-charcoal"), Dose.ofFats(Share.percent(0.5))));
        BatchPlan plan = new BatchPlan(
                name,
                formula,
                Process.COLD,
                GelGoal.ALLOW,
                new Mould("oak loaf", MouldKind.WOODEN_LOAF, 300, 85, 75, 1),
                Temperature.celsius(40),
                new Scales(Mass.grams(0.1), Mass.grams(0.1)),
                "");
        return plan.with(Pouring.PLAIN.divided(new Portioning(
                Portioning.Way.SHARES,
                cups,
                Share.percent(3),
                new Vessel("steel pot", VesselMaterial.STAINLESS_STEEL, Mass.grams(640)),
                Portioning.LyeRoute.TOGETHER)));
    }

    /** Lye is in the fats, half a minute ago. */
    public static BatchId lyeIn(RunningApplication application, String name) {
        return lyeIn(application, name, Duration.ofSeconds(30));
    }

    /** Lye is in the fats, so long ago. */
    public static BatchId lyeIn(RunningApplication application, String name, Duration ago) {
        BatchService batches = application.bean(BatchService.class);
        BatchPlan plan = plan(name);
        Instant begun = Instant.now().minus(ago).minus(Duration.ofMinutes(40));
        BatchId id = batches.begin(
                plan,
                null,
                1,
                begun,
                "Ines Harrow",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        Weights planned = Weights.planned(plan.formula());
        List<Entry> before = new ArrayList<>();
        planned.fats()
                .forEach(f -> before.add(new Entry.Weighed(Weighable.fat(f.fat().id()), f.mass(), Tare.TAKEN, null)));
        planned.liquids()
                .forEach(l ->
                        before.add(new Entry.Weighed(Weighable.liquid(l.liquid().id()), l.mass(), Tare.TAKEN, null)));
        before.add(new Entry.Weighed(Weighable.NAOH, planned.naoh(), Tare.TAKEN, null));
        before.add(new Entry.ReadyForLye(List.of()));
        before.add(new Entry.LyeClear());
        before.add(new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(41)));
        before.add(new Entry.TemperatureRead(MeasurementPoint.FATS, Temperature.celsius(40)));
        batches.log(
                id,
                before,
                begun.plusSeconds(60),
                "Ines Harrow",
                UUID.randomUUID().toString());
        batches.log(
                id,
                List.of(new Entry.LyeIntoFats()),
                Instant.now().minus(ago),
                "Ines Harrow",
                UUID.randomUUID().toString());
        return id;
    }

    private Swirl() {}

    /** Another batch: lye going into frozen goat milk in an ice bath, four of nine portions in. */
    public static BatchId milkInTheIceBath(RunningApplication application, String name) {
        BatchService batches = application.bean(BatchService.class);
        BatchPlan swirl = plan(name);
        Formula milk = swirl.formula()
                .withLiquid(
                        LiquidTarget.concentration(0.33),
                        List.of(new LiquidPart(TABLES.liquid("goat-milk-whole"), Share.WHOLE, LiquidState.FROZEN)));
        Instant now = Instant.now();
        BatchId id = batches.begin(
                swirl.with(milk),
                null,
                1,
                now.minus(Duration.ofMinutes(25)),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        for (int i = 0; i < 7; i++) {
            log(batches, id, now.minusSeconds(840 - 120L * i), new Entry.PortionFed(i + 1, 9));
        }
        // Read every other minute, a little warmer than the model expects.
        Batch batch = batches.get(id);
        PotOutlook pot = PotOutlook.of(batch.plan(), batch.log(), Temperature.celsius(17.5), now);
        for (double minute = 1; minute < pot.minute(now); minute += 2) {
            double celsius = pot.unread(30).celsiusAt(minute) + 1 + 0.15 * minute;
            log(
                    batches,
                    id,
                    now.minusSeconds(Math.round(840 - 60 * minute)),
                    new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(celsius)));
        }
        return id;
    }

    /** Lye in water and fats on the bench, read every few minutes for half an hour; they meet in another. */
    public static BatchId potsCoolingDown(RunningApplication application, String name) {
        BatchService batches = application.bean(BatchService.class);
        BatchPlan plan = plan(name)
                .with(PlanFields.LYE_VESSEL, new Vessel("first jug", VesselMaterial.POLYPROPYLENE, Mass.grams(112)))
                .with(PlanFields.FATS_VESSEL, new Vessel("wide pot", VesselMaterial.STAINLESS_STEEL, Mass.grams(1240)));
        Instant now = Instant.now();
        BatchId id = batches.begin(
                plan,
                null,
                1,
                now.minus(Duration.ofMinutes(52)),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        Temperature room = Temperature.celsius(18);
        Weights weights = Weights.planned(plan.formula());
        CoolingBody lye = Pots.inRoom(plan, weights, MeasurementPoint.LYE, room).body(Temperature.celsius(79), room);
        CoolingBody fats =
                Pots.inRoom(plan, weights, MeasurementPoint.FATS, room).body(Temperature.celsius(57), room);
        log(batches, id, now.minusSeconds(3000), new Entry.TemperatureRead(MeasurementPoint.ROOM, room));
        log(batches, id, now.minusSeconds(2700), new Entry.PortionFed(4, 4));
        log(batches, id, now.minusSeconds(2100), new Entry.LyeClear());
        double[] off = {0.4, -0.6, 0.5, -0.2, 0.3};
        for (int i = 0; i < off.length; i++) {
            double minute = 7 * i;
            Instant at = now.minusSeconds(Math.round(1740 - 60 * minute));
            log(
                    batches,
                    id,
                    at,
                    new Entry.TemperatureRead(
                            MeasurementPoint.LYE,
                            Temperature.celsius(lye.after(minute).celsius() + off[i])));
            log(
                    batches,
                    id,
                    at.plusSeconds(40),
                    new Entry.TemperatureRead(
                            MeasurementPoint.FATS,
                            Temperature.celsius(fats.after(minute).celsius() - off[i])));
        }
        return id;
    }

    /** A swirl on the scale: too much of the first fat is in the pot. */
    public static BatchId onTheScale(RunningApplication application, String name) {
        BatchService batches = application.bean(BatchService.class);
        Instant now = Instant.now();
        BatchId id = batches.begin(
                plan(name),
                null,
                1,
                now.minus(Duration.ofMinutes(3)),
                "Ines",
                ZoneOffset.UTC,
                UUID.randomUUID().toString());
        log(
                batches,
                id,
                now.minusSeconds(60),
                new Entry.Weighed(Weighable.fat("olive-oil"), Mass.grams(519), Tare.TAKEN, Named.called("steel pot")));
        return id;
    }

    private static void log(BatchService batches, BatchId id, Instant at, Entry entry) {
        batches.log(id, List.of(entry), at, "Ines", UUID.randomUUID().toString());
    }
}
