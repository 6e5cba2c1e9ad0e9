package io.causticon.core.wording;

import java.util.List;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * A sentence with places for quantities.
 *
 * @param pattern words, with {@code {}} where the next value goes
 * @param values masses, temperatures, shares, numbers, words or phrases, in the order of the places
 */
public record Phrase(String pattern, List<Object> values) {

    private static final String PLACE = "{}";

    public Phrase {
        values = List.copyOf(values);
    }

    public static Phrase of(String pattern, Object... values) {
        return new Phrase(pattern, List.of(values));
    }

    /** This and another, with words between. */
    public Phrase then(String between, Phrase other) {
        return new Phrase(
                pattern + between + other.pattern,
                Stream.concat(values.stream(), other.values.stream()).toList());
    }

    /** The sentence, with each value written by whoever knows the maker's units. */
    public String written(Function<Object, String> writer) {
        StringBuilder text = new StringBuilder();
        int from = 0;
        for (Object value : values) {
            int place = pattern.indexOf(PLACE, from);
            if (place < 0) {
                throw new IllegalStateException("Impossible state: more values than places in: " + pattern);
            }
            text.append(pattern, from, place)
                    .append(value instanceof Phrase part ? part.written(writer) : writer.apply(value));
            from = place + PLACE.length();
        }
        return text.append(pattern.substring(from)).toString();
    }
}
