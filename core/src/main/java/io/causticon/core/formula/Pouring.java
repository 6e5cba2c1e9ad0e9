package io.causticon.core.formula;

import io.causticon.core.mould.Mould;
import io.causticon.core.quantity.Share;
import org.jspecify.annotations.Nullable;

/**
 * How the batter fills its mould.
 *
 * @param sizedBy what the size of the batch follows
 * @param fillHeight how high it is to stand, mm; null for the brim
 * @param overage batter made beyond that, for techniques that scrape some away
 * @param spare cavities for what is left over; null without
 * @param thickness of a bar, mm
 * @param portioning how the batter is divided
 */
public record Pouring(
        SizedBy sizedBy,
        @Nullable Double fillHeight,
        Share overage,
        @Nullable Mould spare,
        double thickness,
        Portioning portioning) {

    /** What the size of a batch follows. */
    public enum SizedBy {
        /** The masses of its fats. */
        WEIGHTS,
        /** A total of fats, with shares of it. */
        TOTAL,
        /** The mould and how high it is to be filled, with shares of what that takes. */
        MOULD
    }

    public static final double USUAL_THICKNESS = 25;
    public static final Pouring PLAIN = new Pouring(SizedBy.WEIGHTS, null, Share.NONE, null, USUAL_THICKNESS, Portioning.WHOLE);

    public Pouring divided(Portioning other) {
        return new Pouring(sizedBy, fillHeight, overage, spare, thickness, other);
    }

    /** Height that the mould is to be filled to, mm. */
    public double fillHeightOf(Mould mould) {
        return fillHeight == null ? mould.height() : Math.min(fillHeight, mould.height());
    }
}
