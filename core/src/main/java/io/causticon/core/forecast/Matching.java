package io.causticon.core.forecast;

import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.FatPortion;
import io.causticon.core.heat.BathAdvice;
import io.causticon.core.heat.CoolingBody;
import io.causticon.core.heat.CoolingFit;
import io.causticon.core.heat.Meeting;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.observation.BatchLog;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.Spot;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Lye and fats on their way to one another. Minutes run from the beginning of the batch.
 *
 * @param lye fitted to its readings since its peak; empty before the first
 * @param fats fitted to its readings since it was last warmed; empty before the first
 * @param now minute of the moment looked from
 * @param window in which both should be, C
 * @param tolerance how close they should be
 * @param meeting when they are; empty until both were read
 * @param baths what would bring them together sooner, the quickest first
 */
public record Matching(
        Optional<CoolingFit> lye,
        Optional<CoolingFit> fats,
        double now,
        Interval window,
        TemperatureChange tolerance,
        Optional<Meeting> meeting,
        List<BathAdvice> baths) {

    /** Within this of the temperature that the plan mixes at. */
    private static final double WINDOW = 5;

    private static final double TOLERANCE = 6;
    private static final double NOISE = 1;
    private static final double LOOK_AHEAD = 180;
    private static final double SOON = 8;
    /** A reading this much above the one before tells that the pot was warmed or still dissolves: older ones do not count. */
    private static final double WARMED = 1.5;

    public static Matching of(BatchPlan plan, BatchFacts facts, Temperature usualRoom, Instant moment) {
        BatchLog log = facts.log();
        double now = minutes(log, moment);
        Temperature room = facts.room().orElse(usualRoom);
        double roomSpread = facts.room().isPresent() ? CoolingFit.ROOM_READ : CoolingFit.ROOM_GUESSED;
        Mass liquor = facts.asWeighed().weights().lye().plus(facts.asWeighed().weights().water());
        Optional<CoolingFit> lye = fit(log, Spot.LYE, moment, CoolingBody.usualLyeRate(liquor), room, roomSpread);
        Optional<CoolingFit> fats = fit(
                log, Spot.FATS, moment, CoolingBody.usualFatsRate(facts.asWeighed().weights().fatMass()), room, roomSpread);
        TemperatureChange tolerance = TemperatureChange.kelvin(TOLERANCE);
        Interval window = window(plan);
        Optional<Meeting> meeting = lye.flatMap(
                l -> fats.map(f -> Meeting.of(l, f, now, now + LOOK_AHEAD, tolerance, window)));
        List<BathAdvice> baths = meeting.filter(m -> m.median() > now + SOON).isPresent()
                ? BathAdvice.of(
                        Temperature.celsius(lye.orElseThrow().at(now)),
                        Temperature.celsius(fats.orElseThrow().at(now)),
                        room,
                        window,
                        tolerance)
                : List.of();
        return new Matching(lye, fats, now, window, tolerance, meeting, baths);
    }

    /** As the plan says, but not below what keeps its hardest structural fat clear. */
    private static Interval window(BatchPlan plan) {
        double low = plan.mixAt().celsius() - WINDOW;
        double high = plan.mixAt().celsius() + WINDOW;
        for (FatPortion p : plan.formula().fats()) {
            Interval range = p.fat().meltingRange();
            if (range != null && p.mass().dividedBy(plan.formula().fatMass()) >= 0.10) {
                low = Math.max(low, Math.min(range.low(), plan.mixAt().celsius()));
            }
        }
        return Interval.between(low, high);
    }

    /** Readings of a pot since it was last warmed. */
    public static List<CoolingFit.Reading> segment(BatchLog log, Spot spot, Instant moment) {
        List<CoolingFit.Reading> segment = new ArrayList<>();
        log.of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == spot && !t.at().isAfter(moment))
                .forEach(t -> {
                    double celsius = t.entry().temperature().celsius();
                    if (!segment.isEmpty() && celsius > segment.get(segment.size() - 1).celsius() + WARMED) {
                        segment.clear();
                    }
                    segment.add(new CoolingFit.Reading(minutes(log, t.at()), celsius));
                });
        return segment;
    }

    private static Optional<CoolingFit> fit(
            BatchLog log, Spot spot, Instant moment, double rate, Temperature room, double roomSpread) {
        List<CoolingFit.Reading> segment = segment(log, spot, moment);
        return segment.isEmpty()
                ? Optional.empty()
                : Optional.of(CoolingFit.of(
                        segment, NOISE, new CoolingFit.Prior(rate, CoolingFit.UNKNOWN_VESSEL, room, roomSpread)));
    }

    private static double minutes(BatchLog log, Instant at) {
        return Math.max(0, Duration.between(log.begun(), at).toMillis() / 60_000.0);
    }
}
