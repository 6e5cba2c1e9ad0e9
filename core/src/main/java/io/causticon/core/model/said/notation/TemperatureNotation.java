package io.causticon.core.model.said.notation;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.said.notation.Units.TemperatureUnit;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import java.util.Locale;

/** Temperatures as they are typed: {@code 43}, {@code 43.5 C}, {@code 110F}. */
public final class TemperatureNotation {

    private static final Pattern FORM =
            Pattern.compile("(" + NumberNotation.PATTERN + ")\\s*(?:\u00b0|\u00ba|deg(?:rees)?)?\\s*([a-z]*)");

    private static final int PLACES = 2;
    private static final double KELVIN_IN_FAHRENHEIT = 1.8;

    private TemperatureNotation() {}

    /** @throws ProblemsException if it is no temperature */
    public static Temperature read(String field, String text, Units units) {
        Typed typed = typed(field, text, units);
        return typed.fahrenheit() ? Temperature.fahrenheit(typed.number()) : Temperature.celsius(typed.number());
    }

    /**
     * A temperature with its unit, so that reading it gives back the very same: in these units where a few places do.
     */
    public static String exactly(Temperature temperature, Units units) {
        if (units.temperature() == TemperatureUnit.FAHRENHEIT) {
            String text = NumberNotation.write(temperature.inFahrenheit(), PLACES) + " F";
            if (read("", text, units).equals(temperature)) {
                return text;
            }
        }
        return NumberNotation.exactly(temperature.celsius()) + " C";
    }

    /**
     * A difference of two temperatures, typed the same way.
     *
     * @throws ProblemsException if it is none
     */
    public static TemperatureChange readChange(String field, String text, Units units) {
        Typed typed = typed(field, text, units);
        return TemperatureChange.kelvin(typed.fahrenheit() ? typed.number() / KELVIN_IN_FAHRENHEIT : typed.number());
    }

    private record Typed(double number, boolean fahrenheit) {}

    private static Typed typed(String field, String text, Units units) {
        Matcher form = FORM.matcher(TypedText.quantity(field, text).toLowerCase(Locale.ROOT));
        if (!form.matches()) {
            throw ProblemsException.of(field, ProblemKey.NOT_A_NUMBER, text.trim());
        }
        double number = NumberNotation.read(field, form.group(1));
        return switch (form.group(2)) {
            case "" -> new Typed(number, units.temperature() == TemperatureUnit.FAHRENHEIT);
            case "c", "celsius" -> new Typed(number, false);
            case "f", "fahrenheit" -> new Typed(number, true);
            default -> throw ProblemsException.of(field, ProblemKey.UNKNOWN_UNIT, form.group(2), text.trim());
        };
    }

    /** Reads a temperature at a spot and refuses what cannot be there, guessing at a mistaken unit. */
    public static Temperature readAt(MeasurementPoint spot, String field, String text, Units units) {
        Temperature read = read(field, text, units);
        Interval possible = spot.possibleCelsius();
        if (read.celsius() > possible.high()) {
            Temperature limit = Temperature.celsius(possible.high());
            Temperature ifFahrenheit = Temperature.fahrenheit(read.celsius());
            boolean bare = Character.isDigit(text.strip().charAt(text.strip().length() - 1));
            if (bare && units.temperature() == TemperatureUnit.CELSIUS && possible.contains(ifFahrenheit.celsius())) {
                throw ProblemsException.of(
                        field, ProblemKey.TOO_HIGH_FOR_CELSIUS, spot.name(), read, limit, ifFahrenheit);
            }
            throw ProblemsException.of(field, ProblemKey.TOO_HIGH, spot.name(), read, limit);
        }
        if (read.celsius() < possible.low()) {
            throw ProblemsException.of(
                    field, ProblemKey.TOO_LOW, spot.name(), read, Temperature.celsius(possible.low()));
        }
        return read;
    }
}
