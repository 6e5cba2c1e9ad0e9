package io.causticon.core.model.plan;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.quantity.Temperature;
import java.util.List;
import java.util.SortedSet;
import org.jspecify.annotations.Nullable;

/**
 * All that is decided before a batch is begun. A batch keeps the plan it was made from.
 *
 * @param name what the batch is called
 * @param formula what it is made of
 * @param process the road it takes
 * @param gel what is wanted of gel
 * @param mould where it goes, null when not yet said
 * @param mixAt temperature at which lye and fats are to meet
 * @param scales the scales it is weighed on
 * @param pouring how it fills the mould and how it is divided
 * @param lyeVessel what the lye is dissolved in; null when not yet said
 * @param fatsVessel what the fats are melted in and the batter is mixed in; null when not yet said
 * @param freezer how cold what goes in frozen is, 0 C or below
 * @param oven how it is kept in an oven; read only where {@link Process#OVEN} is its road
 * @param rework what is melted down again; null where it is made from fats and lye
 * @param note anything the maker wants to remember; may be empty
 */
public record BatchPlan(
        String name,
        Formula formula,
        Process process,
        GelGoal gel,
        @Nullable Mould mould,
        Temperature mixAt,
        Scales scales,
        Pouring pouring,
        @Nullable Vessel lyeVessel,
        @Nullable Vessel fatsVessel,
        Temperature freezer,
        OvenStay oven,
        @Nullable Rework rework,
        String note) {

    /** Letters of a note. */
    public static final int LONGEST_NOTE = 2000;

    /** Of a household's freezer. */
    public static final Temperature USUAL_FREEZER = Temperature.celsius(-18);

    /** Where a mash is spooned. */
    private static final Temperature MASH = Temperature.celsius(75);

    /** A plan of one undivided batter. */
    public BatchPlan(
            String name,
            Formula formula,
            Process process,
            GelGoal gel,
            @Nullable Mould mould,
            Temperature mixAt,
            Scales scales,
            String note) {
        this(name, formula, process, gel, mould, mixAt, scales, Pouring.PLAIN, null, null, USUAL_FREEZER, OvenStay.USUAL, null, note);
    }

    /** Of scraps that are melted down again: the formula is what comes of them. */
    public static BatchPlan reworking(String name, Rework rework, List<AdditivePortion> additives, @Nullable Mould mould, Scales scales, String note) {
        return new BatchPlan(
                name, rework.formula(additives), Process.HOT, GelGoal.ALLOW, mould, MASH, scales, Pouring.PLAIN, null, null, USUAL_FREEZER, OvenStay.USUAL, rework,
                note);
    }

    /** Whether it is made of soap that was there already. */
    public boolean isRework() {
        return rework != null;
    }

    /** Food allergens that go in, by name: with what goes into one layer or cup alone, and with all that the scraps brought. */
    public SortedSet<String> allergens() {
        SortedSet<String> all = formula.allergens();
        pouring.portioning().portions().forEach(p -> all.addAll(p.allergens()));
        if (rework != null) {
            all.addAll(rework.allergens());
        }
        return all;
    }

    /** Fragrance allergens that labels name, as far as the tables know, with those of one layer or cup alone. */
    public SortedSet<String> scentAllergens() {
        SortedSet<String> all = formula.scentAllergens();
        pouring.portioning().portions().forEach(p -> all.addAll(p.scentAllergens()));
        return all;
    }

    public BatchPlan named(String other) {
        return new BatchPlan(other, formula, process, gel, mould, mixAt, scales, pouring, lyeVessel, fatsVessel, freezer, oven, rework, note);
    }

    public BatchPlan with(Formula other) {
        return new BatchPlan(name, other, process, gel, mould, mixAt, scales, pouring, lyeVessel, fatsVessel, freezer, oven, rework, note);
    }

    public BatchPlan with(Pouring other) {
        return new BatchPlan(name, formula, process, gel, mould, mixAt, scales, other, lyeVessel, fatsVessel, freezer, oven, rework, note);
    }

    public BatchPlan with(Process other) {
        return new BatchPlan(name, formula, other, gel, mould, mixAt, scales, pouring, lyeVessel, fatsVessel, freezer, oven, rework, note);
    }

    public BatchPlan with(GelGoal other) {
        return new BatchPlan(name, formula, process, other, mould, mixAt, scales, pouring, lyeVessel, fatsVessel, freezer, oven, rework, note);
    }

    public BatchPlan with(Scales other) {
        return new BatchPlan(name, formula, process, gel, mould, mixAt, other, pouring, lyeVessel, fatsVessel, freezer, oven, rework, note);
    }

    public BatchPlan with(@Nullable Mould other) {
        return new BatchPlan(name, formula, process, gel, other, mixAt, scales, pouring, lyeVessel, fatsVessel, freezer, oven, rework, note);
    }

    public BatchPlan withLyeIn(@Nullable Vessel other) {
        return new BatchPlan(name, formula, process, gel, mould, mixAt, scales, pouring, other, fatsVessel, freezer, oven, rework, note);
    }

    public BatchPlan withFatsIn(@Nullable Vessel other) {
        return new BatchPlan(name, formula, process, gel, mould, mixAt, scales, pouring, lyeVessel, other, freezer, oven, rework, note);
    }

    public BatchPlan mixedAt(Temperature other) {
        return new BatchPlan(name, formula, process, gel, mould, other, scales, pouring, lyeVessel, fatsVessel, freezer, oven, rework, note);
    }

    public BatchPlan noting(String other) {
        return new BatchPlan(name, formula, process, gel, mould, mixAt, scales, pouring, lyeVessel, fatsVessel, freezer, oven, rework, other);
    }

    public BatchPlan inOven(OvenStay other) {
        return new BatchPlan(name, formula, Process.OVEN, gel, mould, mixAt, scales, pouring, lyeVessel, fatsVessel, freezer, other, rework, note);
    }

    public BatchPlan frozenAt(Temperature other) {
        return new BatchPlan(name, formula, process, gel, mould, mixAt, scales, pouring, lyeVessel, fatsVessel, other, oven, rework, note);
    }
}
