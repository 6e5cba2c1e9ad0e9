package io.causticon.core.science.diagnosis.network;

/** The names of all conditions that the knowledge speaks of. */
public final class Conditions {

    public static final Condition LYE_HEAVY = Condition.hazard("lye-heavy", "lye-heavy");
    public static final Condition LYE_POCKETS = Condition.hazard("lye-pockets", "lye pockets");
    public static final Condition SEPARATION = Condition.hazard("separation", "separation");
    public static final Condition SODA_ASH = Condition.cosmetic("soda-ash", "soda ash");
    public static final Condition SCORCHED = Condition.cosmetic("scorched-liquor", "scorched liquor");
    public static final Condition SEIZED = Condition.cosmetic("seized", "seized");
    public static final Condition OVERHEATED = Condition.cosmetic("overheated", "overheated loaf");
    public static final Condition PARTIAL_GEL = Condition.cosmetic("partial-gel", "partial gel");
    public static final Condition SOFT = Condition.cosmetic("soft-sticky", "soft or sticky");

    public static final Condition WRONG_ALKALI = Condition.cosmetic("wrong-alkali", "the other alkali");
    public static final Condition FAT_HEAVY = Condition.cosmetic("fat-heavy", "too much fat left");

    private Conditions() {}
}
