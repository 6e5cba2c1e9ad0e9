package io.causticon.core.observation;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * On which bars something was looked at.
 *
 * @param numbers as the maker counts them from one end of the loaf, rising; empty when she did not say which
 * @param count how many; as many as there are numbers, where there are numbers
 */
public record Bars(List<Integer> numbers, int count) {

    /** More than a workshop cuts from one batch. */
    public static final int MOST = 2000;

    public Bars {
        // What a broken line holds is looked at by the check of entries, and told there.
        numbers = numbers == null ? List.of() : List.copyOf(numbers.stream().filter(n -> n != null).sorted().distinct().toList());
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

    /** How many: one where nothing was said. */
    public static int count(@Nullable Bars bars) {
        return bars == null ? 1 : bars.count;
    }

    /** Whether numbers and count go together and can be. */
    boolean isSound() {
        boolean counted = count >= 1 && count <= MOST;
        return counted && (numbers.isEmpty() || numbers.size() == count) && numbers.stream().allMatch(n -> n >= 1 && n <= MOST);
    }

    /** Whether it is certain that both are one and the same bar. */
    public static boolean areTheSame(@Nullable Bars one, @Nullable Bars other) {
        return one != null && other != null && one.count == 1 && !one.numbers.isEmpty() && one.numbers.equals(other.numbers);
    }
}
