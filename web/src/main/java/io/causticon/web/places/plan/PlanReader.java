package io.causticon.web.places.plan;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.FixedAmounts;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.PlanField;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Pouring.SizedBy;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.plan.Settings;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.formula.FormulaCheck;
import io.causticon.core.science.formula.PlanCheck;
import io.causticon.core.science.formula.Portions;
import io.causticon.core.science.formula.Sizing;
import io.causticon.web.store.shelf.Lot;
import io.causticon.web.store.shelf.Pantry;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/** Reads the composer's form into a plan, or tells everything that keeps it from being one. */
final class PlanReader {

    private static final int LONGEST_NAME = 80;
    private static final double MOST_PARTS = 10_000;
    private static final double SUM_TOLERANCE = 0.001;

    private final PlanForm form;
    private final Units units;
    private final Pantry pantry;
    private final @Nullable BatchPlan before;
    private final Problems problems = new Problems();
    private final FieldReader fields;

    /** All liquid, where its parts are masses; null where they are parts. */
    private @Nullable Mass liquidsTogether;

    /**
     * @param before the version that the form was opened from, for substances that were put away since; null for a new
     *     recipe
     */
    PlanReader(PlanForm form, Units units, Pantry pantry, @Nullable BatchPlan before) {
        this.form = form;
        this.units = units;
        this.pantry = pantry;
        this.before = before;
        this.fields = new FieldReader(units, problems);
    }

    /**
     * What was read.
     *
     * @param plan the plan, empty if it cannot be one
     * @param problems why not
     */
    record Result(Optional<BatchPlan> plan, Problems problems) {}

    /** An additive as typed, before the fats it is dosed by are known. */
    private record Dosed(Additive additive, Dose dose, AdditionStage joins) {}

    Result read() {
        checkTexts();
        Mould mould = mould("mould");
        Pouring pouring = new PouringReader(form, fields, pantry, before).read(mould);
        List<FatPortion> fats = fats();
        List<LiquidPart> liquids = liquids();
        FixedAmounts fixed = new FixedAmounts(
                form.has("lyeMass") ? fields.mass("lyeMass", form.get("lyeMass"), FormulaCheck.MOST_OF_ONE_FAT) : null,
                liquidsTogether);
        if (!fixed.equals(FixedAmounts.NONE)
                && (pouring.sizedBy() == SizedBy.MOULD || pouring.sizedBy() == SizedBy.CUPS)) {
            problems.add(fixed.lye() == null ? "liquidParts" : "lyeMass", ProblemKey.MASS_AGAINST_THE_MOULD);
        }
        List<Dosed> additives = additives();
        AlkaliChoice alkali = new AlkaliChoice(
                fields.percent("naohShare", form.get("naohShare"), Share.WHOLE),
                fields.percent("purity", form.get("purity"), AlkaliChoice.USUAL_NAOH_PURITY),
                fields.percent("kohPurity", form.get("kohPurity"), AlkaliChoice.USUAL_KOH_PURITY),
                form.has("kohCertified"));
        fields.checkShare("naohShare", alkali.naohShare());
        Share superfat =
                fixed.lye() == null ? fields.percent("superfat", form.get("superfat"), Share.NONE) : Share.NONE;
        LiquidTarget target = fixed.liquid() == null ? target() : new LiquidTarget(way(), 1);
        Settings settings = settings();
        if (!problems.isEmpty()) {
            return new Result(Optional.empty(), problems);
        }
        Formula formula = sized(
                        fats,
                        new Formula(fats, alkali, superfat, target, liquids, List.of()),
                        additives,
                        mould,
                        pouring)
                .fixing(fixed);
        problems.addAll(FormulaCheck.of(formula).all());
        if (!problems.isEmpty()) {
            return new Result(Optional.empty(), problems);
        }
        BatchPlan plan = new BatchPlan(
                form.get("name").trim(),
                formula,
                mould,
                pouring,
                null,
                settings,
                form.get("note").trim());
        problems.addAll(Portions.check(plan).all());
        PlanCheck.checkScales(plan, problems);
        return new Result(problems.isEmpty() ? Optional.of(plan) : Optional.empty(), problems);
    }

    /** As chosen; one that was put away since is kept by the plan that had it. */
    private @Nullable Vessel vessel(String chosen, @Nullable Object kept) {
        return pantry.vessel(chosen)
                .orElse(kept instanceof Vessel vessel && vessel.name().equals(chosen) ? vessel : null);
    }

    /** The formula at the size that the form asks for, with its additives dosed by that. */
    private Formula sized(
            List<FatPortion> fats, Formula bare, List<Dosed> additives, @Nullable Mould mould, Pouring pouring) {
        if (pouring.sizedBy() == SizedBy.WEIGHTS
                || fats.isEmpty()
                || !FormulaCheck.of(bare).isEmpty()) {
            return dosed(bare, additives);
        }
        if (pouring.sizedBy() == SizedBy.TOTAL) {
            Mass total = fields.mass("total", form.get("total"), FormulaCheck.MOST_OF_ONE_FAT);
            return total.isPositive() ? dosed(bare.scaledTo(total), additives) : dosed(bare, additives);
        }
        if (pouring.sizedBy() == SizedBy.CUPS) {
            int cups = Math.max(1, pouring.portioning().portions().size());
            Mass each = pouring.cup();
            return each == null || !each.isPositive()
                    ? bare
                    : dosed(
                            bare.scaledTo(
                                    Sizing.fatsForCups(m -> dosed(bare.scaledTo(m), additives), each, cups, pouring)),
                            additives);
        }
        if (mould == null) {
            problems.add("mould", ProblemKey.MISSING);
            return bare;
        }
        Mass total = Sizing.fatsToFill(m -> dosed(bare.scaledTo(m), additives), mould, pouring);
        return dosed(bare.scaledTo(total), additives);
    }

    private static Formula dosed(Formula formula, List<Dosed> additives) {
        Mass fats = formula.fatMass();
        return formula.withAdditives(additives.stream()
                .map(a -> AdditivePortion.dosed(a.additive(), a.dose(), a.joins(), fats))
                .toList());
    }

    private void checkTexts() {
        if (!form.has("name")) {
            problems.add("name", ProblemKey.MISSING);
        } else if (form.get("name").length() > LONGEST_NAME) {
            problems.add("name", ProblemKey.TOO_LONG, form.get("name").length(), LONGEST_NAME);
        }
        if (form.get("note").length() > BatchPlan.LONGEST_NOTE) {
            problems.add("note", ProblemKey.TOO_LONG, form.get("note").length(), BatchPlan.LONGEST_NOTE);
        }
        checkRows("fats", form.fats());
        checkRows("liquidParts", form.liquids());
        checkRows("additive0", form.additives());
        checkRows("portions", form.portions());
    }

    private void checkRows(String field, List<?> rows) {
        if (rows.size() > PlanForm.MOST_ROWS) {
            problems.add(field, ProblemKey.TOO_MANY, rows.size(), PlanForm.MOST_ROWS);
        }
    }

    private @Nullable Mould mould(String field) {
        String name = form.get(field);
        if (name.isBlank()) {
            return null;
        }
        return pantry.mould(name)
                .or(() -> Optional.ofNullable(before)
                        .map(BatchPlan::mould)
                        .filter(m -> m.name().equals(name)))
                .orElseGet(() -> {
                    problems.add(field, ProblemKey.NOT_A_CHOICE, name);
                    return null;
                });
    }

    private List<FatPortion> fats() {
        List<FatPortion> fats = new ArrayList<>();
        double sum = 0;
        for (int i = 0; i < form.fats().size(); i++) {
            PlanForm.FatRow row = form.fats().get(i);
            String field = "fat" + i;
            if (row.isBlank()) {
                continue;
            }
            if (row.id().isBlank()) {
                problems.add(field, ProblemKey.MISSING);
                continue;
            }
            Mass mass = form.isByShare()
                    ? share(field, row.amount())
                    : fields.mass(field, row.amount(), FormulaCheck.MOST_OF_ONE_FAT);
            sum += mass.grams();
            boolean after = row.after() && form.get("process").equals(Process.HOT.name());
            Optional<FatPortion> portion = fat(row, mass).map(p -> p.goingInAfterTheCook(after));
            portion.ifPresentOrElse(fats::add, () -> problems.add(field, ProblemKey.UNKNOWN_SUBSTANCE, row.id()));
        }
        if (form.isByShare() && problems.isEmpty() && !fats.isEmpty() && Math.abs(sum / 1000 - 1) > SUM_TOLERANCE) {
            problems.add("fats", ProblemKey.SHARES_DO_NOT_SUM, Share.fraction(sum / 1000));
        }
        return fats;
    }

    /** A share as the mass in a kilogram. */
    private Mass share(String field, String text) {
        Share share = fields.percent(field, text, Share.NONE);
        fields.checkShare(field, share);
        return share.of(Mass.grams(1000));
    }

    private Optional<FatPortion> fat(PlanForm.FatRow row, Mass mass) {
        Lot lot = row.lot().isEmpty() ? null : pantry.lot(row.lot()).orElse(null);
        Optional<Fat> fat = pantry.catalogue().findFat(row.fatId());
        if (fat.isPresent() && (row.lot().isEmpty() || lot != null)) {
            Fat found = fat.get();
            return Optional.of(new FatPortion(
                    lot != null && lot.saponification() != null ? found.certified(lot.saponification()) : found,
                    mass,
                    lot == null ? null : lot.label()));
        }
        // Put away since: the version it was opened from still knows it.
        return Optional.ofNullable(before)
                .flatMap(b -> b.formula().fats().stream()
                        .filter(p ->
                                p.fat().id().equals(row.fatId()) && row.lot().equals(p.lot() == null ? "" : p.lot()))
                        .findFirst()
                        .map(p -> p.weighing(mass)));
    }

    private List<LiquidPart> liquids() {
        List<LiquidPart> parts = new ArrayList<>();
        List<Double> amounts = new ArrayList<>();
        List<String> typed = form.liquids().stream()
                .filter(r -> !r.id().isBlank())
                .map(r -> r.amount().trim())
                .toList();
        boolean byMass = typed.stream().anyMatch(PlanReader::saysAUnit);
        boolean one = typed.size() == 1;
        if (byMass && !typed.stream().allMatch(PlanReader::saysAUnit)) {
            problems.add("liquidParts", ProblemKey.BY_MASS_OR_BY_PARTS);
            return parts;
        }
        for (int i = 0; i < form.liquids().size(); i++) {
            PlanForm.LiquidRow row = form.liquids().get(i);
            String field = "liquid" + i;
            if (!row.id().isBlank()) {
                pantry.catalogue()
                        .findLiquid(row.id())
                        .ifPresentOrElse(
                                liquid -> {
                                    double amount = byMass
                                            ? fields.mass(field, row.amount(), FormulaCheck.MOST_OF_ONE_FAT)
                                                    .grams()
                                            : part(field, row.amount(), one);
                                    AdditionStage joins =
                                            fields.choice(field, row.joins(), AdditionStage.class, AdditionStage.LYE);
                                    amounts.add(amount);
                                    LiquidState state =
                                            fields.choice(field, row.state(), LiquidState.class, LiquidState.LIQUID);
                                    parts.add(new LiquidPart(liquid, Share.NONE, state, joins));
                                },
                                () -> problems.add(field, ProblemKey.UNKNOWN_SUBSTANCE, row.id()));
            } else if (!row.amount().isBlank()) {
                problems.add(field, ProblemKey.MISSING);
            }
        }
        double sum = amounts.stream().mapToDouble(Double::doubleValue).sum();
        if (byMass && sum > 0) {
            liquidsTogether = Mass.grams(sum);
        }
        return sum <= 0
                ? parts
                : IntStream.range(0, parts.size())
                        .mapToObj(i -> new LiquidPart(
                                parts.get(i).liquid(),
                                Share.fraction(amounts.get(i) / sum),
                                parts.get(i).state(),
                                parts.get(i).joins()))
                        .toList();
    }

    private static boolean saysAUnit(String amount) {
        return amount.chars().anyMatch(Character::isLetter);
    }

    /** A part of the whole, whatever the parts make together; of a liquid that is the only one, all. */
    private double part(String field, String typed, boolean only) {
        if (only && typed.isBlank()) {
            return 1;
        }
        double part = fields.number(field, typed.replaceAll("\\s*%$", ""), 0);
        if (part < 0) {
            problems.add(field, ProblemKey.TOO_LOW, "A part", part, 0.0);
        } else if (part > MOST_PARTS) {
            problems.add(field, ProblemKey.TOO_HIGH, "A part", part, MOST_PARTS);
        }
        return part;
    }

    private List<Dosed> additives() {
        List<Dosed> dosed = new ArrayList<>();
        for (int i = 0; i < form.additives().size(); i++) {
            PlanForm.AdditiveRow row = form.additives().get(i);
            String field = "additive" + i;
            if (row.id().isBlank()) {
                if (!row.amount().isBlank()) {
                    problems.add(field, ProblemKey.MISSING);
                }
                continue;
            }
            Optional<Additive> additive =
                    pantry.catalogue().findAdditive(row.id()).or(() -> additiveBefore(row.id()));
            if (additive.isEmpty()) {
                problems.add(field, ProblemKey.UNKNOWN_SUBSTANCE, row.id());
                continue;
            }
            Dose dose = fields.dose(
                    field, row.amount(), additive.get().name(), additive.get().gramsPerTeaspoon());
            AdditionStage joins =
                    fields.choice(field, row.joins(), AdditionStage.class, AdditivePortion.advised(additive.get()));
            dosed.add(new Dosed(additive.get(), dose, joins));
        }
        return dosed;
    }

    private Optional<Additive> additiveBefore(String id) {
        return Optional.ofNullable(before)
                .flatMap(b -> b.formula().additives().stream()
                        .map(AdditivePortion::additive)
                        .filter(a -> a.id().equals(id))
                        .findFirst());
    }

    /** Each of the fields that stand by themselves, and mean anything in such a plan. */
    private Settings settings() {
        Settings said = Settings.USUAL;
        for (PlanField<?> field : PlanFields.ALL) {
            said = field.isFor(said) ? read(field, said) : said;
        }
        return said;
    }

    private <T> Settings read(PlanField<T> field, Settings said) {
        T value = new FieldForm<>(field)
                .read(
                        form.get(field.typed()),
                        fields,
                        units,
                        name -> vessel(name, before == null ? null : before.get(field)));
        field.check(value, problems);
        return said.with(field, value);
    }

    private LiquidTarget.Way way() {
        return fields.choice(
                "liquidWay", form.get("liquidWay"), LiquidTarget.Way.class, LiquidTarget.Way.LYE_CONCENTRATION);
    }

    private LiquidTarget target() {
        LiquidTarget.Way way = way();
        double typed = fields.number("liquid", form.get("liquidValue").replace("%", ""), 33.0);
        double value = way == LiquidTarget.Way.WATER_TO_LYE ? typed : typed / 100;
        if (value <= 0) {
            problems.add("liquid", ProblemKey.TOO_LOW, "liquid", typed, 0.0);
        }
        double most = way == LiquidTarget.Way.LYE_CONCENTRATION ? 0.99 : 20;
        if (value > most) {
            double limit = way == LiquidTarget.Way.WATER_TO_LYE ? most : 100 * most;
            problems.add("liquid", ProblemKey.TOO_HIGH, "liquid", typed, limit);
        }
        return new LiquidTarget(way, value);
    }
}
