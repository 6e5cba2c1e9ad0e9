package io.causticon.web.shared;

import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.history.Change;
import io.causticon.core.science.history.Measure;

/** Words measures of a batch, and what differs between two. */
public final class ChangeWords {

    private ChangeWords() {}

    public static String change(Change change, Formats formats) {
        if (change instanceof Change.Moved m) {
            return m.measure().words() + " " + value(m.measure(), m.before(), formats) + " to "
                    + value(m.measure(), m.after(), formats);
        } else if (change instanceof Change.Switched s) {
            return s.what() + " " + none(s.before()) + ", then " + none(s.after());
        } else if (change instanceof Change.OtherLot l) {
            return l.substance() + " of lot " + l.before() + ", then " + l.after();
        }
        Change.Swapped swapped = (Change.Swapped) change;
        return (swapped.isNew() ? "with " : "without ") + swapped.substance();
    }

    /** A value in its measure's unit, with that unit. */
    public static String value(Measure measure, double value, Formats formats) {
        return switch (measure.unit()) {
            case SHARE -> Formats.number(100 * value, 1) + " %";
            case CELSIUS -> formats.temperature(Temperature.celsius(value));
            case SECONDS -> Formats.number(value, 0) + " s";
            case MINUTES -> Formats.number(value, 0) + " min";
            case DAYS -> Formats.number(value, 0) + " d";
            case MILLIMETRES -> Formats.number(value, 1) + " mm";
            case GRADE -> Formats.number(value, 0);
        };
    }

    private static String none(String words) {
        return words.isEmpty() ? "none" : words;
    }
}
