package io.causticon.core.science.fit;

import io.causticon.core.quantity.Share;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What a maker wants, and how far the fats may move.
 *
 * @param wishes what she wants
 * @param without food allergens that must not be in it
 * @param mostPerKilogram highest cost of a kilogram of fats in the workshop's money; empty for no limit
 * @param prices what a kilogram of each fat costs, by id, where it is known
 * @param mostChange how far the share of one fat may move; what must go may move wholly
 * @param locked ids of fats whose share stays
 */
public record Goals(
        Set<Wish> wishes,
        Set<String> without,
        OptionalDouble mostPerKilogram,
        Map<String, Double> prices,
        Share mostChange,
        Set<String> locked) {

    public Goals {
        wishes = Set.copyOf(wishes);
        without = Set.copyOf(without);
        prices = Map.copyOf(prices);
        locked = Set.copyOf(locked);
    }

    public boolean isEmpty() {
        return wishes.isEmpty() && without.isEmpty() && mostPerKilogram.isEmpty();
    }
}
