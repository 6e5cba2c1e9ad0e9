package io.causticon.core.quantity;

/**
 * A difference between two temperatures.
 *
 * @param kelvin the difference in kelvin; positive is warmer
 */
public record TemperatureChange(double kelvin) {

    public static TemperatureChange kelvin(double kelvin) {
        return new TemperatureChange(kelvin);
    }

    public TemperatureChange magnitude() {
        return new TemperatureChange(Math.abs(kelvin));
    }

    public boolean isMoreThan(TemperatureChange other) {
        return kelvin > other.kelvin;
    }
}
