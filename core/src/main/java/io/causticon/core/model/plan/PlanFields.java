package io.causticon.core.model.plan;

import io.causticon.core.model.plan.PlanField.Kind;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.util.List;

/**
 * The values of a plan that stand by themselves, each described once. A new one is its description here, its place in
 * the form's template, and whatever reckons with it ({@link BatchPlan#get}).
 */
public final class PlanFields {

    /** The road it takes. */
    public static final PlanField<Process> PROCESS = PlanField.of(
                    Kind.CHOICE, Process.class, "process", Aspect.ROAD, "made", Process.COLD)
            .alwaysKept()
            .toldInASentence()
            .build();

    /** What is wanted of gel. */
    public static final PlanField<GelGoal> GEL = PlanField.of(
                    Kind.CHOICE, GelGoal.class, "gel", Aspect.GEL, "gel", GelGoal.ALLOW)
            .alwaysKept()
            .toldInASentence()
            .build();

    /** Temperature at which lye and fats are to meet. */
    public static final PlanField<Temperature> MIX_AT = PlanField.of(
                    Kind.TEMPERATURE,
                    Temperature.class,
                    "mixAt",
                    Aspect.TEMPERATURE,
                    "mixed at",
                    Temperature.celsius(40))
            .from(0, 110, "Lye and fats that meet")
            .alwaysKept()
            .toldInASentence()
            .build();

    /** Smallest step of the scale for fats and liquids, of what kitchens and workshops have. */
    public static final PlanField<Mass> FAT_STEP = PlanField.of(
                    Kind.MASS, Mass.class, "fatStep", Aspect.TOOLS, "fats weighed to", Mass.grams(1))
            .from(0.001, 50, "A scale's step")
            .alwaysKept()
            .toldInASentence()
            .build();

    /** Smallest step of the scale for lye. */
    public static final PlanField<Mass> LYE_STEP = PlanField.of(
                    Kind.MASS, Mass.class, "lyeStep", Aspect.TOOLS, "lye weighed to", Mass.grams(1))
            .from(0.001, 50, "A scale's step")
            .alwaysKept()
            .toldInASentence()
            .build();

    /** What the lye is dissolved in. */
    public static final PlanField<Vessel> LYE_VESSEL = PlanField.of(
                    Kind.VESSEL, Vessel.class, "lyeVessel", Aspect.TOOLS, "lye dissolved in", null)
            .typedAs("vessel")
            .toldInASentence()
            .build();

    /** What the fats are melted in and the batter is mixed in. */
    public static final PlanField<Vessel> FATS_VESSEL = PlanField.of(
                    Kind.VESSEL, Vessel.class, "fatsVessel", Aspect.TOOLS, "fats melted in", null)
            .typedAs("pot")
            .toldInASentence()
            .build();

    /** How cold what goes in frozen is; usually as cold as a household's freezer. */
    public static final PlanField<Temperature> FREEZER = PlanField.of(
                    Kind.TEMPERATURE,
                    Temperature.class,
                    "freezer",
                    Aspect.TEMPERATURE,
                    "freezer at",
                    Temperature.celsius(-18))
            .from(-40, 0, "A freezer")
            .toldInASentence()
            .build();

    /** What an oven for soap in its mould is set to. */
    public static final PlanField<Temperature> OVEN_AT = PlanField.of(
                    Kind.TEMPERATURE, Temperature.class, "ovenAt", Aspect.ROAD, "oven at", OvenStay.USUAL.temperature())
            .keptAs("oven.celsius")
            .from(30, 120, "An oven for soap")
            .where(PlanFields::isInOven)
            .toldInASentence()
            .build();

    /** How long it is on. */
    public static final PlanField<Integer> OVEN_MINUTES = PlanField.of(
                    Kind.COUNT, Integer.class, "ovenMinutes", Aspect.ROAD, "minutes in it", OvenStay.USUAL.minutes())
            .keptAs("oven.minutes")
            .from(1, 720, "The oven\u2019s time, minutes")
            .where(PlanFields::isInOven)
            .toldInASentence()
            .build();

    /** Whether it is hot when the mould comes in. */
    public static final PlanField<Boolean> OVEN_PREHEATED = PlanField.of(
                    Kind.SWITCH, Boolean.class, "ovenCold", Aspect.ROAD, "oven hot before", OvenStay.USUAL.preheated())
            .keptAs("oven.preheated")
            .typedInverted()
            .where(PlanFields::isInOven)
            .toldInASentence()
            .build();

    /** All of them, in the order in which they are compared. */
    public static final List<PlanField<?>> ALL = List.of(
            PROCESS,
            OVEN_AT,
            OVEN_MINUTES,
            OVEN_PREHEATED,
            GEL,
            MIX_AT,
            FREEZER,
            LYE_VESSEL,
            FATS_VESSEL,
            FAT_STEP,
            LYE_STEP);

    private PlanFields() {}

    private static boolean isInOven(Settings settings) {
        return settings.get(PROCESS) == Process.OVEN;
    }
}
