package io.causticon.core.model.substance;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Share;
import java.util.List;
import java.util.Set;
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
 * @param palm whether it comes, or commonly comes, from palm
 * @param allergens food allergens that it may carry
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
        boolean animal,
        boolean palm,
        Set<String> allergens) {

    /**
     * What is left of the spread once a supplier's certificate gives the value of the very lot: titration error, 95 %.
     */
    public static final Share CERTIFIED_SPREAD = Share.percent(0.5);

    public Fat {
        acids = List.copyOf(acids);
        allergens = Set.copyOf(allergens);
    }

    /** The name without what stands in brackets or after a comma, for narrow places. */
    public String shortName() {
        return name.replaceAll("\\s*\\(.*?\\)", "")
                .replaceAll(",.*", "")
                .replaceAll("(?i) oil$", "")
                .trim();
    }

    /**
     * The same fat from a lot whose saponification value a supplier certified.
     *
     * @param certified mg KOH per g
     */
    public Fat certified(double certified) {
        return new Fat(
                id,
                name,
                kind,
                certified,
                saponificationRange,
                CERTIFIED_SPREAD,
                iodineValue,
                iodineRange,
                unsaponifiable,
                meltingRange,
                acids,
                source,
                confidence,
                animal,
                palm,
                allergens);
    }

    /**
     * A fat of the workshop's own that is like this one in its acids, with the values that its supplier certified.
     *
     * @param ownId its own stable name
     * @param ownName what the workshop calls it
     * @param certified saponification value, mg KOH per g
     * @param iodine iodine value, g per 100 g
     * @param ofAnimal whether it comes from an animal
     */
    public Fat ownLikeness(String ownId, String ownName, double certified, double iodine, boolean ofAnimal) {
        return new Fat(
                ownId,
                ownName,
                kind,
                certified,
                Interval.between(certified, certified),
                CERTIFIED_SPREAD,
                iodine,
                Interval.between(iodine, iodine),
                unsaponifiable,
                meltingRange,
                acids,
                "supplier's certificate; acids as of " + name,
                Confidence.MEDIUM,
                ofAnimal,
                palm,
                allergens);
    }

    /** Fraction of one acid among its acids. */
    public double shareOf(FattyAcid acid) {
        double sum = 0;
        for (AcidShare of : acids) {
            sum += of.acid() == acid ? of.share().fraction() : 0;
        }
        return sum;
    }

    public Share shareOf(FattyAcid.Family family) {
        // Asked for every fat of every batch that is looked at.
        double sum = 0;
        for (AcidShare of : acids) {
            sum += of.acid().family() == family ? of.share().fraction() : 0;
        }
        return Share.fraction(sum);
    }
}
