package io.causticon.web.plan;

import io.causticon.core.formula.AdditivePortion;
import io.causticon.core.formula.AlkaliChoice;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.FatPortion;
import io.causticon.core.formula.Formula;
import io.causticon.core.formula.FormulaCheck;
import io.causticon.core.formula.GelGoal;
import io.causticon.core.formula.LiquidPart;
import io.causticon.core.formula.LiquidTarget;
import io.causticon.core.formula.Mould;
import io.causticon.core.formula.Process;
import io.causticon.core.formula.Scales;
import io.causticon.core.notation.MassNotation;
import io.causticon.core.notation.NumberNotation;
import io.causticon.core.notation.TemperatureNotation;
import io.causticon.core.notation.Units;
import io.causticon.core.observation.Spot;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.substance.Catalogue;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;

/** Reads the composer's form into a plan, or tells everything that keeps it from being one. */
final class PlanReader {

    private static final int LONGEST_NAME = 80;
    private static final int LONGEST_NOTE = 2000;
    private static final Mass FINEST_STEP = Mass.grams(0.001);
    private static final Mass COARSEST_STEP = Mass.grams(50);
    private static final Catalogue CATALOGUE = Catalogue.standard();

    private final PlanForm form;
    private final Units units;
    private final Function<String, Optional<Mould>> moulds;
    private final Problems problems = new Problems();

    PlanReader(PlanForm form, Units units, Function<String, Optional<Mould>> moulds) {
        this.form = form;
        this.units = units;
        this.moulds = moulds;
    }

    /**
     * What was read.
     *
     * @param plan the plan, empty if it cannot be one
     * @param problems why not
     */
    record Result(Optional<BatchPlan> plan, Problems problems) {}

    Result read() {
        checkTexts();
        List<FatPortion> fats = fats();
        List<LiquidPart> liquids = liquids();
        List<AdditivePortion> additives = additives();
        AlkaliChoice alkali = new AlkaliChoice(
                percent("naohShare", form.naohShare(), Share.WHOLE),
                percent("purity", form.purity(), AlkaliChoice.USUAL_NAOH_PURITY),
                percent("kohPurity", form.kohPurity(), AlkaliChoice.USUAL_KOH_PURITY));
        checkShare("naohShare", alkali.naohShare());
        Share superfat = percent("superfat", form.superfat(), Share.NONE);
        LiquidTarget target = target();
        Temperature mixAt = take(
                () -> TemperatureNotation.readAt(Spot.BATTER, "mixAt", form.mixAt(), units), Temperature.celsius(40));
        Scales scales = new Scales(step("fatStep", form.fatStep()), step("lyeStep", form.lyeStep()));
        if (!problems.isEmpty()) {
            return new Result(Optional.empty(), problems);
        }
        Formula formula = new Formula(fats, alkali, superfat, target, liquids, additives);
        problems.addAll(FormulaCheck.of(formula).all());
        if (!problems.isEmpty()) {
            return new Result(Optional.empty(), problems);
        }
        return new Result(
                Optional.of(new BatchPlan(
                        form.name().trim(),
                        formula,
                        choice("process", form.process(), Process.class, Process.COLD),
                        choice("gel", form.gel(), GelGoal.class, GelGoal.ALLOW),
                        moulds.apply(form.mould()).orElse(null),
                        mixAt,
                        scales,
                        form.note().trim())),
                problems);
    }

    private void checkTexts() {
        if (form.name().isBlank()) {
            problems.add("name", ProblemKey.MISSING);
        } else if (form.name().length() > LONGEST_NAME) {
            problems.add("name", ProblemKey.TOO_LONG, form.name().length(), LONGEST_NAME);
        }
        if (form.note().length() > LONGEST_NOTE) {
            problems.add("note", ProblemKey.TOO_LONG, form.note().length(), LONGEST_NOTE);
        }
    }

    private List<FatPortion> fats() {
        List<FatPortion> fats = new ArrayList<>();
        for (int i = 0; i < form.fats().size(); i++) {
            PlanForm.Row row = form.fats().get(i);
            String field = "fat" + i;
            if (row.id().isBlank() && !row.amount().isBlank()) {
                problems.add(field, ProblemKey.MISSING);
            } else if (!row.isBlank()) {
                CATALOGUE.findFat(row.id()).ifPresentOrElse(
                        fat -> fats.add(new FatPortion(fat, amount(field, row.amount()))),
                        () -> problems.add(field, ProblemKey.UNKNOWN_SUBSTANCE, row.id()));
            }
        }
        return fats;
    }

    private List<LiquidPart> liquids() {
        List<LiquidPart> parts = new ArrayList<>();
        for (int i = 0; i < form.liquids().size(); i++) {
            PlanForm.Row row = form.liquids().get(i);
            String field = "liquid" + i;
            if (!row.id().isBlank()) {
                CATALOGUE.findLiquid(row.id()).ifPresentOrElse(
                        liquid -> {
                            Share share = percent(field, row.amount(), Share.NONE);
                            checkShare(field, share);
                            parts.add(new LiquidPart(liquid, share, "frozen".equals(row.state())));
                        },
                        () -> problems.add(field, ProblemKey.UNKNOWN_SUBSTANCE, row.id()));
            }
        }
        return parts;
    }

    private List<AdditivePortion> additives() {
        List<AdditivePortion> portions = new ArrayList<>();
        for (int i = 0; i < form.additives().size(); i++) {
            PlanForm.Row row = form.additives().get(i);
            String field = "additive" + i;
            if (!row.id().isBlank()) {
                CATALOGUE.findAdditive(row.id()).ifPresentOrElse(
                        additive -> portions.add(new AdditivePortion(additive, amount(field, row.amount()))),
                        () -> problems.add(field, ProblemKey.UNKNOWN_SUBSTANCE, row.id()));
            }
        }
        return portions;
    }

    private Mass amount(String field, String text) {
        Mass mass = take(() -> MassNotation.read(field, text, units), Mass.ZERO);
        if (mass.grams() < 0) {
            problems.add(field, ProblemKey.TOO_LOW, "A mass", mass, Mass.ZERO);
        } else if (mass.isMoreThan(FormulaCheck.MOST_OF_ONE_FAT)) {
            problems.add(field, ProblemKey.TOO_HIGH, "A mass", mass, FormulaCheck.MOST_OF_ONE_FAT);
        }
        return mass;
    }

    private Mass step(String field, String text) {
        Mass step = take(() -> MassNotation.read(field, text, units), Mass.grams(1));
        if (step.grams() < FINEST_STEP.grams()) {
            problems.add(field, ProblemKey.TOO_LOW, "A scale's step", step, FINEST_STEP);
        } else if (step.isMoreThan(COARSEST_STEP)) {
            problems.add(field, ProblemKey.TOO_HIGH, "A scale's step", step, COARSEST_STEP);
        }
        return step;
    }

    private LiquidTarget target() {
        LiquidTarget.Way way = choice(
                "liquidWay", form.liquidWay(), LiquidTarget.Way.class, LiquidTarget.Way.LYE_CONCENTRATION);
        double typed = take(() -> NumberNotation.read("liquid", form.liquidValue().replace("%", "")), 33.0);
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

    private Share percent(String field, String text, Share otherwise) {
        return take(() -> NumberNotation.percent(field, text), otherwise);
    }

    private void checkShare(String field, Share share) {
        if (share.fraction() < 0) {
            problems.add(field, ProblemKey.TOO_LOW, "A share", share, Share.NONE);
        } else if (share.fraction() > 1) {
            problems.add(field, ProblemKey.TOO_HIGH, "A share", share, Share.WHOLE);
        }
    }

    private <E extends Enum<E>> E choice(String field, String text, Class<E> type, E otherwise) {
        if (text.isBlank()) {
            return otherwise;
        }
        try {
            return Enum.valueOf(type, text);
        } catch (IllegalArgumentException e) {
            problems.add(field, ProblemKey.NOT_A_CHOICE, text);
            return otherwise;
        }
    }

    private <T> T take(Supplier<T> reading, T otherwise) {
        try {
            return reading.get();
        } catch (ProblemsException e) {
            problems.addAll(e.problems());
            return otherwise;
        }
    }
}
