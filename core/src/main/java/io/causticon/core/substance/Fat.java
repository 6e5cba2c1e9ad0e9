package io.causticon.core.substance;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Share;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A fat, wax or free fatty acid.
 *
 * @param id its stable name in data and in logs
 * @param name what makers call it
 * @param kind whether the theory of triglycerides applies to it
 * @param saponificationValue typical saponification value, mg KOH per g
 * @param saponificationRange limits of trade, mg KOH per g
 * @param saponificationSpread natural spread around the typical value, half the central 95 %, relative
 * @param iodineValue typical iodine value, g iodine per 100 g
 * @param iodineRange limits of trade, g iodine per 100 g
 * @param unsaponifiable share that no alkali takes up
 * @param meltingRange where it melts, degrees Celsius; null when liquid in any kitchen
 * @param acids its fatty acids
 * @param source where the figures come from
 * @param confidence how far they are to be trusted
 * @param animal whether it comes from an animal
 */
public record Fat(
        String id,
        String name,
        FatKind kind,
        double saponificationValue,
        Interval saponificationRange,
        Share saponificationSpread,
        double iodineValue,
        Interval iodineRange,
        Share unsaponifiable,
        @Nullable Interval meltingRange,
        List<AcidShare> acids,
        String source,
        Confidence confidence,
        boolean animal) {

    public Fat {
        acids = List.copyOf(acids);
    }

    /** The name without what stands in brackets or after a comma, for narrow places. */
    public String shortName() {
        return name.replaceAll("\\s*\\(.*?\\)", "").replaceAll(",.*", "").replaceAll("(?i) oil$", "").trim();
    }

    public Share shareOf(FattyAcid.Family family) {
        return Share.fraction(acids.stream()
                .filter(a -> a.acid().family() == family)
                .mapToDouble(a -> a.share().fraction())
                .sum());
    }
}
