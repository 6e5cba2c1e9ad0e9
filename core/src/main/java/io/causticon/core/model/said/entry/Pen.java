package io.causticon.core.model.said.entry;

import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.TemperatureNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/**
 * Writes the parts of a shorthand so that reading gives back what they were.
 *
 * @param units the maker's
 * @param names what things are called in this batch
 * @param quoting whether names and words stand between quotation marks, where they could be taken for something else
 */
record Pen(Units units, Names names, boolean quoting) {

    String mass(Mass mass) {
        return MassNotation.exactly(mass, units);
    }

    /** With a space before it; nothing when there is none. */
    String mass(String before, @Nullable Mass mass) {
        return mass == null ? "" : before + mass(mass);
    }

    String temperature(String before, @Nullable Temperature temperature) {
        return temperature == null ? "" : before + TemperatureNotation.exactly(temperature, units);
    }

    String number(double value) {
        return NumberNotation.exactly(value);
    }

    String name(Named named) {
        return words(named.name());
    }

    /** With words before it; nothing when there is none. */
    String name(String before, @Nullable Named named) {
        return named == null ? "" : before + name(named);
    }

    String words(String text) {
        return quoting ? Quotes.around(text) : text;
    }

    /** By its name where that means it, by its id otherwise. */
    String weighable(Weighable what) {
        String name = names.of(what).toLowerCase(Locale.ROOT);
        if (what.kind() == Weighable.Kind.ALKALI) {
            return name;
        }
        return names.weighable(name).filter(what::equals).isPresent() && Quotes.isBare(name) ? name : words(what.id());
    }

    static String lower(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }

    /** With spaces for underscores. */
    static String spoken(Enum<?> value) {
        return lower(value).replace('_', ' ');
    }
}
