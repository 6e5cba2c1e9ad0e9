package io.causticon.core.model.plan;

import io.causticon.core.quantity.Share;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How the batter is divided.
 *
 * @param way how the parts are told
 * @param portions the parts; empty for an undivided batch
 * @param stuck share of the batter that stays on bowls and spatulas, allowed for so that the last cup is not short; 2-4
 *     % is usual
 * @param bowl the bowl that stays on the scale while portions are taken from it; null when it is tared away
 * @param route how the lye comes to the parts
 */
public record Portioning(
        Way way,
        List<Portion> portions,
        Share stuck,
        @Nullable Vessel bowl,
        LyeRoute route) {

    /** One batter, taken from a bowl that is tared away. */
    public Portioning(Way way, List<Portion> portions, Share stuck) {
        this(way, portions, stuck, null, LyeRoute.TOGETHER);
    }

    /** How the lye comes to the parts. */
    public enum LyeRoute {
        /** All is mixed to one batter, which is divided. */
        TOGETHER,
        /** One lye solution for all; each part's fats and lye are poured into a jug of its own. */
        MASTER,
        /** Each part has a lye solution of its own. */
        OWN
    }

    /** How the parts are told. */
    public enum Way {
        /** One batter. */
        WHOLE,
        /** Layers under lines drawn on the end face of the mould. */
        LAYERS,
        /** Shares of the batter, weighed from the bowl. */
        SHARES,
        /** Equal cups. */
        CUPS
    }

    public static final Share USUALLY_STUCK = Share.percent(3);
    public static final Portioning WHOLE = new Portioning(Way.WHOLE, List.of(), Share.NONE);

    public Portioning {
        portions = List.copyOf(portions);
    }
}
