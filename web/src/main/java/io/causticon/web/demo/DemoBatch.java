package io.causticon.web.demo;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.GelExtent;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MixMethod;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.said.entry.Names;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.cure.Schedule;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.forecast.LoafForecast;
import io.causticon.core.science.loaf.LoafHistory;
import io.causticon.core.science.loaf.LoafKnowledge;
import io.causticon.core.science.making.Situation;
import io.causticon.core.science.making.TraceKnowledge;
import io.causticon.core.science.making.WorkingTime;
import io.causticon.core.science.pots.CoolingBody;
import io.causticon.core.science.pots.LyePeak;
import io.causticon.core.science.pots.LyePotCurve;
import io.causticon.core.science.pots.PotSoFar;
import io.causticon.core.science.pots.Pots;
import io.causticon.web.store.batch.BatchService.Dated;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/**
 * Writes the log of a made-up batch: temperatures, times and masses come from the models of the core with noise of a
 * fixed seed, so that the log is one that the models would expect. What went wrong is told by the caller.
 */
final class DemoBatch {

    private static final double THERMOMETER_NOISE = 0.5;
    private static final double SCALE_STEP = 0.1;
    private static final double FATS_MELTED_AT = 58;
    private static final double MELTED_ABOVE_MIX = 6;
    private static final double LYE_STARTS = 14;
    private static final double FATS_READ = 17;
    private static final double TOLERANCE = 6;
    private static final double LONGEST_WAIT = 150;

    private final BatchPlan plan;
    private final Instant begun;
    private final Instant now;
    private final Temperature room;
    private final Random random;
    private final List<Dated> lines = new ArrayList<>();

    /** Minutes since the beginning. */
    private double minute;

    private double clear;
    private double lyeIn;
    private double light;
    private double poured;
    private @Nullable LoafHistory loaf;

    DemoBatch(BatchPlan plan, Instant begun, Instant now, Temperature room, long seed) {
        this.plan = plan;
        this.begun = begun;
        this.now = now;
        this.room = room;
        this.random = new Random(seed);
    }

    BatchPlan plan() {
        return plan;
    }

    Instant begun() {
        return begun;
    }

    /** Everything that has happened by now, in order. */
    List<Dated> lines() {
        return lines.stream()
                .filter(l -> !l.at().isAfter(now))
                .sorted(Comparator.comparing(Dated::at))
                .toList();
    }

    /** Everything weighed as planned, but for what the scale's last digit does. */
    DemoBatch weighed() {
        Weights planned = Weights.planned(plan.formula());
        minute = 1;
        planned.fats().forEach(f -> weigh(Weighable.fat(f.fat().id()), f.mass()));
        planned.liquids().forEach(l -> weigh(Weighable.liquid(l.liquid().id()), l.mass()));
        if (planned.naoh().isPositive()) {
            weigh(Weighable.NAOH, planned.naoh());
        }
        if (planned.koh().isPositive()) {
            weigh(Weighable.KOH, planned.koh());
        }
        planned.additives().forEach(a -> weigh(Weighable.additive(a.additive().id()), a.mass()));
        return this;
    }

    /** A fat that came from a jug whose tare was not taken, or of which nobody wrote that it was. */
    DemoBatch jugWithoutTare(String fat, String vessel, Tare tare) {
        for (int i = 0; i < lines.size(); i++) {
            Dated line = lines.get(i);
            if (line.entry() instanceof Entry.Weighed w && w.what().equals(Weighable.fat(fat))) {
                lines.set(
                        i,
                        new Dated(
                                line.at(),
                                new Entry.Weighed(w.what(), w.mass(), tare, Named.called(vessel))));
            }
        }
        return this;
    }

    /** Lye pot and fats, read until they are close enough. */
    DemoBatch potsMatched() {
        at(11, new Entry.TemperatureRead(MeasurementPoint.ROOM, noisy(room.celsius())));
        at(
                LYE_STARTS - 1,
                new Entry.ReadyForLye(List.of(
                        "goggles, gloves, sleeves on", "air moving, children and animals out", "water at hand")));
        boolean careful = LyePeak.of(plan, room).limit().isPresent();
        int portions = careful ? 9 : 4;
        double apart = careful ? 1.3 : 0.8;
        for (int i = 0; i < portions; i++) {
            at(LYE_STARTS + apart * i, new Entry.PortionFed(i + 1, portions));
        }
        double dissolved = portions * apart + 4;
        LyePotCurve curve = PotSoFar.of(
                        plan, new BatchLog(begun, asLogged(lines)), room, moment(LYE_STARTS + dissolved))
                .curve(dissolved);
        for (double part : new double[] {0.2, 0.45, 0.8}) {
            at(
                    LYE_STARTS + part * dissolved,
                    new Entry.TemperatureRead(MeasurementPoint.LYE, noisy(curve.celsiusAt(part * dissolved))));
        }
        clear = LYE_STARTS + dissolved;
        at(clear, new Entry.LyeClear());
        Weights planned = Weights.planned(plan.formula());
        CoolingBody lye = Pots.inRoom(plan, planned, MeasurementPoint.LYE, room)
                .body(Temperature.celsius(curve.endCelsius()), room);
        Temperature melted =
                Temperature.celsius(Math.min(FATS_MELTED_AT, plan.mixAt().celsius() + MELTED_ABOVE_MIX));
        CoolingBody fats =
                Pots.inRoom(plan, planned, MeasurementPoint.FATS, room).body(melted, room);
        // Fats are melted last, so that they come down together with the lye.
        double fatsAt =
                Math.max(FATS_READ, Math.min(LONGEST_WAIT, clear + minutesTo(lye)) - fats.minutesTo(plan.mixAt()));
        lyeIn = clear + 1;
        while (!matched(lye, fats, fatsAt, lyeIn)) {
            at(
                    lyeIn,
                    new Entry.TemperatureRead(
                            MeasurementPoint.LYE, noisy(lye.after(lyeIn - clear).celsius())));
            if (lyeIn > fatsAt) {
                at(
                        lyeIn + 0.6,
                        new Entry.TemperatureRead(
                                MeasurementPoint.FATS,
                                noisy(fats.after(lyeIn - fatsAt).celsius())));
            }
            lyeIn += lyeIn < 40 || lyeIn > fatsAt - 8 ? 8 : 16;
        }
        at(
                lyeIn - 1,
                new Entry.TemperatureRead(
                        MeasurementPoint.LYE, noisy(lye.after(lyeIn - clear).celsius())));
        at(
                lyeIn - 0.5,
                new Entry.TemperatureRead(
                        MeasurementPoint.FATS, noisy(fats.after(lyeIn - fatsAt).celsius())));
        return this;
    }

    /** Until it is where the plan mixes; what never was warmer is there. */
    private double minutesTo(CoolingBody lye) {
        return lye.after(0).isAbove(plan.mixAt()) ? lye.minutesTo(plan.mixAt()) : 0;
    }

    private boolean matched(CoolingBody lye, CoolingBody fats, double fatsAt, double minutes) {
        double a = lye.after(Math.max(0, minutes - clear)).celsius();
        double b = fats.after(Math.max(0, minutes - fatsAt)).celsius();
        boolean coolEnough = b <= plan.mixAt().celsius() + 2;
        return Math.abs(a - b) <= TOLERANCE && coolEnough || minutes > 200;
    }

    /** Mixed to a stage, with bursts of the blender, in about the time that the forecast gives. */
    DemoBatch mixedTo(Stage last) {
        at(lyeIn, new Entry.LyeIntoFats());
        Situation made = Situation.asMade(BatchFacts.of(plan, new BatchLog(begun, asLogged(lines)), now));
        light = WorkingTime.forecast(made, TraceKnowledge.PRIOR).minutes() * Math.exp(0.2 * random.nextGaussian());
        at(lyeIn + 0.3, new Entry.BlenderBurst(15));
        at(lyeIn + 0.1 * light + 0.6, new Entry.BlenderBurst(20));
        at(lyeIn + 0.25 * light + 0.5, new Entry.StageReached(Stage.EMULSION, null));
        at(lyeIn + 0.5 * light, new Entry.BlenderBurst(10));
        reached(last, Stage.THIN, 0.62);
        reached(last, Stage.LIGHT, 1);
        reached(last, Stage.MEDIUM, 1.5);
        poured = lyeIn + (last.isAtLeast(Stage.MEDIUM) ? 1.8 : last.isAtLeast(Stage.LIGHT) ? 1.3 : 0.5) * light;
        minute = poured;
        return this;
    }

    private void reached(Stage last, Stage stage, double share) {
        if (last.isAtLeast(stage)) {
            at(lyeIn + share * light, new Entry.StageReached(stage, null));
        }
    }

    /** Said before the lye goes in. */
    DemoBatch mixedWith(MixMethod method) {
        at(lyeIn - 0.2, new Entry.MixedWith(method));
        return this;
    }

    /** On the heat until it is one clear paste, tested, and spooned hot into its mould. */
    DemoBatch cooked() {
        double heat = lyeIn + 1.2 * light;
        at(heat, new Entry.Cooked(Cooking.HEAT_ON));
        at(heat + 14, new Entry.Cooked(Cooking.SETS));
        at(heat + 24, new Entry.Cooked(Cooking.RISES));
        at(heat + 25, new Entry.Cooked(Cooking.STIRRED));
        at(heat + 38, new Entry.Cooked(Cooking.GRAINY));
        at(heat + 55, new Entry.Cooked(Cooking.WAXY));
        at(heat + 56, new Entry.TemperatureRead(MeasurementPoint.BATTER, noisy(82)));
        at(heat + 84, new Entry.Cooked(Cooking.CLEAR));
        at(heat + 86, new Entry.PhRead(9.9, PhMethod.METER));
        at(heat + 88, new Entry.Cooked(Cooking.HEAT_OFF));
        spooned(heat + 95, 76);
        return this;
    }

    /** Scraps on the heat until they are one even mash. */
    DemoBatch melted() {
        at(4, new Entry.Cooked(Cooking.HEAT_ON));
        at(38, new Entry.Cooked(Cooking.LUMPY));
        at(39, new Entry.Cooked(Cooking.STIRRED));
        at(96, new Entry.Cooked(Cooking.EVEN));
        at(97, new Entry.TemperatureRead(MeasurementPoint.BATTER, noisy(79)));
        at(99, new Entry.Cooked(Cooking.HEAT_OFF));
        spooned(106, 72);
        return this;
    }

    private void spooned(double when, double celsius) {
        poured = when;
        minute = when;
        at(when, new Entry.Poured(noisy(celsius)));
        at(when + 3, new Entry.AirTapped());
    }

    /** Each layer into the mould in its turn, a few minutes apart. */
    DemoBatch layersPoured() {
        for (Portion layer : plan.pouring().portioning().portions()) {
            at(poured, new Entry.LayerPoured(layer.name(), null));
            poured += 6;
        }
        return this;
    }

    DemoBatch added(String what, double grams, String lot) {
        at(
                lyeIn + 1.08 * light,
                new Entry.Added(new Names(plan, Catalogue.standard()).substance(what), Mass.grams(grams), null, lot));
        return this;
    }

    /** Grains a minute after it went in, and a thick batter soon after. */
    DemoBatch ricedAfter(String what, double grams, String lot) {
        added(what, grams, lot);
        at(
                lyeIn + 1.08 * light + 1.2,
                new Entry.StageReached(Stage.RICED, new Names(plan, Catalogue.standard()).substance(what)));
        at(lyeIn + 1.08 * light + 1.6, new Entry.BlenderBurst(12));
        return this;
    }

    /** Solid within a minute of an addition at light trace. */
    DemoBatch seizedAfter(String what, double grams) {
        double when = lyeIn + light + 1;
        at(when, new Entry.Added(new Names(plan, Catalogue.standard()).substance(what), Mass.grams(grams), null, null));
        at(when + 0.8, new Entry.StageReached(Stage.MASH, new Names(plan, Catalogue.standard()).substance(what)));
        at(
                when + 1.5,
                new Entry.TemperatureRead(
                        MeasurementPoint.BATTER, noisy(plan.mixAt().celsius() + 19)));
        at(when + 2, new Entry.Observed("hot-mash", Presence.SEEN));
        poured = when + 5;
        minute = poured;
        return this;
    }

    /** Poured and kept in some way; the core read now and then, gel seen as far as the model says. */
    DemoBatch pouredAndKept(MouldCare... keepings) {
        Temperature batter = noisy(plan.mixAt().celsius() - 0.5);
        at(poured, new Entry.Poured(batter));
        for (int i = 0; i < keepings.length; i++) {
            Temperature cold = keepings[i].isCold() ? Temperature.celsius(5) : null;
            at(poured + 2 + i, new Entry.Kept(keepings[i], cold));
        }
        BatchLog log = new BatchLog(begun, asLogged(lines));
        LoafForecast.atThePour(BatchFacts.of(plan, log, now), room, LoafKnowledge.NONE)
                .ifPresent(l -> core(l.middle()));
        return this;
    }

    private void core(LoafHistory history) {
        loaf = history;
        for (double hours : new double[] {0.4, 1, 1.8, 2.6, 3.5, 5, 8, 14}) {
            at(
                    poured + 60 * hours,
                    new Entry.TemperatureRead(MeasurementPoint.CORE, noisy(history.coreCelsiusAt(hours))));
        }
        GelExtent extent = switch (history.extent()) {
            case NONE -> GelExtent.NONE;
            case PARTIAL -> GelExtent.PARTIAL;
            case FULL -> GelExtent.FULL;
        };
        at(poured + 60 * Math.max(4.2, history.peakHour() + 1), new Entry.GelSeen(extent));
    }

    /** A probe in the core that wrote by itself, evenly through the first twenty hours. */
    DemoBatch probed(int readings) {
        for (int i = 1; i <= readings && loaf != null; i++) {
            double hours = 20.0 * i / readings;
            at(poured + 60 * hours, new Entry.TemperatureRead(MeasurementPoint.CORE, noisy(loaf.coreCelsiusAt(hours))));
        }
        return this;
    }

    /** Out of the mould when the recipe's schedule says, cut two hours later, a bar weighed. */
    DemoBatch unmouldedAndCut(int bars) {
        double out = poured + Schedule.of(plan).unmould().toMinutes() * (0.95 + 0.1 * random.nextDouble());
        at(out, new Entry.Unmoulded());
        at(out + 110, new Entry.Cut(bars));
        double wet = LoafForecast.batterMass(plan).grams() * 0.985 / bars;
        double water = Weights.planned(plan.formula()).water().grams() / bars;
        double leaves = 0.72 * water;
        for (double days : new double[] {0.1, 7, 14, 21, 28, 42, 56}) {
            double left = leaves * (0.35 * Math.exp(-days / 4) + 0.65 * Math.exp(-days / 26));
            double mass = wet - leaves + left + 0.15 * random.nextGaussian();
            at(out + 1440 * days + 130, new Entry.BarWeighed(stepped(mass)));
        }
        minute = out + 120;
        return this;
    }

    /** Something on a day, counted from the beginning. */
    DemoBatch day(double day, Entry... entries) {
        for (int i = 0; i < entries.length; i++) {
            at(1440 * day + 2 * i, entries[i]);
        }
        return this;
    }

    /** Something so many minutes after the beginning. */
    DemoBatch atMinute(double minutes, Entry entry) {
        at(minutes, entry);
        return this;
    }

    double lyeInMinute() {
        return lyeIn;
    }

    static List<LoggedEntry> asLogged(List<Dated> lines) {
        List<LoggedEntry> logged = new ArrayList<>();
        for (Dated line : lines) {
            logged.add(LoggedEntry.first("line" + logged.size(), line.at(), "demo", line.entry()));
        }
        return logged;
    }

    private void weigh(Weighable what, Mass mass) {
        at(minute, new Entry.Weighed(what, stepped(mass.grams()), Tare.TAKEN, null));
        minute += 1.1 + 0.4 * random.nextDouble();
    }

    private static Mass stepped(double grams) {
        return Mass.grams(Math.round(grams / SCALE_STEP) * SCALE_STEP);
    }

    private Temperature noisy(double celsius) {
        return Temperature.celsius(Math.round(10 * (celsius + THERMOMETER_NOISE * random.nextGaussian())) / 10.0);
    }

    private void at(double minutes, Entry entry) {
        lines.add(new Dated(moment(minutes), entry));
    }

    private Instant moment(double minutes) {
        return begun.plus(Duration.ofMillis(Math.round(60_000 * minutes)));
    }
}
