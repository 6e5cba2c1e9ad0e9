package io.causticon.core.science.pots;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Bath;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.AsWeighed;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The lye pot of a batch as its log tells of it: what is in it, how it is fed and where it stands. No forecast is
 * worked out.
 *
 * @param weights what was weighed, or is to be
 * @param setup the pot as it is known
 * @param limit above which this liquor scorches; empty for clear water
 * @param fedFrom when the first lye went in; empty before
 * @param clear when it was clear and strained; empty before
 * @param liquid what the liquid was read at before the lye; empty where it was not
 */
public record PotSoFar(
        Weights weights,
        LyePotSetup setup,
        Optional<Temperature> limit,
        Optional<Instant> fedFrom,
        Optional<Instant> clear,
        Optional<Temperature> liquid) {

    /**
     * Lye that is fed and stirred is dissolved long before; a page that is opened a year later must not follow it
     * through the year.
     */
    static final double LONGEST = 180;

    private static final double CLEAR_FEED = 4;
    private static final double CAREFUL_FEED = 12;

    /**
     * @param room of the room
     * @param now the moment to look from
     */
    public static PotSoFar of(BatchPlan plan, BatchLog log, Temperature room, Instant now) {
        Beginning beginning = Beginning.of(log, room, now);
        Weights weights = AsWeighed.of(plan, log).weights();
        PotContents inThePot = PotContents.beforeTheLye(weights, plan.formula().alkali());
        LyePot contents = inThePot.pot(room, plan.freezer(), beginning.liquid());
        Optional<Temperature> limit = inThePot.limit();
        Optional<Instant> from = beginning.fedFrom();
        boolean careful = limit.isPresent();
        LyePotSetup setup = usual(plan, contents, room, careful).fedOver(feedMinutes(log, from, careful, now));
        return new PotSoFar(weights, bathed(setup, log, from, now), limit, from, cleared(log, now), beginning.liquid());
    }

    private static Optional<Instant> cleared(BatchLog log, Instant now) {
        return log.first(Entry.LyeClear.class).map(BatchLog.Timed::at).filter(c -> !c.isAfter(now));
    }

    /** Whether there is ice or frozen liquid in it before any lye. */
    public boolean holdsIce() {
        return setup.contents().ice().isPositive();
    }

    /** How hot it gets and has got, over so many minutes from the first lye. */
    public LyePotCurve curve(double minutes) {
        return LyePotRun.run(setup, minutes);
    }

    /**
     * Minutes since the first lye; zero before. It stands still some time after the lye was clear, at the latest after
     * three hours.
     */
    public double minute(Instant now) {
        return fedFrom.map(f -> Math.min(lastMinute(), minutes(f, now))).orElse(0.0);
    }

    /**
     * The last minute that is followed: what dissolves is looked at for as long again as after any feeding, what is
     * clear is looked at no more.
     */
    double lastMinute() {
        return fedFrom.flatMap(f ->
                        clear.map(c -> Math.min(LONGEST, Math.max(0, minutes(f, c)) + PotOutlook.LOOK_AHEAD)))
                .orElse(LONGEST);
    }

    /**
     * As it is done where nothing is known yet: what scorches is fed slowly in ice water, clear water quickly on the
     * table.
     */
    static LyePotSetup usual(BatchPlan plan, LyePot contents, Temperature room, boolean careful) {
        PotVessel vessel = Pots.vessel(plan.lyeVessel(), PotVessel.PLASTIC);
        return new LyePotSetup(contents, false, careful ? CAREFUL_FEED : CLEAR_FEED, vessel, room, room, careful, true);
    }

    /** Portions of lye: those after the lye was clear are of a liquid that joined it then. */
    static Stream<BatchLog.Timed<Entry.PortionFed>> lyePortions(BatchLog log) {
        Instant clear = log.first(Entry.LyeClear.class).map(BatchLog.Timed::at).orElse(Instant.MAX);
        return log.of(Entry.PortionFed.class).filter(p -> p.at().isBefore(clear));
    }

    /**
     * In the bath as the log says; where it says nothing, milk and sugar stand in ice water and clear water does not.
     */
    private static LyePotSetup bathed(LyePotSetup usual, BatchLog log, Optional<Instant> fedFrom, Instant now) {
        List<BatchLog.Timed<Entry.Bathed>> moves = log.of(Entry.Bathed.class)
                .filter(b -> b.entry().pot() == MeasurementPoint.LYE && !b.at().isAfter(now))
                .toList();
        if (moves.isEmpty()) {
            return usual;
        }
        List<Interval> baths = new ArrayList<>();
        double from = Double.NaN;
        for (BatchLog.Timed<Entry.Bathed> move : moves) {
            double minute = fedFrom.map(f -> minutes(f, move.at())).orElse(0.0);
            // Tap water is not counted on: it holds a peak back far less than ice does, and a forecast that errs must
            // err hot.
            boolean cold = move.entry().into() == Bath.ICE_BATH;
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

    /** How long the feeding takes: as the logged portions say, or as is usual for this liquor. */
    private static double feedMinutes(BatchLog log, Optional<Instant> from, boolean careful, Instant now) {
        double usual = careful ? CAREFUL_FEED : CLEAR_FEED;
        Optional<BatchLog.Timed<Entry.PortionFed>> last = lyePortions(log).reduce((a, b) -> b);
        if (from.isEmpty() || last.isEmpty() || last.get().entry().portion() < 2) {
            return usual;
        }
        double soFar = minutes(from.get(), last.get().at());
        return Math.min(
                LONGEST, soFar * last.get().entry().of() / (last.get().entry().portion() - 1.0));
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
                    .filter(t -> t.entry().spot() == MeasurementPoint.LYE && !t.at().isAfter(now))
                    .toList();
            Optional<Instant> portion = log.first(Entry.PortionFed.class).map(BatchLog.Timed::at);
            if (portion.isPresent()) {
                return new Beginning(
                        portion,
                        read.stream()
                                .filter(t -> t.at().isBefore(portion.get()))
                                .reduce((earlier, later) -> later)
                                .map(t -> t.entry().temperature()));
            }
            Optional<BatchLog.Timed<Entry.TemperatureRead>> before = Optional.empty();
            for (BatchLog.Timed<Entry.TemperatureRead> reading : read) {
                double celsius = reading.entry().temperature().celsius();
                boolean warm = celsius > room.celsius() + ABOVE_THE_ROOM;
                boolean soon = before.filter(b -> minutes(b.at(), reading.at()) <= SOON)
                        .isPresent();
                boolean rises =
                        soon && celsius > before.get().entry().temperature().celsius() + RISE;
                if (warm || rises) {
                    return new Beginning(
                            Optional.of(soon ? before.get().at() : reading.at()),
                            before.map(b -> b.entry().temperature()));
                }
                before = Optional.of(reading);
            }
            boolean dissolved = log.first(Entry.LyeClear.class).isPresent();
            return new Beginning(
                    dissolved ? read.stream().findFirst().map(BatchLog.Timed::at) : Optional.empty(),
                    before.map(b -> b.entry().temperature()));
        }
    }

    static double minutes(Instant from, Instant to) {
        return Math.max(0, Duration.between(from, to).toMillis() / 60_000.0);
    }
}
