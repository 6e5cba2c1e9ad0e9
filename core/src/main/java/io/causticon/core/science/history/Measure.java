package io.causticon.core.science.history;

/** What is measured of each batch: what its maker set, and what came of it. */
public enum Measure {
    /** Lye in lye and water as weighed, a share. */
    LYE_CONCENTRATION("lye concentration", Unit.SHARE, true, 0.015),
    /** As weighed, a share. */
    SUPERFAT("superfat", Unit.SHARE, true, 0.01),
    /** Batter at the pour, or fats when the lye went in; degrees Celsius. */
    MIXED_AT("mixed at", Unit.CELSIUS, true, 4),
    /** When it began to set; degrees Celsius. */
    ROOM("room", Unit.CELSIUS, true, 4),
    /** A fraction of saturation. */
    HUMIDITY("humidity", Unit.SHARE, true, 0.1),
    /** Seconds of the blender. */
    BLENDED("blended", Unit.SECONDS, true, 30),
    /** From lye into fats to light trace, minutes. */
    TO_LIGHT_TRACE("to light trace", Unit.MINUTES, false, 5),
    /** Highest reading of the core; degrees Celsius. */
    CORE_PEAK("peak of the core", Unit.CELSIUS, false, 5),
    /** From the cut until it loses less than the rule, days. */
    DAYS_TO_DRY("days until dry", Unit.DAYS, false, 7),
    /** How deep the needle went the last time, mm. */
    NEEDLE("needle", Unit.MILLIMETRES, false, 0.5),
    /** The last grade, 1 to 5. */
    LATHER("lather", Unit.GRADE, false, 1);

    private final String words;
    private final Unit unit;
    private final boolean isSet;
    private final double leastStep;

    Measure(String words, Unit unit, boolean isSet, double leastStep) {
        this.words = words;
        this.unit = unit;
        this.isSet = isSet;
        this.leastStep = leastStep;
    }

    /** In what its numbers are told. */
    public enum Unit {
        SHARE,
        CELSIUS,
        SECONDS,
        MINUTES,
        DAYS,
        MILLIMETRES,
        GRADE
    }

    public String words() {
        return words;
    }

    public Unit unit() {
        return unit;
    }

    /** Whether the maker or her room sets it; else it comes of it. */
    public boolean isSet() {
        return isSet;
    }

    /** A smaller difference is what scales and thermometers do by themselves (judgements), in its unit. */
    double leastStep() {
        return leastStep;
    }
}
