package io.causticon.core.model.said.entry;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.TemperatureNotation;
import io.causticon.core.model.said.notation.Units;
import java.util.Optional;
import java.util.regex.Pattern;

/** What a line says when nothing but its number is typed anew: ten of the same, at the same place. */
public final class OnlyTheAmount {

    private static final Pattern AMOUNT = Pattern.compile(
            "^[-+\u2212]?\\d[\\d.,]*\\s*(?:kg|g|oz|lb|lbs|c|f|\u00b0\\s*c|\u00b0\\s*f|s)?$", Pattern.CASE_INSENSITIVE);

    private OnlyTheAmount() {}

    /**
     * The same entry with another amount; empty where more than an amount was typed, or where the entry has none.
     *
     * @param typed in the field of the words
     * @param units what a bare number means
     * @throws io.causticon.core.problem.ProblemsException if the amount is none of what the entry measures
     */
    public static Optional<Entry> of(Entry entry, String typed, Units units) {
        String text = typed.strip();
        if (!AMOUNT.matcher(text).matches()) {
            return Optional.empty();
        }
        if (entry instanceof Entry.Weighed w) {
            return Optional.of(
                    new Entry.Weighed(w.what(), MassNotation.read("quick", text, units), w.tare(), w.vessel()));
        }
        if (entry instanceof Entry.WeighedAgain w) {
            return Optional.of(new Entry.WeighedAgain(w.what(), MassNotation.read("quick", text, units)));
        }
        if (entry instanceof Entry.PotWeighed) {
            return Optional.of(new Entry.PotWeighed(MassNotation.read("quick", text, units)));
        }
        if (entry instanceof Entry.TemperatureRead t) {
            return Optional.of(
                    new Entry.TemperatureRead(t.spot(), TemperatureNotation.readAt(t.spot(), "quick", text, units)));
        }
        if (entry instanceof Entry.BlenderBurst) {
            return Optional.of(new Entry.BlenderBurst(
                    (int) Math.rint(NumberNotation.read("quick", text.replaceAll("(?i)\\s*s$", "")))));
        }
        return Optional.empty();
    }
}
