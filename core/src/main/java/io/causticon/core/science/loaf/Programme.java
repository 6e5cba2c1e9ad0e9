package io.causticon.core.science.loaf;

import io.causticon.core.quantity.Temperature;
import java.time.Duration;
import java.util.List;

/**
 * What stands round a loaf, one after the other: a room, an oven and then the room, a fridge and then the room.
 *
 * @param room where the empty mould stood
 * @param stays in their order; the last goes on for ever
 */
public record Programme(Temperature room, List<Stay> stays) {

    /**
     * An oven that was switched off with its door shut loses two thirds of what it is above the room in this time
     * (estimate).
     */
    public static final Duration OVEN_COOLS_IN = Duration.ofMinutes(40);

    /** From cold to its temperature (estimate). */
    private static final Duration OVEN_HEATS_IN = Duration.ofMinutes(5);

    /**
     * Somewhere for a while.
     *
     * @param lasts how long; not read for the last one
     * @param towards temperature that it goes to
     * @param settlesIn time constant with which it gets there from where it was; zero if it is there at once
     */
    public record Stay(Duration lasts, Temperature towards, Duration settlesIn) {}

    public Programme {
        if (stays.isEmpty()) {
            throw new IllegalArgumentException("nowhere");
        }
        stays = List.copyOf(stays);
    }

    /** One temperature all the time. */
    public static Programme at(Temperature room) {
        return new Programme(room, List.of(new Stay(Duration.ZERO, room, Duration.ZERO)));
    }

    /**
     * In an oven, which is then switched off and keeps its door shut.
     *
     * @param on how long it is on after the pour
     * @param preheated whether it is hot when the mould comes in
     */
    public static Programme oven(Temperature oven, Duration on, boolean preheated, Temperature room) {
        return new Programme(
                room,
                List.of(
                        new Stay(Duration.ZERO, preheated ? oven : room, Duration.ZERO),
                        new Stay(on, oven, preheated ? Duration.ZERO : OVEN_HEATS_IN),
                        new Stay(Duration.ZERO, room, OVEN_COOLS_IN)));
    }

    /** Brought into the cold and left there. */
    public static Programme cold(Temperature cold, Temperature room) {
        return new Programme(room, List.of(new Stay(Duration.ZERO, cold, Duration.ZERO)));
    }

    /** Temperature round the mould so many seconds after the pour, C. */
    double celsiusAt(double seconds) {
        double began = 0;
        double celsius = stays.get(0).towards().celsius();
        for (int i = 0; ; i++) {
            Stay stay = stays.get(i);
            boolean last = i == stays.size() - 1;
            double within = last
                    ? seconds - began
                    : Math.min(seconds - began, stay.lasts().toSeconds());
            double settles = Math.max(1, stay.settlesIn().toSeconds());
            double target = stay.towards().celsius();
            celsius = stay.settlesIn().isZero() ? target : target + (celsius - target) * Math.exp(-within / settles);
            if (last || seconds < began + stay.lasts().toSeconds()) {
                return celsius;
            }
            began += stay.lasts().toSeconds();
        }
    }

    /** Whether it stays as it is from this second on. */
    boolean isSteadyAt(double seconds) {
        return Math.abs(celsiusAt(seconds) - last().celsius()) < 0.05
                && seconds
                        >= stays.stream()
                                .limit(stays.size() - 1L)
                                .mapToLong(s -> s.lasts().toSeconds())
                                .sum();
    }

    /** Where it ends. */
    public Temperature last() {
        return stays.get(stays.size() - 1).towards();
    }

    /** The warmest that it gets. */
    public Temperature warmest() {
        return stays.stream()
                .map(Stay::towards)
                .reduce((a, b) -> a.celsius() >= b.celsius() ? a : b)
                .orElseThrow();
    }
}
