package io.causticon.core.science.pots;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Bath;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.quantity.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A pot's readings, cut where it was put somewhere else or warmed: only the readings since then tell where it is going,
 * but the earlier ones still tell how fast this pot cools.
 *
 * @param segments in the order of time, each with at least one reading, but for the last, which may have none yet
 */
public record PotSegments(List<Segment> segments) {

    /** A reading this much above the one before tells that a pot in the room was warmed or still dissolves. */
    private static final double WARMED = 1.5;

    private static final double NOISE = 1;
    private static final int ENOUGH = 3;
    private static final double LONG_ENOUGH = 10;

    public PotSegments {
        segments = List.copyOf(segments);
    }

    /**
     * Readings in the same surroundings.
     *
     * @param in what the pot stood in
     * @param from minute of the batch at which it was put there; of the first reading, when that was not logged
     * @param readings on the clock of the batch
     */
    public record Segment(Bath in, double from, List<CoolingFit.Reading> readings) {

        public Segment {
            readings = List.copyOf(readings);
        }

        private boolean tellsTheRate() {
            return in == Bath.ROOM
                    && readings.size() >= ENOUGH
                    && readings.get(readings.size() - 1).minute()
                                    - readings.get(0).minute()
                            >= LONG_ENOUGH;
        }
    }

    public static PotSegments of(BatchLog log, MeasurementPoint spot, Instant moment) {
        List<Segment> segments = new ArrayList<>();
        List<CoolingFit.Reading> readings = new ArrayList<>();
        Bath in = Bath.ROOM;
        double from = 0;
        for (var line : log.entries()) {
            if (line.at().isAfter(moment)) {
                break;
            }
            double minute = minutes(log, line.at());
            if (line.entry() instanceof Entry.Bathed b && b.pot() == spot) {
                if (!readings.isEmpty()) {
                    segments.add(new Segment(in, from, readings));
                }
                // The temperature it goes in with is the last one it came out with.
                readings = new ArrayList<>();
                in = b.into();
                from = minute;
            } else if (line.entry() instanceof Entry.TemperatureRead t && t.spot() == spot) {
                double celsius = t.temperature().celsius();
                boolean warmed = in == Bath.ROOM
                        && !readings.isEmpty()
                        && celsius > readings.get(readings.size() - 1).celsius() + WARMED
                        && celsius > 0;
                if (warmed) {
                    segments.add(new Segment(in, from, readings));
                    readings = new ArrayList<>();
                    from = minute;
                }
                readings.add(new CoolingFit.Reading(minute, celsius));
            }
        }
        segments.add(new Segment(in, from, readings));
        return new PotSegments(segments);
    }

    public Segment current() {
        return segments.get(segments.size() - 1);
    }

    /** The last reading of all; what a pot that was just put into a bath starts from. */
    public Optional<CoolingFit.Reading> lastReading() {
        return segments.stream().flatMap(s -> s.readings().stream()).reduce((a, b) -> b);
    }

    /**
     * What this batch told of the pot's rate in the room: from its longest stretch of cooling.
     *
     * @param expected of a pot of its size and make
     * @param roomSpread how well the room is known, K
     */
    public Optional<CoolingMemory.Timed> timed(PotCooling expected, Temperature room, double roomSpread) {
        return segments.stream()
                .filter(Segment::tellsTheRate)
                .max(Comparator.comparingInt(s -> s.readings().size()))
                .map(s -> CoolingMemory.Timed.of(
                        CoolingFit.of(s.readings(), NOISE, new CoolingFit.Prior(expected, room, roomSpread)),
                        expected));
    }

    /** The same from what came before the current stretch. */
    Optional<CoolingMemory.Timed> timedBefore(PotCooling expected, Temperature room, double roomSpread) {
        return new PotSegments(segments.subList(0, segments.size() - 1)).timed(expected, room, roomSpread);
    }

    private static double minutes(BatchLog log, Instant at) {
        return Math.max(0, Duration.between(log.begun(), at).toMillis() / 60_000.0);
    }
}
