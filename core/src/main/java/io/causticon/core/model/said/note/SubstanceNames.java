package io.causticon.core.model.said.note;

import io.causticon.core.model.said.note.NotedLine.What;
import io.causticon.core.model.substance.Catalogue;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Finds what a note calls by some name: as the tables call it, by the words of its name in any order, or by a name of
 * the trade.
 */
final class SubstanceNames {

    /** @param words of its name and its id, in lower case */
    record Substance(What what, String id, String name, List<String> words) {}

    private static final Map<String, String> BY_ANOTHER_NAME = Map.of(
            "water", "distilled-water",
            "tap water", "distilled-water",
            "rapeseed oil", "canola-oil",
            "rapeseed", "canola-oil",
            "beef dripping", "tallow-beef",
            "dripping", "tallow-beef",
            "tallow", "tallow-beef",
            "salt", "salt-hardener",
            "goat milk", "goat-milk-whole",
            "milk", "cow-milk-whole");

    private static final int SHORTEST_LIKENESS = 3;
    private static final int MOST_GUESSES = 3;

    private final Catalogue catalogue;
    private final List<Substance> all;

    /** Those that were asked for last: a table of a thousand lines asks for the same each time. */
    private static volatile @Nullable SubstanceNames last;

    static SubstanceNames of(Catalogue catalogue) {
        SubstanceNames known = last;
        if (known != null && known.catalogue == catalogue) {
            return known;
        }
        SubstanceNames names = new SubstanceNames(catalogue);
        last = names;
        return names;
    }

    private SubstanceNames(Catalogue catalogue) {
        this.catalogue = catalogue;
        this.all = Stream.of(
                        catalogue.fats().stream().map(f -> substance(What.FAT, f.id(), f.name())),
                        catalogue.liquids().stream().map(l -> substance(What.LIQUID, l.id(), l.name())),
                        catalogue.additives().stream().map(a -> substance(What.ADDITIVE, a.id(), a.name())))
                .flatMap(s -> s)
                .toList();
    }

    private static Substance substance(What what, String id, String name) {
        return new Substance(what, id, name, words(name + " " + id));
    }

    Optional<Substance> find(String called) {
        String id = BY_ANOTHER_NAME.get(called.toLowerCase(Locale.ROOT).trim());
        return Stream.concat(
                        all.stream().filter(s -> s.id().equals(id)),
                        all.stream().filter(s -> Catalogue.answersTo(s.id(), s.name(), called)))
                .findFirst()
                .or(() -> byWords(called));
    }

    /** The shortest name that has all these words; the shorter it is, the plainer the thing. */
    private Optional<Substance> byWords(String called) {
        List<String> wanted = words(called);
        return wanted.isEmpty()
                ? Optional.empty()
                : all.stream()
                        .filter(s -> wanted.stream()
                                .allMatch(w -> s.words().stream()
                                        .anyMatch(x -> x.equals(w) || x.equals(w + "s") || w.equals(x + "s"))))
                        .min(Comparator.comparingInt(s -> s.name().length()));
    }

    /** Names that begin alike. */
    List<String> like(String called) {
        List<String> wanted = words(called);
        List<String> like = new ArrayList<>();
        for (int letters = 6; letters >= SHORTEST_LIKENESS && like.isEmpty(); letters--) {
            int shared = letters;
            all.stream()
                    .filter(s ->
                            s.words().stream().anyMatch(x -> wanted.stream().anyMatch(w -> alike(x, w, shared))))
                    .map(Substance::name)
                    .distinct()
                    .limit(MOST_GUESSES)
                    .forEach(like::add);
        }
        return like;
    }

    private static boolean alike(String one, String other, int letters) {
        return one.length() >= letters && other.length() >= letters && one.startsWith(other.substring(0, letters));
    }

    private static List<String> words(String name) {
        return Arrays.stream(name.toLowerCase(Locale.ROOT).split("[^\\p{L}\\d%]+"))
                .filter(w -> !w.isEmpty())
                .distinct()
                .toList();
    }
}
