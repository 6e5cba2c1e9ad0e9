package io.causticon.core.forecast;

import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.LiquidPortion;
import io.causticon.core.formula.Weights;
import io.causticon.core.heat.ColdPlan;
import io.causticon.core.heat.Levelling;
import io.causticon.core.heat.LyePot;
import io.causticon.core.heat.LyePotCurve;
import io.causticon.core.heat.LyePotRun;
import io.causticon.core.heat.LyePotSetup;
import io.causticon.core.heat.LyeSolution;
import io.causticon.core.heat.PotForecast;
import io.causticon.core.heat.PotVessel;
import io.causticon.core.observation.AsWeighed;
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
 * @param liquid what the liquid was read at before the lye; empty where it was not
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
        Temperature crystals,
        Optional<Temperature> liquid) {

    /** A pot this hot spits and fumes. */
    public static final Temperature CALM = Temperature.celsius(60);

    private static final Temperature FREEZER = Temperature.celsius(-18);
    /** A liquid that was frozen and reads more than this has begun to thaw. */
    private static final double THAWED = 4;

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
        Beginning beginning = Beginning.of(log, room, now);
        Weights weights = AsWeighed.of(plan, log).weights();
        LyePot contents = contents(weights, room, beginning.liquid());
        Optional<Temperature> limit = LyePeak.of(plan, room).limit();
        Optional<Instant> from = beginning.fedFrom();
        boolean careful = limit.isPresent();
        PotVessel vessel = Pots.vessel(plan.lyeVessel(), PotVessel.PLASTIC);
        LyePotSetup setup = bathed(
                new LyePotSetup(contents, false, feedMinutes(log, from, careful, now), vessel, room, room, careful, true), log, from, now);
        List<PotForecast.Reading> readings = from.map(f -> readings(log, f, now)).orElse(List.of());
        double ahead = from.map(f -> minutes(f, now)).orElse(0.0) + LOOK_AHEAD;
        LyePot liquid = ColdPlan.frozen(contents, 0, FREEZER);
        Optional<Share> frozen = ColdPlan.leastFrozen(liquid, FREEZER, limit.orElse(CALM));
        OptionalDouble minutes = limit.map(l -> ColdPlan.leastMinutes(setup.inBath(true), l)).orElse(OptionalDouble.empty());
        double strength = contents.naoh().grams() / (contents.naoh().grams() + liquid.water().grams());
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
                Temperature.celsius(LyeSolution.crystallisation(strength)),
                beginning.liquid());
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

    /**
     * When lye first went in, and what the liquid was read at before.
     *
     * @param fedFrom the first portion, or the first reading where portions were not logged; empty before
     * @param liquid the last reading before that
     */
    private record Beginning(Optional<Instant> fedFrom, Optional<Temperature> liquid) {

        /** No reading of a liquid without lye is this much above the room, K. */
        private static final double ABOVE_THE_ROOM = 5;

        /** Nor does it rise by so much, K, within so many minutes. */
        private static final double RISE = 3;

        private static final double SOON = 15;

        static Beginning of(BatchLog log, Temperature room, Instant now) {
            List<BatchLog.Timed<Entry.TemperatureRead>> read = log.of(Entry.TemperatureRead.class)
                    .filter(t -> t.entry().spot() == Spot.LYE && !t.at().isAfter(now))
                    .toList();
            Optional<Instant> portion = log.first(Entry.PortionFed.class).map(BatchLog.Timed::at);
            if (portion.isPresent()) {
                return new Beginning(portion, read.stream()
                        .filter(t -> t.at().isBefore(portion.get()))
                        .reduce((earlier, later) -> later)
                        .map(t -> t.entry().temperature()));
            }
            Optional<BatchLog.Timed<Entry.TemperatureRead>> before = Optional.empty();
            for (BatchLog.Timed<Entry.TemperatureRead> reading : read) {
                double celsius = reading.entry().temperature().celsius();
                boolean warm = celsius > room.celsius() + ABOVE_THE_ROOM;
                boolean soon = before.filter(b -> minutes(b.at(), reading.at()) <= SOON).isPresent();
                boolean rises = soon && celsius > before.get().entry().temperature().celsius() + RISE;
                if (warm || rises) {
                    return new Beginning(
                            Optional.of(soon ? before.get().at() : reading.at()), before.map(b -> b.entry().temperature()));
                }
                before = Optional.of(reading);
            }
            boolean dissolved = log.first(Entry.LyeClear.class).isPresent();
            return new Beginning(
                    dissolved ? read.stream().findFirst().map(BatchLog.Timed::at) : Optional.empty(),
                    before.map(b -> b.entry().temperature()));
        }
    }

    /** What it would peak at if all that is to be frozen has thawed: where a reading before the lye says that it may have. */
    public Optional<Temperature> peakIfThawed() {
        return liquid.filter(t -> setup.contents().ice().isPositive() && t.celsius() > THAWED && fed == 0).map(t -> {
            LyePot thawed = ColdPlan.frozen(setup.contents(), 0, FREEZER);
            LyePotSetup same = new LyePotSetup(
                    thawed, false, setup.feedMinutes(), setup.vessel(), setup.vesselStart(), setup.room(), setup.baths(), true);
            return Temperature.celsius(LyePotRun.run(same, setup.feedMinutes() + LOOK_AHEAD).peak());
        });
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

    /** As weighed. Liquid water is as warm as it was read, ice as cold; where nothing was read, as the room and the freezer are. */
    private static LyePot contents(Weights weights, Temperature room, Optional<Temperature> read) {
        double water = 0;
        double ice = 0;
        double solids = 0;
        double acid = 0;
        for (LiquidPortion portion : weights.liquids()) {
            if (portion.dissolvesLye()) {
                double waterIn = portion.water().grams();
                water += portion.frozen() ? 0 : waterIn;
                ice += portion.frozen() ? waterIn : 0;
                solids += portion.mass().grams() - waterIn;
                acid += portion.acidMoles();
            }
        }
        Mass asSodium = weights.naoh().plus(weights.koh().times(SODIUM_PER_POTASSIUM));
        Temperature iceStart = read.map(t -> Temperature.celsius(Math.min(0, t.celsius()))).orElse(FREEZER);
        // Water beside ice is no colder than it freezes.
        double least = ice > 0 ? 0 : Double.NEGATIVE_INFINITY;
        Temperature waterStart = read.map(t -> Temperature.celsius(Math.max(least, t.celsius()))).orElse(room);
        return new LyePot(asSodium, room, Mass.grams(water), waterStart, Mass.grams(ice), iceStart, Mass.grams(solids), acid);
    }

    private static double minutes(Instant from, Instant to) {
        return Math.max(0, Duration.between(from, to).toMillis() / 60_000.0);
    }
}
