package io.causticon.core.model.said.notation;

/**
 * What a maker means by a number without a unit, and what she is shown.
 *
 * @param mass unit of masses
 * @param temperature unit of temperatures
 */
public record Units(MassUnit mass, TemperatureUnit temperature) {

    public static final Units METRIC = new Units(MassUnit.GRAM, TemperatureUnit.CELSIUS);
    public static final Units US = new Units(MassUnit.OUNCE, TemperatureUnit.FAHRENHEIT);

    /** Units of mass. */
    public enum MassUnit {
        GRAM,
        OUNCE,
        POUND
    }

    /** Units of temperature. */
    public enum TemperatureUnit {
        CELSIUS,
        FAHRENHEIT
    }
}
