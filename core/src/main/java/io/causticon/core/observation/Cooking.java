package io.causticon.core.observation;

import java.util.EnumSet;

/** What is done to a pot of soap that is cooked, and what it looks like, in the order in which it comes. */
public enum Cooking {
    /** The heat is on. */
    HEAT_ON,
    /** It stands like pudding, with a dull skin. */
    SETS,
    /** It swells up the wall of the pot: the moment to stir it down. */
    RISES,
    /** Mash with liquor between the lumps. */
    GRAINY,
    /** Waxy at the rim, clear in places. */
    WAXY,
    /** One clear paste, no dull spot left in it. */
    CLEAR,
    STIRRED,
    /** The heat is off: nothing is cooked any more. */
    HEAT_OFF;

    private static final EnumSet<Cooking> LOOKS = EnumSet.of(SETS, RISES, GRAINY, WAXY, CLEAR);

    /** Whether it is a look of the paste, and not something done. */
    public boolean isLook() {
        return LOOKS.contains(this);
    }
}
