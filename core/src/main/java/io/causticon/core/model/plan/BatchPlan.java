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
 * @param mould where it goes, null when not yet said
 * @param pouring how it fills the mould and how it is divided
 * @param rework what is melted down again; null where it is made from fats and lye
 * @param settings its road, temperatures, tools: each described in {@link PlanFields}
 * @param note anything the maker wants to remember; may be empty
 */
public record BatchPlan(
        String name,
        Formula formula,
        @Nullable Mould mould,
        Pouring pouring,
        @Nullable Rework rework,
        Settings settings,
        String note) {

    /** Letters of a note. */
    public static final int LONGEST_NOTE = 2000;

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
        this(
                name,
                formula,
                mould,
                Pouring.PLAIN,
                null,
                Settings.USUAL
                        .with(PlanFields.PROCESS, process)
                        .with(PlanFields.GEL, gel)
                        .with(PlanFields.MIX_AT, mixAt)
                        .with(PlanFields.FAT_STEP, scales.fatStep())
                        .with(PlanFields.LYE_STEP, scales.lyeStep()),
                note);
    }

    /** Of scraps that are melted down again: the formula is what comes of them. */
    public static BatchPlan reworking(
            String name,
            Rework rework,
            List<AdditivePortion> additives,
            @Nullable Mould mould,
            Scales scales,
            String note) {
        BatchPlan mash =
                new BatchPlan(name, rework.formula(additives), Process.HOT, GelGoal.ALLOW, mould, MASH, scales, note);
        return new BatchPlan(name, mash.formula, mould, mash.pouring, rework, mash.settings, note);
    }

    /** What it says in one of its fields, or the usual; null only where the usual is nothing. */
    public <T> T get(PlanField<T> field) {
        return settings.get(field);
    }

    public Process process() {
        return get(PlanFields.PROCESS);
    }

    public GelGoal gel() {
        return get(PlanFields.GEL);
    }

    /** Temperature at which lye and fats are to meet. */
    public Temperature mixAt() {
        return get(PlanFields.MIX_AT);
    }

    /** The scales it is weighed on. */
    public Scales scales() {
        return new Scales(get(PlanFields.FAT_STEP), get(PlanFields.LYE_STEP));
    }

    /** What the lye is dissolved in; null when not yet said. */
    public @Nullable Vessel lyeVessel() {
        return get(PlanFields.LYE_VESSEL);
    }

    /** What the fats are melted in and the batter is mixed in; null when not yet said. */
    public @Nullable Vessel fatsVessel() {
        return get(PlanFields.FATS_VESSEL);
    }

    /** How cold what goes in frozen is, 0 C or below. */
    public Temperature freezer() {
        return get(PlanFields.FREEZER);
    }

    /** How it is kept in an oven; read only where {@link Process#OVEN} is its road. */
    public OvenStay oven() {
        return new OvenStay(get(PlanFields.OVEN_AT), get(PlanFields.OVEN_MINUTES), get(PlanFields.OVEN_PREHEATED));
    }

    /** Whether it is made of soap that was there already. */
    public boolean isRework() {
        return rework != null;
    }

    /**
     * Food allergens that go in, by name: with what goes into one layer or cup alone, and with all that the scraps
     * brought.
     */
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
        return new BatchPlan(other, formula, mould, pouring, rework, settings, note);
    }

    public BatchPlan with(Formula other) {
        return new BatchPlan(name, other, mould, pouring, rework, settings, note);
    }

    public BatchPlan with(Pouring other) {
        return new BatchPlan(name, formula, mould, other, rework, settings, note);
    }

    public BatchPlan with(@Nullable Mould other) {
        return new BatchPlan(name, formula, other, pouring, rework, settings, note);
    }

    public BatchPlan with(Settings other) {
        return new BatchPlan(name, formula, mould, pouring, rework, other, note);
    }

    public BatchPlan noting(String other) {
        return new BatchPlan(name, formula, mould, pouring, rework, settings, other);
    }

    /** The same with another value in one of its fields; null for what is usual. */
    public <T> BatchPlan with(PlanField<T> field, @Nullable T value) {
        return with(settings.with(field, value));
    }

    public BatchPlan with(Process other) {
        return with(PlanFields.PROCESS, other);
    }

    public BatchPlan with(GelGoal other) {
        return with(PlanFields.GEL, other);
    }

    public BatchPlan with(Scales other) {
        return with(PlanFields.FAT_STEP, other.fatStep()).with(PlanFields.LYE_STEP, other.lyeStep());
    }

    public BatchPlan inOven(OvenStay other) {
        return with(Process.OVEN)
                .with(PlanFields.OVEN_AT, other.temperature())
                .with(PlanFields.OVEN_MINUTES, other.minutes())
                .with(PlanFields.OVEN_PREHEATED, other.preheated());
    }
}
