package io.causticon.core.model.log;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * On which bars something was looked at.
 *
 * @param numbers as the maker counts them from one end of the loaf, rising; empty when she did not say which
 * @param count how many; as many as there are numbers, where there are numbers
 * @param portion of which colour, cup or layer they are; null for any, and for batches that were not divided
 */
public record Bars(
        List<Integer> numbers, int count, @Nullable Named portion) {

    /** More than a workshop cuts from one batch. */
    public static final int MOST = 2000;

    public Bars {
        // What a broken line holds is looked at by the check of entries, and told there.
        numbers = numbers == null
                ? List.of()
                : List.copyOf(numbers.stream()
                        .filter(n -> n != null)
                        .sorted()
                        .distinct()
                        .toList());
    }

    /** Of a batch that was not divided. */
    public Bars(List<Integer> numbers, int count) {
        this(numbers, count, null);
    }

    /** These, by their numbers. */
    public static Bars numbered(Integer... numbers) {
        List<Integer> all = List.of(numbers);
        return new Bars(all, (int) all.stream().distinct().count());
    }

    /** So many, whichever they were. */
    public static Bars some(int count) {
        return new Bars(List.of(), count);
    }

    /** These, of one portion. */
    public Bars of(@Nullable Named name) {
        return new Bars(numbers, count, name);
    }

    /** Whether they are of a portion of this name, or may be: of which portion was not said. */
    public boolean mayBeOf(String name) {
        return portion == null || portion.isCalled(name);
    }

    /** What one bar is known by: "3", "3 of cream", "of cream"; empty where nothing was said, or of several at once. */
    public static String label(@Nullable Bars bars) {
        if (bars == null || bars.count != 1) {
            return "";
        }
        String number = bars.numbers.isEmpty() ? "" : bars.numbers.get(0).toString();
        String of = bars.portion == null ? "" : "of " + bars.portion.name().trim();
        return (number + " " + of).trim();
    }

    /** How many: one where nothing was said. */
    public static int count(@Nullable Bars bars) {
        return bars == null ? 1 : bars.count;
    }

    /** Whether numbers and count go together and can be. */
    public boolean isSound() {
        boolean counted = count >= 1 && count <= MOST;
        return counted
                && (numbers.isEmpty() || numbers.size() == count)
                && numbers.stream().allMatch(n -> n >= 1 && n <= MOST);
    }

    /** Whether it is certain that both are one and the same bar. */
    public static boolean areTheSame(@Nullable Bars one, @Nullable Bars other) {
        return one != null
                && other != null
                && one.count == 1
                && !one.numbers.isEmpty()
                && one.numbers.equals(other.numbers)
                && sameName(one, other);
    }

    private static boolean sameName(Bars one, Bars other) {
        return one.portion == null || other.portion == null
                ? one.portion == other.portion
                : one.portion.isCalled(other.portion.name());
    }
}
