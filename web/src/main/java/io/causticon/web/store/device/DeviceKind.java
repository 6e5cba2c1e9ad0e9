package io.causticon.web.store.device;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.shared.Formats;

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
    public Interval possible() {
        return possible;
    }

    /** A reading as a number in a maker's units, as it is typed. */
    public String number(double value, Formats formats) {
        return switch (this) {
            case THERMOMETER ->
                formats.temperatureNumber(Temperature.celsius(value)).replace('\u2212', '-');
            case SCALE -> formats.massInput(Mass.grams(value)).replace('\u2212', '-');
            case PH_PEN -> Formats.number(value, 1);
            case BLENDER -> Formats.number(value, 0);
        };
    }
}
