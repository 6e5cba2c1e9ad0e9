package io.causticon.core.model.plan;

import java.util.EnumSet;
import java.util.Set;

/** In what two plans can differ, and whether hands may feel it in a bar of the same age. */
public enum Aspect {
    FATS(true),
    ALKALI(true),
    SUPERFAT(true),
    /** Water is gone once bars are cured, and until then it is felt. */
    CONCENTRATION(true),
    LIQUIDS(true),
    ADDITIVES(true),
    /** Cold, cooked, in an oven, melted down. */
    ROAD(true),
    GEL(true),
    TEMPERATURE(false),
    MOULD(false),
    SIZE(false),
    /** Into how many parts, and how the lye comes to them. */
    DIVISION(false),
    TOOLS(false);

    private final boolean felt;

    Aspect(boolean felt) {
        this.felt = felt;
    }

    boolean isFelt() {
        return felt;
    }

    /** What a trial asks about. */
    public enum Factor {
        LIQUID("the liquid", EnumSet.of(LIQUIDS), EnumSet.of(SUPERFAT, CONCENTRATION)),
        FAT("the fats", EnumSet.of(FATS), EnumSet.noneOf(Aspect.class)),
        ADDITIVE("an additive", EnumSet.of(ADDITIVES), EnumSet.of(SUPERFAT)),
        FAT_LEFT("the superfat", EnumSet.of(SUPERFAT), EnumSet.noneOf(Aspect.class)),
        WARMTH("the temperature", EnumSet.of(Aspect.TEMPERATURE), EnumSet.of(GEL)),
        METHOD("the method", EnumSet.of(ROAD, GEL, DIVISION), EnumSet.of(Aspect.TEMPERATURE)),
        /** Told in words alone: then nothing counts as asked about. */
        OTHER("something else", EnumSet.noneOf(Aspect.class), EnumSet.noneOf(Aspect.class));

        private final String words;
        private final Set<Aspect> asked;
        private final Set<Aspect> comesWith;

        Factor(String words, Set<Aspect> asked, Set<Aspect> comesWith) {
            this.words = words;
            this.asked = asked;
            this.comesWith = comesWith;
        }

        public String words() {
            return words;
        }
    }

    /** What a difference does to the question. */
    public enum Bearing {
        ASKED,
        /** It cannot be otherwise, as the fat that cream brings: part of the answer, and worth knowing. */
        COMES_WITH,
        /** Hands may feel this instead of what is asked about. */
        SPOILS,
        HARDLY
    }

    /**
     * What a difference in this does to a question about a factor; where that is only told in words, nothing is called
     * spoilt.
     */
    public Bearing bearing(Factor factor) {
        if (factor.asked.contains(this)) {
            return Bearing.ASKED;
        } else if (factor.comesWith.contains(this)) {
            return Bearing.COMES_WITH;
        }
        return felt && factor != Factor.OTHER ? Bearing.SPOILS : Bearing.HARDLY;
    }
}
