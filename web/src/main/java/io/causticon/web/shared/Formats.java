package io.causticon.web.shared;

import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.said.notation.Units.TemperatureUnit;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import io.causticon.core.wording.Exactly;
import io.causticon.core.wording.Phrase;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.stream.DoubleStream;

/**
 * Writes values as one maker reads them. Rounding is half up at the last digit shown; a minus is a real minus sign.
 *
 * @param units her units
 * @param zone the workshop's time zone
 */
public record Formats(Units units, ZoneId zone) {

    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);
    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter LONG_DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);
    /** From here on a day of the same name may be meant. */
    private static final Duration FAR = Duration.ofDays(300);

    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter INPUT = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss", Locale.ENGLISH);
    private static final double FINE_GRAMS = 10;
    /** Degrees between the marks of an axis. */
    private static final List<Double> ROUND_STEPS = List.of(5.0, 10.0, 20.0, 50.0, 100.0);

    private static final int MOST_STEPS = 7;
    private static final int FINEST_PLACES = 6;
    private static final int THOUSAND_DIGITS = 3;
    private static final long MINUTE = 60;
    private static final long HOUR = 3600;
    private static final long DAY_SECONDS = 86_400;

    /** {@code 1,204.0 g} or {@code 42.5 oz}. */
    public String mass(Mass mass) {
        return massNumber(mass) + " " + massUnit();
    }

    /** With as many places as it takes to show that it is not nothing. */
    public String exactMass(Mass mass) {
        boolean shown = mass.grams() == 0 || massNumber(mass).chars().anyMatch(c -> c >= '1' && c <= '9');
        return shown ? mass(mass) : trim(number(massValue(mass), FINEST_PLACES)) + " " + massUnit();
    }

    /** The number of her unit. */
    public double massValue(Mass mass) {
        return switch (units.mass()) {
            case GRAM -> mass.grams();
            case OUNCE -> mass.inOunces();
            case POUND -> mass.inOunces() / Mass.OUNCES_PER_POUND;
        };
    }

    /** Without its unit. */
    public String massNumber(Mass mass) {
        return switch (units.mass()) {
            case GRAM -> number(mass.grams(), Math.abs(mass.grams()) < FINE_GRAMS ? 2 : 1);
            case OUNCE -> number(mass.inOunces(), 2);
            case POUND -> number(mass.inOunces() / Mass.OUNCES_PER_POUND, 3);
        };
    }

    /** A mass for a form field: without separators, so that it can be read again. */
    public String massInput(Mass mass) {
        return massNumber(mass).replace(",", "");
    }

    public String massUnit() {
        return switch (units.mass()) {
            case GRAM -> "g";
            case OUNCE -> "oz";
            case POUND -> "lb";
        };
    }

    /** A rounded mass for a line of small print: {@code 1.2 kg}, {@code 640 g}, {@code 2.6 lb}. */
    public String roughMass(Mass mass) {
        // Who thinks in ounces is told ounces, also of much.
        if (units.mass() == Units.MassUnit.OUNCE) {
            return trim(number(mass.inOunces(), mass.inOunces() < 100 ? 1 : 0)) + " oz";
        }
        if (units.mass() == Units.MassUnit.POUND) {
            return number(mass.inOunces() / Mass.OUNCES_PER_POUND, 1) + " lb";
        }
        return mass.grams() < 1000 ? number(mass.grams(), 0) + " g" : trim(number(mass.grams() / 1000, 2)) + " kg";
    }

    /** {@code 43.5 °C}. */
    public String temperature(Temperature temperature) {
        return temperatureNumber(temperature) + " " + temperatureUnit();
    }

    public String temperatureNumber(Temperature temperature) {
        return number(degrees(temperature), 1);
    }

    /** The number of degrees in her unit. */
    public double degrees(Temperature temperature) {
        return units.temperature() == TemperatureUnit.CELSIUS ? temperature.celsius() : temperature.inFahrenheit();
    }

    /** Where an axis is marked: round numbers of her degrees between two temperatures in C, at most eight of them. */
    public List<Temperature> marks(double lowestCelsius, double highestCelsius) {
        double low = degrees(Temperature.celsius(lowestCelsius));
        double high = degrees(Temperature.celsius(highestCelsius));
        double step = ROUND_STEPS.stream()
                .filter(s -> high - low <= MOST_STEPS * s)
                .findFirst()
                .orElse(high - low);
        return DoubleStream.iterate(Math.ceil(low / step) * step, d -> d <= high, d -> d + step)
                .mapToObj(d -> units.temperature() == TemperatureUnit.CELSIUS
                        ? Temperature.celsius(d)
                        : Temperature.fahrenheit(d))
                .toList();
    }

    /** A difference of temperatures, in the maker's degrees. */
    public double degreesApart(double kelvin) {
        return units.temperature() == Units.TemperatureUnit.CELSIUS ? kelvin : kelvin * 1.8;
    }

    /** A difference of temperatures with its unit, to a whole degree. */
    public String difference(double kelvin) {
        return number(degreesApart(kelvin), 0) + " " + temperatureUnit();
    }

    public String temperatureUnit() {
        return units.temperature() == TemperatureUnit.CELSIUS ? "\u00b0C" : "\u00b0F";
    }

    /**
     * A sentence with its quantities in her units: degrees and per cent in whole numbers, small shares with a digit.
     */
    public String phrase(Phrase phrase) {
        return phrase.written(this::written);
    }

    /** The same with its full stop, where it does not ask. */
    public String sentence(Phrase phrase) {
        String words = phrase(phrase);
        return words.endsWith("?") ? words : words + ".";
    }

    private String written(Object value) {
        if (value instanceof Mass mass) {
            return mass(mass);
        }
        if (value instanceof Temperature temperature) {
            return number(degrees(temperature), 0) + " " + temperatureUnit();
        }
        if (value instanceof TemperatureChange change) {
            return difference(change.kelvin());
        }
        if (value instanceof Share share) {
            double size = Math.abs(share.inPercent());
            return percent(share, size >= 10 || share.inPercent() == Math.rint(share.inPercent()) ? 0 : 1);
        }
        if (value instanceof Exactly exactly) {
            return exactly.value() instanceof Temperature read
                    ? temperature(read)
                    : number(((Number) exactly.value()).doubleValue(), exactly.digits());
        }
        if (value instanceof Double number) {
            return number(number, Math.abs(number) < 1 && number != 0 ? 1 : 0);
        }
        return value.toString();
    }

    public String percent(Share share, int digits) {
        return number(share.inPercent(), digits) + " %";
    }

    /** A share that is known so well: {@code 5.0 ± 1.3 %}, the central 95 %. */
    public static String percent(Estimate share) {
        return number(100 * share.value(), 1) + " \u00b1 " + number(100 * share.halfWidth95(), 1) + " %";
    }

    /** A probability without false precision: {@code under 0.1 %}, {@code 3 %}, {@code over 99 %}. */
    public static String probability(double p) {
        if (p < 0.001) {
            return "under 0.1 %";
        }
        if (p > 0.995) {
            return "over 99 %";
        }
        return number(100 * p, p < 0.0095 ? 1 : 0) + " %";
    }

    /** A probability that was counted in a few hundred draws: {@code under 1 %}, {@code 35 %}, {@code over 99 %}. */
    public static String counted(double p) {
        return p < 0.01 ? "under 1 %" : p > 0.99 ? "over 99 %" : number(100 * p, 0) + " %";
    }

    /** With thousands separated and a real minus. */
    public static String number(double value, int digits) {
        if (!Double.isFinite(value)) {
            return Double.isNaN(value) ? "?" : value > 0 ? "\u221e" : "\u2212\u221e";
        }
        BigDecimal rounded = BigDecimal.valueOf(Math.abs(value)).setScale(digits, RoundingMode.HALF_UP);
        StringBuilder text = new StringBuilder(rounded.toPlainString());
        int point = text.indexOf(".");
        for (int at = (point < 0 ? text.length() : point) - THOUSAND_DIGITS; at > 0; at -= THOUSAND_DIGITS) {
            text.insert(at, ',');
        }
        if (value < 0 && rounded.signum() != 0) {
            text.insert(0, '\u2212');
        }
        return text.toString();
    }

    /** With a sign in front, for weights of evidence. */
    public static String signed(double value, int digits) {
        String text = number(value, digits);
        return value > 0 && !text.matches("0(\\.0*)?") ? "+" + text : text;
    }

    /** {@code 41 min}, {@code 2 h 50 min}, {@code 1 d 9 h}, {@code 21 days}. */
    public static String duration(Duration duration) {
        long s = Math.abs(duration.toSeconds());
        if (s < HOUR) {
            return s / MINUTE + " min";
        }
        if (s < DAY_SECONDS) {
            return s / HOUR + " h" + (s % HOUR / MINUTE == 0 ? "" : " " + s % HOUR / MINUTE + " min");
        }
        long days = s / DAY_SECONDS;
        if (days < 3) {
            long hours = s % DAY_SECONDS / HOUR;
            return days + " d" + (hours == 0 ? "" : " " + hours + " h");
        }
        return days + " days";
    }

    /** A clock of the bench: {@code 00:41:07}. */
    public static String stopwatch(Duration duration) {
        long s = Math.max(0, duration.toSeconds());
        return String.format(Locale.ROOT, "%02d:%02d:%02d", s / HOUR, s % HOUR / MINUTE, s % MINUTE);
    }

    public String clock(Instant at) {
        return CLOCK.format(at.atZone(zone));
    }

    public String day(Instant at) {
        return DAY.format(at.atZone(zone));
    }

    /** {@code 6 Nov 2026}. */
    public String date(Instant at) {
        return DATE.format(at.atZone(zone));
    }

    /** A day, with its year where it is far from another. */
    public String day(Instant at, Instant from) {
        return Duration.between(from, at).abs().compareTo(FAR) > 0 ? date(at) : day(at);
    }

    /** The same with the day of the week where it is near. */
    public String longDay(Instant at, Instant from) {
        return Duration.between(from, at).abs().compareTo(FAR) > 0 ? date(at) : longDay(at);
    }

    /** {@code November 2026}. */
    public String month(Instant at) {
        return MONTH.format(at.atZone(zone));
    }

    public String longDay(Instant at) {
        return LONG_DAY.format(at.atZone(zone));
    }

    public String moment(Instant at) {
        return MOMENT.format(at.atZone(zone));
    }

    /** For a form field, as it can be read again. */
    public String input(Instant at) {
        return INPUT.format(at.atZone(zone));
    }

    private static String trim(String number) {
        return number.contains(".") ? number.replaceAll("0+$", "").replaceAll("\\.$", "") : number;
    }
}
