package io.causticon.web.device;

import io.causticon.core.quantity.Interval;

/** What a device measures. */
public enum DeviceKind {
    /** Degrees Celsius. */
    THERMOMETER("thermometer", Interval.between(-40, 250)),
    /** Grams. */
    SCALE("scale", Interval.between(-5_000, 50_000)),
    /** pH. */
    PH_PEN("pH pen", Interval.between(0, 14)),
    /** Seconds that the blender ran: one number for each burst, when it ends. */
    BLENDER("blender switch", Interval.between(0, 900));

    private final String words;
    private final Interval possible;

    DeviceKind(String words, Interval possible) {
        this.words = words;
        this.possible = possible;
    }

    public String words() {
        return words;
    }

    /** What can be read at all, in its base unit. */
    Interval possible() {
        return possible;
    }
}
