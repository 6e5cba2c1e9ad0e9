package io.causticon.web.places.plan;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.PlanField;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.TemperatureNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.shared.Formats;
import java.util.Locale;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** How one field of a plan is typed and told, by what kind of value it is. */
final class FieldForm<T> {

    /** A checked box. */
    private static final String ON = "on";

    private final PlanField<T> field;

    FieldForm(PlanField<T> field) {
        this.field = field;
    }

    /** As it is typed, in the maker's units. */
    String typed(@Nullable T value, Formats formats) {
        if (value == null) {
            return "";
        }
        return switch (field.kind()) {
            case TEMPERATURE ->
                formats.temperatureNumber((Temperature) value)
                        .replace('\u2212', '-')
                        .replaceAll("\\.0$", "");
            case MASS -> MassNotation.write((Mass) value, formats.units());
            case COUNT -> value.toString();
            case CHOICE -> ((Enum<?>) value).name();
            case SWITCH -> (boolean) value != field.isTypedInverted() ? ON : "";
            case VESSEL -> ((Vessel) value).name();
        };
    }

    /** As it is told, with its unit. */
    String told(@Nullable T value, Formats formats) {
        if (value == null) {
            return "\u2013";
        }
        return switch (field.kind()) {
            case TEMPERATURE -> formats.temperature((Temperature) value);
            case MASS -> formats.mass((Mass) value);
            case COUNT -> value.toString();
            case CHOICE -> ((Enum<?>) value).name().toLowerCase(Locale.ROOT).replace('_', ' ');
            case SWITCH -> (boolean) value ? "yes" : "no";
            case VESSEL -> ((Vessel) value).name();
        };
    }

    /**
     * What was typed; what cannot be read is noted as a problem, and is as usual. What is left empty is as usual,
     * unless it has to be said.
     *
     * @param shelf the vessel of a name, null where there is none
     */
    @Nullable
    T read(String text, FieldReader fields, Units units, Function<String, @Nullable Vessel> shelf) {
        boolean isEmpty = text.isBlank() && !field.isAlwaysKept();
        return switch (field.kind()) {
            case TEMPERATURE ->
                isEmpty ? field.usual() : fields.take(() -> field.type().cast(temperature(text, units)), field.usual());
            case MASS ->
                isEmpty
                        ? field.usual()
                        : fields.take(
                                () -> field.type().cast(MassNotation.read(field.typed(), text, units)), field.usual());
            case COUNT ->
                isEmpty
                        ? field.usual()
                        : field.ofNumber(fields.number(
                                field.typed(), text, field.number(field.usual()).orElseThrow()));
            case CHOICE ->
                field.choices()
                        .filter(c -> ((Enum<?>) c).name().equals(text))
                        .findFirst()
                        .orElseGet(() -> noChoice(text, fields));
            case SWITCH -> field.type().cast(!text.isBlank() != field.isTypedInverted());
            case VESSEL -> field.type().cast(shelf.apply(text));
        };
    }

    /** Where lye and fats meet is read as the batter is, whose slips of unit are known. */
    private Temperature temperature(String text, Units units) {
        return field == PlanFields.MIX_AT
                ? TemperatureNotation.readAt(MeasurementPoint.BATTER, field.typed(), text, units)
                : TemperatureNotation.read(field.typed(), text, units);
    }

    private @Nullable T noChoice(String text, FieldReader fields) {
        if (!text.isBlank()) {
            fields.noChoice(field.typed(), text);
        }
        return field.usual();
    }
}
