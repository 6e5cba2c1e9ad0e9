package io.causticon.core.model.substance;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * Finds the row of a table by what a maker calls it. Each word of a quick line may be a substance, and the tables hold
 * hundreds: what {@link Catalogue#answersTo} asks of one row is looked up here for all.
 *
 * @param <T> row of the table
 */
final class CalledIndex<T> {

    /** A row and its place in the table: of several that answer to the same words the first one is meant. */
    private record Place<T>(int at, T row) {}

    private final Map<String, Place<T>> firstWords = new HashMap<>();
    private final Map<String, Place<T>> names = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
    private final NavigableMap<String, Place<T>> essentials = new TreeMap<>();

    CalledIndex(Collection<T> rows, Function<T, String> id, Function<T, String> name) {
        int at = 0;
        for (T row : rows) {
            add(new Place<>(at++, row), id.apply(row), name.apply(row));
        }
    }

    private void add(Place<T> place, String id, String name) {
        for (int end = id.indexOf('-', 1); end > 0; end = id.indexOf('-', end + 1)) {
            firstWords.putIfAbsent(id.substring(0, end), place);
        }
        firstWords.putIfAbsent(id, place);
        names.putIfAbsent(name, place);
        if (id.startsWith(Catalogue.ESSENTIAL)) {
            essentials.putIfAbsent(id.substring(Catalogue.ESSENTIAL.length()), place);
        }
    }

    Optional<T> find(Catalogue.Called called) {
        String asked = called.asked();
        Stream<Place<T>> oils = asked.length() < Catalogue.SHORTEST_BEGINNING
                ? Stream.empty()
                : essentials.tailMap(asked, true).entrySet().stream()
                        .takeWhile(e -> e.getKey().startsWith(asked))
                        .map(Map.Entry::getValue);
        Stream<Place<T>> words = Stream.of(names.get(called.words()), asked.isEmpty() ? null : firstWords.get(asked))
                .filter(Objects::nonNull);
        return Stream.concat(words, oils)
                .min(Comparator.comparingInt(Place::at))
                .map(Place::row);
    }
}
