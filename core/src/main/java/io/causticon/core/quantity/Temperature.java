package io.causticon.core.quantity;

/**
 * A temperature as a level. A difference of two is a {@link TemperatureChange}.
 *
 * @param celsius degrees Celsius
 */
public record Temperature(double celsius) implements Comparable<Temperature> {

    /** A room of which nobody said how warm it is, and a workshop until its makers say. */
    public static final Temperature USUAL_ROOM = celsius(20);

    private static final double FAHRENHEIT_OF_ICE = 32;
    private static final double FAHRENHEIT_PER_KELVIN = 1.8;
    private static final double KELVIN_OF_ICE = 273.15;

    public Temperature {
        if (!Double.isFinite(celsius)) {
            throw new IllegalArgumentException("Impossible state: a temperature of " + celsius + " C");
        }
    }

    public static Temperature celsius(double celsius) {
        return new Temperature(celsius);
    }

    public static Temperature fahrenheit(double fahrenheit) {
        return new Temperature((fahrenheit - FAHRENHEIT_OF_ICE) / FAHRENHEIT_PER_KELVIN);
    }

    public double inFahrenheit() {
        return celsius * FAHRENHEIT_PER_KELVIN + FAHRENHEIT_OF_ICE;
    }

    /** Absolute temperature in kelvin. */
    public double inKelvin() {
        return celsius + KELVIN_OF_ICE;
    }

    public Temperature plus(TemperatureChange change) {
        return new Temperature(celsius + change.kelvin());
    }

    public TemperatureChange minus(Temperature other) {
        return new TemperatureChange(celsius - other.celsius);
    }

    public boolean isAbove(Temperature other) {
        return celsius > other.celsius;
    }

    public boolean isBelow(Temperature other) {
        return celsius < other.celsius;
    }

    @Override
    public int compareTo(Temperature other) {
        return Double.compare(celsius, other.celsius);
    }
}
