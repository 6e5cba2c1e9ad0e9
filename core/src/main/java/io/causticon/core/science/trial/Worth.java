package io.causticon.core.science.trial;

import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Whether an arm is worth what it takes. Which end of a scale is wanted is the maker's to say: what it costs is put
 * beside what hands found, and where they found nothing that is said.
 *
 * @param arm its name
 * @param dearerABar than the control, in the workshop's money, to the hundredth; below zero for one that is cheaper;
 *     null where a price is missing
 * @param moreToWeigh how many things more go in than into the control
 * @param strongest what stands out most; empty where nothing does
 * @param kind what that comes to
 */
public record Worth(
        String arm, @Nullable BigDecimal dearerABar, int moreToWeigh, Optional<Effect> strongest, Kind kind) {

    /** What the two come to. */
    public enum Kind {
        /** Nobody judged it beside the control. */
        NOT_JUDGED,
        /** Nothing was found so far, and it takes no less than the control. */
        NOTHING_FOUND,
        /** Nothing was found, and it is cheaper: what tells against it is not there either. */
        CHEAPER_AND_ALIKE,
        FOUND
    }

    /**
     * @param effects of all arms
     * @param dearerABar of this one
     */
    public static Worth of(String arm, List<Effect> effects, @Nullable BigDecimal dearerABar, int moreToWeigh) {
        List<Effect> own = effects.stream().filter(e -> e.arm().equals(arm)).toList();
        Optional<Effect> strongest =
                own.stream().filter(Effect::found).max(Comparator.comparingDouble(e -> Math.abs(e.difference())));
        Kind kind = own.isEmpty()
                ? Kind.NOT_JUDGED
                : strongest.isPresent()
                        ? Kind.FOUND
                        : dearerABar != null && dearerABar.signum() < 0 ? Kind.CHEAPER_AND_ALIKE : Kind.NOTHING_FOUND;
        return new Worth(arm, dearerABar, moreToWeigh, strongest, kind);
    }
}
