package io.causticon.core.diagnosis;

/**
 * What a bar may have.
 *
 * @param id its stable name
 * @param name what makers call it
 * @param hazard whether it can hurt somebody: such a batch is held until it is ruled out
 */
public record Condition(String id, String name, boolean hazard) {

    public static Condition hazard(String id, String name) {
        return new Condition(id, name, true);
    }

    public static Condition cosmetic(String id, String name) {
        return new Condition(id, name, false);
    }
}
