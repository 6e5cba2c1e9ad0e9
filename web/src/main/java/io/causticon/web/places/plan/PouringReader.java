package io.causticon.web.places.plan;

import io.causticon.core.model.mould.Line;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Pouring.SizedBy;
import io.causticon.core.model.said.notation.LengthNotation;
import io.causticon.core.model.said.notation.LineNotation;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.formula.FormulaCheck;
import io.causticon.web.store.shelf.Pantry;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Reads how the batter fills its mould and how it is divided. */
final class PouringReader {

    private static final int LONGEST_NAME = 40;
    private static final Share MOST_OVERAGE = Share.percent(100);
    private static final Share MOST_STUCK = Share.percent(30);
    private static final Set<AdditionStage> OF_A_PART =
            EnumSet.of(AdditionStage.LYE, AdditionStage.FATS, AdditionStage.TRACE);
    private static final double LEAST_THICKNESS = 3;
    private static final double MOST_THICKNESS = 500;

    private final PlanForm form;
    private final FieldReader fields;
    private final Pantry pantry;
    private final @Nullable BatchPlan before;

    PouringReader(PlanForm form, FieldReader fields, Pantry pantry, @Nullable BatchPlan before) {
        this.form = form;
        this.fields = fields;
        this.pantry = pantry;
        this.before = before;
    }

    Pouring read(@Nullable Mould mould) {
        Share overage = form.has("overage") ? fields.percent("overage", form.get("overage"), Share.NONE) : Share.NONE;
        limit("overage", overage, MOST_OVERAGE);
        return new Pouring(
                fields.choice("sizedBy", form.get("sizedBy"), SizedBy.class, SizedBy.WEIGHTS),
                fillHeight(mould),
                overage,
                spare(),
                thickness(),
                portioning(mould),
                cup());
    }

    private @Nullable Double fillHeight(@Nullable Mould mould) {
        if (!form.has("fillHeight")) {
            return null;
        }
        double height = fields.take(() -> LengthNotation.readMillimetres("fillHeight", form.get("fillHeight")), 1.0);
        if (height <= 0) {
            fields.problems().add("fillHeight", ProblemKey.TOO_LOW, "A height in mm", height, 0.0);
        } else if (mould != null && height > mould.height()) {
            fields.problems().add("fillHeight", ProblemKey.TOO_HIGH, "A height in mm", height, mould.height());
        }
        return height;
    }

    private double thickness() {
        if (!form.has("thickness")) {
            return Pouring.USUAL_THICKNESS;
        }
        double thickness = fields.take(
                () -> LengthNotation.readMillimetres("thickness", form.get("thickness")), Pouring.USUAL_THICKNESS);
        if (thickness < LEAST_THICKNESS) {
            fields.problems().add("thickness", ProblemKey.TOO_LOW, "A bar in mm", thickness, LEAST_THICKNESS);
        } else if (thickness > MOST_THICKNESS) {
            fields.problems().add("thickness", ProblemKey.TOO_HIGH, "A bar in mm", thickness, MOST_THICKNESS);
        }
        return thickness;
    }

    private @Nullable Mould spare() {
        String name = form.get("spare");
        if (name.isBlank()) {
            return null;
        }
        return pantry.mould(name)
                .or(() -> Optional.ofNullable(before)
                        .map(b -> b.pouring().spare())
                        .filter(m -> Objects.requireNonNull(m).name().equals(name)))
                .orElse(null);
    }

    private Portioning portioning(@Nullable Mould mould) {
        Portioning.Way way =
                fields.choice("portionWay", form.get("portionWay"), Portioning.Way.class, Portioning.Way.WHOLE);
        if (way == Portioning.Way.WHOLE) {
            return Portioning.WHOLE;
        }
        Share stuck = form.has("stuck") ? fields.percent("stuck", form.get("stuck"), Share.NONE) : Share.NONE;
        limit("stuck", stuck, MOST_STUCK);
        List<Portion> portions = new ArrayList<>();
        for (int i = 0; i < form.portions().size(); i++) {
            PlanForm.PortionRow row = form.portions().get(i);
            if (!row.isBlank()) {
                portions.add(portion(row, "portion" + i, way, portions.size() + 1, mould));
            }
        }
        return new Portioning(
                way, portions, stuck, pantry.vessel(form.get("bowl")).orElse(null), route());
    }

    private Portioning.LyeRoute route() {
        return fields.choice("lyeRoute", form.get("lyeRoute"), Portioning.LyeRoute.class, Portioning.LyeRoute.TOGETHER);
    }

    /** Batter in each cup, where the size follows that; told where it is missing. */
    private @Nullable Mass cup() {
        if (!form.get("sizedBy").equals(SizedBy.CUPS.name())) {
            return null;
        }
        if (!form.get("portionWay").equals(Portioning.Way.CUPS.name())) {
            fields.problems().add("cup", ProblemKey.CUPS_FIRST);
            return null;
        }
        Mass cup = fields.mass("cup", form.get("cup"), FormulaCheck.MOST_OF_ONE_FAT);
        if (fields.problems().isEmpty() && !cup.isPositive()) {
            fields.problems().add("cup", ProblemKey.TOO_LOW, "A cup", cup, Mass.ZERO);
        }
        return cup;
    }

    private Portion portion(
            PlanForm.PortionRow row, String field, Portioning.Way way, int number, @Nullable Mould mould) {
        String name = row.name().isBlank() ? named(way) + number : row.name().trim();
        if (name.length() > LONGEST_NAME) {
            fields.problems().add(field, ProblemKey.TOO_LONG, name.length(), LONGEST_NAME);
        }
        Line top = null;
        Share share = Share.NONE;
        if (way == Portioning.Way.LAYERS) {
            double width = mould == null ? 100 : mould.width();
            top = fields.take(() -> LineNotation.read(field, row.amount(), width), Line.flat(0));
        } else if (way == Portioning.Way.SHARES) {
            share = fields.percent(field, row.amount(), Share.NONE);
        }
        return new Portion(name, top, share, additives(row, field), liquids(row, field));
    }

    private static String named(Portioning.Way way) {
        return switch (way) {
            case LAYERS -> "layer ";
            case CUPS -> "cup ";
            case SHARES, WHOLE -> "part ";
        };
    }

    private List<Portion.OwnAdditive> additives(PlanForm.PortionRow row, String field) {
        if (row.additiveId().isBlank()) {
            return List.of();
        }
        Optional<Additive> additive =
                pantry.catalogue().findAdditive(row.additiveId()).or(() -> additiveBefore(row.additiveId()));
        if (additive.isEmpty()) {
            fields.problems().add(field, ProblemKey.UNKNOWN_SUBSTANCE, row.additiveId());
            return List.of();
        }
        Dose dose = fields.dose(
                field, row.additiveDose(), additive.get().name(), additive.get().gramsPerTeaspoon());
        AdditionStage joins = fields.choice(field, row.additiveJoins(), AdditionStage.class, AdditionStage.TRACE);
        if (!OF_A_PART.contains(joins)) {
            fields.problems().add(field, ProblemKey.NOT_A_CHOICE, row.additiveJoins());
        }
        // Parts that are mixed as one batter have no lye of their own that anything could go into; where they had, it
        // is remembered in the form.
        AdditionStage where = route() == Portioning.LyeRoute.TOGETHER ? AdditionStage.TRACE : joins;
        return List.of(new Portion.OwnAdditive(additive.get(), dose, where));
    }

    private Optional<Additive> additiveBefore(String id) {
        return Optional.ofNullable(before)
                .flatMap(b -> b.pouring().portioning().portions().stream()
                        .flatMap(p -> p.additives().stream())
                        .map(Portion.OwnAdditive::additive)
                        .filter(a -> a.id().equals(id))
                        .findFirst());
    }

    private List<Portion.OwnLiquid> liquids(PlanForm.PortionRow row, String field) {
        if (row.liquidId().isBlank()) {
            return List.of();
        }
        return pantry.catalogue()
                .findLiquid(row.liquidId())
                .map(l -> List.of(new Portion.OwnLiquid(l, fields.dose(field, row.liquidDose(), l.name(), null))))
                .orElseGet(() -> {
                    fields.problems().add(field, ProblemKey.UNKNOWN_SUBSTANCE, row.liquidId());
                    return List.of();
                });
    }

    private void limit(String field, Share value, Share most) {
        if (value.fraction() < 0) {
            fields.problems().add(field, ProblemKey.TOO_LOW, field, value, Share.NONE);
        } else if (value.compareTo(most) > 0) {
            fields.problems().add(field, ProblemKey.TOO_HIGH, field, value, most);
        }
    }
}
