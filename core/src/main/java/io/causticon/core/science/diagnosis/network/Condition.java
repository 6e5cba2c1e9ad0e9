package io.causticon.core.science.diagnosis.network;

/**
 * What a bar may have.
 *
 * @param id its stable name
 * @param name what makers call it
 * @param hazard whether it can hurt somebody: such a batch is held until it is ruled out
 * @param unfit whether such a bar is neither for use nor for sale, though it burns nobody: it rots, or its fats went
 *     stale
 */
public record Condition(String id, String name, boolean hazard, boolean unfit) {

    public static Condition hazard(String id, String name) {
        return new Condition(id, name, true, false);
    }

    public static Condition cosmetic(String id, String name) {
        return new Condition(id, name, false, false);
    }

    public static Condition unfit(String id, String name) {
        return new Condition(id, name, false, true);
    }
}
