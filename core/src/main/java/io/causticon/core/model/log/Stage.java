package io.causticon.core.model.log;

/** What a batter looks like, thin to thick, and what can go wrong beside the ladder. */
public enum Stage {
    /** Streaks of oil on the surface. */
    STREAKS(true),
    /** One colour, no oil. */
    EMULSION(true),
    /** A dripped trail sinks at once. */
    THIN(true),
    /** A dripped trail rests a moment. */
    LIGHT(true),
    /** A dripped trail holds. */
    MEDIUM(true),
    /** Custard to pudding. */
    THICK(true),
    /** Mash; will not pour. */
    MASH(true),
    /** Grains after a fragrance. */
    RICED(false),
    /** Curds. */
    CURDLED(false),
    /** Oil or liquor on top. */
    SEPARATED(false),
    /** Thick because hard fats set, not because of soap. */
    FALSE_TRACE(false),
    /** Full of air. */
    FROTHY(false);

    private final boolean rung;

    Stage(boolean rung) {
        this.rung = rung;
    }

    /** Whether it is a rung of the ladder, not something beside it. */
    public boolean isRung() {
        return rung;
    }

    public boolean isAtLeast(Stage other) {
        return rung && other.rung && compareTo(other) >= 0;
    }
}
