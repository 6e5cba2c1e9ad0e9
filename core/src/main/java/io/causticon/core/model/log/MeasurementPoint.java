package io.causticon.core.model.log;

import io.causticon.core.quantity.Interval;

/** Where a temperature is read, with what is possible there in degrees Celsius. */
public enum MeasurementPoint {
    /** The lye solution. Hot lye boils above 120 C when strong. */
    LYE(-20, 140),
    /** The melted fats. Above 110 C they are frying. */
    FATS(-5, 110),
    /** Lye and fats together. */
    BATTER(0, 110),
    /** The middle of the loaf. */
    CORE(-5, 115),
    /** The air of the workshop. */
    ROOM(-10, 45);

    private final Interval possible;

    MeasurementPoint(double lowest, double highest) {
        this.possible = Interval.between(lowest, highest);
    }

    public Interval possibleCelsius() {
        return possible;
    }
}
