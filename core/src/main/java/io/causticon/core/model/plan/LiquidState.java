package io.causticon.core.model.plan;

import io.causticon.core.quantity.Temperature;

/** How cold a liquid goes in, and how much of its water is ice then. */
public enum LiquidState {
    /** As warm as the room. */
    LIQUID("", 0),
    /** Out of the fridge. */
    CHILLED("from the fridge", 0),
    /**
     * Half frozen, so that it still pours. It is counted as a third ice: a slush that pours has a third to a half
     * (estimate), and less ice is the hotter side.
     */
    SLUSH("slush", 1.0 / 3),
    /** Ice, as cold as the freezer. */
    FROZEN("frozen", 1);

    /** Of a household's fridge. */
    public static final Temperature FRIDGE = Temperature.celsius(5);

    private static final Temperature MELTS = Temperature.celsius(0);

    private final String words;
    private final double iceFraction;

    LiquidState(String words, double iceFraction) {
        this.words = words;
        this.iceFraction = iceFraction;
    }

    /** As it stands beside the liquid's name; empty for what is as warm as the room. */
    public String words() {
        return words;
    }

    /** How much of its water is ice, 0 to 1. */
    double iceFraction() {
        return iceFraction;
    }

    public boolean hasIce() {
        return iceFraction > 0;
    }

    /** Of what of it is liquid. */
    Temperature ofWater(Temperature room) {
        return switch (this) {
            case LIQUID -> room;
            // A room colder than a fridge keeps it colder still.
            case CHILLED -> room.isAbove(FRIDGE) ? FRIDGE : room;
            case SLUSH, FROZEN -> MELTS;
        };
    }

    /** Of what of it is ice. */
    Temperature ofIce(Temperature freezer) {
        return this == FROZEN ? freezer : MELTS;
    }
}
