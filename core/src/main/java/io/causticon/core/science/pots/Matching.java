package io.causticon.core.science.pots;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
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

    private static final double NOISE = 1;
    private static final double LOOK_AHEAD = 180;
    private static final double SOON = 8;

    /**
     * @param usualRoom where the room was not read
     * @param tolerance how close they should be
     * @param memories what earlier batches told of these pots
     */
    public static Matching of(
            BatchPlan plan,
            BatchFacts facts,
            Temperature usualRoom,
            TemperatureChange tolerance,
            PotMemories memories,
            Instant moment) {
        double now = minutes(facts.log(), moment);
        Temperature room = facts.room().orElse(usualRoom);
        Optional<CoolingFit> lye = fit(facts, MeasurementPoint.LYE, moment, room, memories.lye());
        Optional<CoolingFit> fats = fit(facts, MeasurementPoint.FATS, moment, room, memories.fats());
        Interval window = window(plan);
        Optional<Meeting> meeting =
                lye.flatMap(l -> fats.map(f -> Meeting.of(l, f, now, now + LOOK_AHEAD, tolerance, window)));
        List<BathAdvice> baths = meeting.filter(m -> m.median() > now + SOON).isPresent()
                ? BathAdvice.of(
                        stands(facts, MeasurementPoint.LYE, lye.orElseThrow(), now),
                        stands(facts, MeasurementPoint.FATS, fats.orElseThrow(), now),
                        window,
                        tolerance)
                : List.of();
        return new Matching(lye, fats, now, window, tolerance, meeting, baths);
    }

    /** How a pot of this batch is expected to cool in the room, before anything was read of it. */
    public static PotCooling expected(BatchFacts facts, MeasurementPoint spot, Temperature usualRoom) {
        return Pots.inRoom(
                facts.plan(), facts.asWeighed().weights(), spot, facts.room().orElse(usualRoom));
    }

    private static BathAdvice.Stands stands(BatchFacts facts, MeasurementPoint spot, CoolingFit fit, double now) {
        CoolingBody middle = fit.middle();
        return new BathAdvice.Stands(
                Temperature.celsius(fit.celsiusAt(now)),
                Pots.inBath(facts.plan(), facts.asWeighed().weights(), spot),
                new CoolingBody(
                        Temperature.celsius(fit.celsiusAt(now)),
                        middle.room(),
                        middle.ratePerMinute(),
                        middle.excess()));
    }

    /** What this batch tells of how fast a pot cools; empty when it was read too seldom. */
    public static Optional<CoolingMemory.Timed> timed(
            BatchFacts facts, MeasurementPoint spot, Temperature usualRoom, Instant moment) {
        return PotSegments.of(facts.log(), spot, moment)
                .timed(expected(facts, spot, usualRoom), facts.room().orElse(usualRoom), roomSpread(facts));
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

    private static Optional<CoolingFit> fit(
            BatchFacts facts, MeasurementPoint spot, Instant moment, Temperature room, CoolingMemory memory) {
        PotSegments pot = PotSegments.of(facts.log(), spot, moment);
        PotSegments.Segment current = pot.current();
        List<CoolingFit.Reading> readings = current.readings();
        if (readings.isEmpty()) {
            Optional<CoolingFit.Reading> before = pot.lastReading();
            if (before.isEmpty()) {
                return Optional.empty();
            }
            readings = List.of(new CoolingFit.Reading(
                    Math.max(current.from(), before.get().minute()),
                    before.get().celsius()));
        }
        return Optional.of(CoolingFit.of(readings, NOISE, prior(facts, spot, pot, room, memory)));
    }

    private static CoolingFit.Prior prior(
            BatchFacts facts, MeasurementPoint spot, PotSegments pot, Temperature room, CoolingMemory memory) {
        return switch (pot.current().in()) {
            case ROOM -> {
                PotCooling expected = expected(facts, spot, room);
                double spread = roomSpread(facts);
                CoolingMemory told =
                        pot.timedBefore(expected, room, spread).map(memory::and).orElse(memory);
                yield new CoolingFit.Prior(told.expect(expected), room, spread);
            }
            case ICE_BATH -> bathed(facts, spot, BathAdvice.ICE, 1);
            case COLD_BATH -> bathed(facts, spot, BathAdvice.TAP, 3);
            case WARM_BATH -> bathed(facts, spot, BathAdvice.WARM, 4);
        };
    }

    private static CoolingFit.Prior bathed(
            BatchFacts facts, MeasurementPoint spot, Temperature bath, double bathSpread) {
        return new CoolingFit.Prior(Pots.inBath(facts.plan(), facts.asWeighed().weights(), spot), bath, bathSpread);
    }

    private static double roomSpread(BatchFacts facts) {
        return facts.room().isPresent() ? CoolingFit.ROOM_READ : CoolingFit.ROOM_GUESSED;
    }

    private static double minutes(BatchLog log, Instant at) {
        return Math.max(0, Duration.between(log.begun(), at).toMillis() / 60_000.0);
    }
}
