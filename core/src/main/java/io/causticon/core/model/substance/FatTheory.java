package io.causticon.core.model.substance;

/**
 * Saponification and iodine value of a fat from its fatty acids: the check on every row of the catalogue.
 *
 * <p>A triglyceride weighs three acids and a glycerol less three waters: {@code 3 M + 38.05} g/mol, with {@code M} the
 * mean molar mass of its acids. It takes three KOH (56.106 g/mol) and each double bond one iodine molecule (253.81
 * g/mol). A free acid weighs {@code M} and takes one. Unsaponifiables take none of either.
 *
 * <p>Source: stoichiometry; the same relations stand behind the calculated values of AOCS Cd 3a-94 and Cd 1c-85.
 */
final class FatTheory {

    private static final double KOH_MILLIGRAMS_PER_MOLE = 56106;
    private static final double IODINE_MOLAR_MASS = 253.81;
    private static final double GLYCEROL_LESS_THREE_WATERS = 38.05;
    private static final int ACIDS_PER_GLYCERIDE = 3;
    private static final double PER_HUNDRED_GRAMS = 100;

    private FatTheory() {}

    /**
     * Saponification value in mg KOH per g.
     *
     * @throws IllegalArgumentException for a wax, which has no such theory
     */
    public static double saponificationValue(Fat fat) {
        return KOH_MILLIGRAMS_PER_MOLE * acidMolesPerGram(fat);
    }

    /**
     * Iodine value in g iodine per 100 g.
     *
     * @throws IllegalArgumentException for a wax
     */
    public static double iodineValue(Fat fat) {
        double bondsPerAcid = fat.acids().stream()
                        .mapToDouble(a -> a.share().fraction() / a.molarMass() * a.doubleBonds())
                        .sum()
                / moles(fat);
        return PER_HUNDRED_GRAMS * IODINE_MOLAR_MASS * bondsPerAcid * acidMolesPerGram(fat);
    }

    /** Mean molar mass of the acids, g/mol. */
    public static double meanAcidMass(Fat fat) {
        double all = fat.acids().stream().mapToDouble(a -> a.share().fraction()).sum();
        return all / moles(fat);
    }

    private static double acidMolesPerGram(Fat fat) {
        double mean = meanAcidMass(fat);
        double saponifiable = 1 - fat.unsaponifiable().fraction();
        return switch (fat.kind()) {
            case TRIGLYCERIDE, BUTTER_HIGH_UNSAPONIFIABLE ->
                ACIDS_PER_GLYCERIDE * saponifiable / (ACIDS_PER_GLYCERIDE * mean + GLYCEROL_LESS_THREE_WATERS);
            case FREE_FATTY_ACID -> saponifiable / mean;
            case WAX_ESTER ->
                throw new IllegalArgumentException(
                        "Impossible state: " + fat.name() + " is a wax and has no theory of its saponification value");
        };
    }

    private static double moles(Fat fat) {
        return fat.acids().stream()
                .mapToDouble(a -> a.share().fraction() / a.molarMass())
                .sum();
    }
}
