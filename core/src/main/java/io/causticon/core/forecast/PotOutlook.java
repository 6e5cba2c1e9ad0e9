package io.causticon.core.forecast;

import io.causticon.core.formula.AlkaliBalance;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.LiquidPortion;
import io.causticon.core.heat.ColdPlan;
import io.causticon.core.heat.Levelling;
import io.causticon.core.heat.LyePot;
import io.causticon.core.heat.LyePotCurve;
import io.causticon.core.heat.LyePotRun;
import io.causticon.core.heat.LyePotSetup;
import io.causticon.core.heat.LyeSolution;
import io.causticon.core.heat.PotForecast;
import io.causticon.core.heat.PotVessel;
import io.causticon.core.observation.BatchLog;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.Spot;
import io.causticon.core.observation.Surroundings;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The lye pot of a batch at one moment: plan, what was fed and read so far, and where it is going.
 *
 * @param setup the pot as it is known
 * @param forecast with the readings taken in
 * @param limit above which this liquor scorches; empty for clear water
 * @param fedFrom when the first lye went in; empty before
 * @param fed portions that are in
 * @param portions in how many it is fed
 * @param state what the readings say of the dissolving
 * @param frozen part of the water that must be ice to stay below the limit (or calm, for clear water) when it is fed at once; empty if all of
 *     it is not enough
 * @param minutes over which to feed it in an ice bath to stay below the limit; empty without a limit or if forty are not enough
 * @param crystals temperature below which crystals come out of this liquor
 */
public record PotOutlook(
        LyePotSetup setup,
        PotForecast forecast,
        Optional<Temperature> limit,
        Optional<Instant> fedFrom,
        int fed,
        int portions,
        Levelling.State state,
        Optional<Share> frozen,
        OptionalDouble minutes,
        Temperature crystals) {

    /** A pot this hot spits and fumes. */
    public static final Temperature CALM = Temperature.celsius(60);

    private static final Temperature FREEZER = Temperature.celsius(-18);
    private static final double CLEAR_FEED = 4;
    private static final double CAREFUL_FEED = 12;
    private static final double LOOK_AHEAD = 20;
    private static final int FEW_PORTIONS = 4;
    private static final int MANY_PORTIONS = 9;
    private static final double SODIUM_PER_POTASSIUM = 40.0 / 56.1;

    /**
     * @param plan the batch's
     * @param log the batch's
     * @param room of the room
     * @param now the moment to look from
     */
    public static PotOutlook of(BatchPlan plan, BatchLog log, Temperature room, Instant now) {
        LyePot contents = contents(plan, room);
        Optional<Temperature> limit = LyePeak.of(plan, room).limit();
        Optional<Instant> from = fedFrom(log);
        boolean careful = limit.isPresent();
        PotVessel vessel = Pots.vessel(plan.lyeVessel(), PotVessel.PLASTIC);
        LyePotSetup setup = bathed(
                new LyePotSetup(contents, false, feedMinutes(log, from, careful, now), vessel, room, room, careful, true), log, from, now);
        List<PotForecast.Reading> readings = from.map(f -> readings(log, f, now)).orElse(List.of());
        double ahead = from.map(f -> minutes(f, now)).orElse(0.0) + LOOK_AHEAD;
        LyePot liquid = ColdPlan.frozen(contents, 0, FREEZER);
        Optional<Share> frozen = ColdPlan.leastFrozen(liquid, FREEZER, limit.orElse(CALM));
        OptionalDouble minutes = limit.map(l -> ColdPlan.leastMinutes(setup.inBath(true), l)).orElse(OptionalDouble.empty());
        AlkaliBalance balance = AlkaliBalance.of(plan.formula());
        return new PotOutlook(
                setup,
                PotForecast.of(setup, ahead, readings),
                limit,
                from,
                log.of(Entry.PortionFed.class).mapToInt(p -> p.entry().portion()).max().orElse(0),
                log.first(Entry.PortionFed.class).map(p -> p.entry().of()).orElse(careful ? MANY_PORTIONS : FEW_PORTIONS),
                log.first(Entry.LyeClear.class).isPresent()
                        ? Levelling.State.TURNED
                        : Levelling.of(readings, lastFed(log, from)),
                frozen,
                minutes,
                Temperature.celsius(LyeSolution.crystallisation(balance.firstConcentration().fraction())));
    }

    /** In the bath as the log says; where it says nothing, milk and sugar stand in ice water and clear water does not. */
    private static LyePotSetup bathed(LyePotSetup usual, BatchLog log, Optional<Instant> fedFrom, Instant now) {
        List<BatchLog.Timed<Entry.Bathed>> moves =
                log.of(Entry.Bathed.class).filter(b -> b.entry().pot() == Spot.LYE && !b.at().isAfter(now)).toList();
        if (moves.isEmpty()) {
            return usual;
        }
        List<Interval> baths = new ArrayList<>();
        double from = Double.NaN;
        for (BatchLog.Timed<Entry.Bathed> move : moves) {
            double minute = fedFrom.map(f -> minutes(f, move.at())).orElse(0.0);
            // Tap water is not counted on: it holds a peak back far less than ice does, and a forecast that errs must err hot.
            boolean cold = move.entry().into() == Surroundings.ICE_BATH;
            if (cold && Double.isNaN(from)) {
                from = minute;
            } else if (!cold && !Double.isNaN(from)) {
                baths.add(Interval.between(from, minute));
                from = Double.NaN;
            }
        }
        if (!Double.isNaN(from)) {
            baths.add(Interval.between(from, Double.POSITIVE_INFINITY));
        }
        return usual.inBath(baths);
    }

    /** What of the liquid is still frozen by the model, g; empty when nothing was. */
    public OptionalDouble stillFrozen(Instant now) {
        return setup.contents().ice().isPositive() ? OptionalDouble.of(run(now).iceAt(minute(now))) : OptionalDouble.empty();
    }

    /** Lye in solution by the model, of itself and the liquid water. */
    public Share concentrationNow(Instant now) {
        return Share.fraction(run(now).concentrationAt(minute(now)));
    }

    /** How it was to go, by what is logged of the feeding and the bath but by no thermometer. */
    public LyePotCurve unread(double minutes) {
        return LyePotRun.run(setup, minutes);
    }

    private LyePotCurve run(Instant now) {
        return LyePotRun.run(setup, minute(now) + 1);
    }

    /** Readings of the lye from the first feeding on. */
    public static List<PotForecast.Reading> readings(BatchLog log, Instant from, Instant now) {
        return log.of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == Spot.LYE && !t.at().isBefore(from) && !t.at().isAfter(now))
                .map(t -> new PotForecast.Reading(minutes(from, t.at()), t.entry().temperature().celsius()))
                .toList();
    }

    /** Minutes since the first lye; zero before. */
    public double minute(Instant now) {
        return fedFrom.map(f -> minutes(f, now)).orElse(0.0);
    }

    /** The first portion, or the first reading of lye where portions were not logged. */
    private static Optional<Instant> fedFrom(BatchLog log) {
        return log.first(Entry.PortionFed.class)
                .map(p -> p.at())
                .or(() -> log.first(Entry.TemperatureRead.class, t -> t.spot() == Spot.LYE).map(t -> t.at()));
    }

    private static double lastFed(BatchLog log, Optional<Instant> from) {
        return from.flatMap(f -> log.last(Entry.PortionFed.class).map(p -> minutes(f, p.at()))).orElse(0.0);
    }

    /** How long the feeding takes: as the logged portions say, or as is usual for this liquor. */
    private static double feedMinutes(BatchLog log, Optional<Instant> from, boolean careful, Instant now) {
        double usual = careful ? CAREFUL_FEED : CLEAR_FEED;
        Optional<BatchLog.Timed<Entry.PortionFed>> last = log.last(Entry.PortionFed.class);
        if (from.isEmpty() || last.isEmpty() || last.get().entry().portion() < 2) {
            return usual;
        }
        double soFar = minutes(from.get(), last.get().at());
        return soFar * last.get().entry().of() / (last.get().entry().portion() - 1.0);
    }

    private static LyePot contents(BatchPlan plan, Temperature room) {
        AlkaliBalance balance = AlkaliBalance.of(plan.formula());
        double water = 0;
        double ice = 0;
        double solids = 0;
        double acid = 0;
        for (LiquidPortion portion : balance.liquids()) {
            if (portion.dissolvesLye()) {
                double waterIn = portion.water().grams();
                water += portion.frozen() ? 0 : waterIn;
                ice += portion.frozen() ? waterIn : 0;
                solids += portion.mass().grams() - waterIn;
                acid += portion.acidMoles();
            }
        }
        Mass asSodium = balance.naoh().plus(balance.koh().times(SODIUM_PER_POTASSIUM));
        return new LyePot(asSodium, room, Mass.grams(water), room, Mass.grams(ice), FREEZER, Mass.grams(solids), acid);
    }

    private static double minutes(Instant from, Instant to) {
        return Math.max(0, Duration.between(from, to).toMillis() / 60_000.0);
    }
}
