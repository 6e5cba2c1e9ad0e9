package io.causticon.core.model.plan;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.quantity.Mass;
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
 * @param cup batter in each cup, where the size follows that; null where it does not
 */
public record Pouring(
        SizedBy sizedBy,
        @Nullable Double fillHeight,
        Share overage,
        @Nullable Mould spare,
        double thickness,
        Portioning portioning,
        @Nullable Mass cup) {

    /** Of a size that no cup gives. */
    public Pouring(
            SizedBy sizedBy,
            @Nullable Double fillHeight,
            Share overage,
            @Nullable Mould spare,
            double thickness,
            Portioning portioning) {
        this(sizedBy, fillHeight, overage, spare, thickness, portioning, null);
    }

    /** What the size of a batch follows. */
    public enum SizedBy {
        /** The masses of its fats. */
        WEIGHTS,
        /** A total of fats, with shares of it. */
        TOTAL,
        /** The mould and how high it is to be filled, with shares of what that takes. */
        MOULD,
        /** The batter that is to be in each of some equal cups, with shares of what those take. */
        CUPS
    }

    public static final double USUAL_THICKNESS = 25;
    public static final Pouring PLAIN =
            new Pouring(SizedBy.WEIGHTS, null, Share.NONE, null, USUAL_THICKNESS, Portioning.WHOLE);

    public Pouring divided(Portioning other) {
        return new Pouring(sizedBy, fillHeight, overage, spare, thickness, other, cup);
    }

    /** Height that the mould is to be filled to, mm. */
    public double fillHeightOf(Mould mould) {
        return fillHeight == null ? mould.height() : Math.min(fillHeight, mould.height());
    }
}
