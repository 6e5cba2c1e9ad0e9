package io.causticon.core.model.log;

import java.util.EnumSet;

/**
 * What is done to a pot of soap that is cooked, and what it looks like, in the order in which it comes; scraps that are
 * melted down have looks of their own.
 */
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
    /** Scraps on the heat: soft at their edges, lumps between. */
    LUMPY,
    /** Scraps on the heat: one even mash, no lump as big as a pea. */
    EVEN,
    STIRRED,
    /** The heat is off: nothing is cooked any more. */
    HEAT_OFF;

    private static final EnumSet<Cooking> LOOKS = EnumSet.of(SETS, RISES, GRAINY, WAXY, CLEAR, LUMPY, EVEN);

    /** Whether it is a look of the paste, and not something done. */
    public boolean isLook() {
        return LOOKS.contains(this);
    }
}
