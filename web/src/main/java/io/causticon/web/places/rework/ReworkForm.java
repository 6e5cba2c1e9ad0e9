package io.causticon.web.places.rework;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.plan.ScrapPortion;
import io.causticon.core.model.said.notation.DoseNotation;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.formula.PlanCheck;
import io.causticon.core.science.formula.ReworkCheck;
import io.causticon.web.store.shelf.Pantry;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Reads what is typed of a rework. What is left empty is taken as it is proposed; everything that is wrong is told at
 * once.
 */
final class ReworkForm {

    /** Before the id of a scrap, the field that says how much of it goes in. */
    static final String TAKE = "take-";

    private static final int LONGEST_NAME = 80;
    private static final int LONGEST_NOTE = 500;

    /** Per cent; beyond that it is a paste. */
    private static final Interval TARGET = Interval.between(0, 20);

    /** Doses of the fats; a scent's own limit is told besides. */
    private static final double MOST_OF_FATS = 0.25;

    /** Grams; less than this no kitchen scale shows. */
    private static final double LEAST_GRAMS = 0.1;

    /** Scraps are wetter or drier than when they were put aside. */
    private static final double HEAVIER = 1.1;

    private final Map<String, String> typed;
    private final Units units;
    private final Pantry pantry;
    private final Problems problems = new Problems();

    ReworkForm(Map<String, String> typed, Units units, Pantry pantry) {
        this.typed = typed;
        this.units = units;
        this.pantry = pantry;
    }

    Problems problems() {
        return problems;
    }

    String text(String field) {
        return typed.getOrDefault(field, "").strip();
    }

    /** How much of a scrap goes in; nothing where that is not said, or cannot be. */
    Optional<Mass> take(String id, Mass left) {
        String field = TAKE + id;
        String text = text(field);
        if (text.isEmpty()) {
            return Optional.empty();
        }
        Optional<Mass> mass = Optional.ofNullable(problems.take(() -> MassNotation.read(field, text, units), null));
        mass.filter(m -> m.isMoreThan(left.times(HEAVIER)))
                .ifPresent(m -> problems.add(field, ProblemKey.NOT_SO_MUCH_LEFT, left));
        mass.filter(m -> m.grams() < 0).ifPresent(m -> problems.add(field, ProblemKey.TOO_LOW, "A mass", m, Mass.ZERO));
        return mass.filter(Mass::isPositive).filter(m -> !m.isMoreThan(left.times(HEAVIER)));
    }

    /**
     * What it comes to.
     *
     * @param rework with what is proposed where nothing was said
     * @param before the same scraps and water with no fat added
     * @param fat the fat that is, or would be, added
     * @param wanted how much of it is proposed
     * @param water how much of it is proposed
     * @param additives what goes in when the heat is off
     * @param mould where it goes; null where that was not said
     */
    record Read(
            Rework rework,
            Rework before,
            Fat fat,
            Mass wanted,
            Mass water,
            List<AdditivePortion> additives,
            @Nullable Mould mould) {}

    /**
     * @param scraps those of which something goes in, at least one
     * @param usual superfat that is wanted where a scrap may hold free alkali and nothing else was said
     */
    Read read(List<ScrapPortion> scraps, Share usual) {
        Rework.Way way = choice("way", Rework.Way.class, Rework.Way.POT);
        Mass proposed = Rework.waterFor(scraps);
        Mass water = mass("water", proposed);
        Rework before = new Rework(scraps, List.of(), water, way);
        Fat fat = fat(before);
        Mass wanted = before.fatFor(fat, target(before, usual));
        Mass added = mass("fatMass", wanted);
        if (added.grams() < 0) {
            problems.add("fatMass", ProblemKey.TOO_LOW, "A mass", added, Mass.ZERO);
        }
        Rework rework = new Rework(
                scraps, added.grams() >= LEAST_GRAMS ? List.of(new FatPortion(fat, added)) : List.of(), water, way);
        problems.addAll(ReworkCheck.of(rework).all());
        return new Read(rework, before, fat, wanted, proposed, additives(rework), mould());
    }

    /** What can be told of the other fields while nothing goes in. */
    void lookOver() {
        mass("water", Mass.ZERO);
        mass("fatMass", Mass.ZERO);
        if (!text("target").isEmpty()) {
            problems.take(() -> NumberNotation.percent("target", text("target")), Share.NONE);
        }
        mould();
    }

    /** The one that there is most of, where none is chosen. */
    private Fat fat(Rework rework) {
        Fat most = rework.fats().stream()
                .max(Comparator.comparing(f -> f.mass().grams()))
                .orElseThrow()
                .fat();
        String chosen = text("fat");
        if (chosen.isEmpty()) {
            return most;
        }
        return pantry.catalogue().findFat(chosen).orElseGet(() -> {
            problems.add("fat", ProblemKey.NOT_A_CHOICE, chosen);
            return most;
        });
    }

    /** As typed; else what is usual where a scrap may hold free alkali, and whatever comes of it where none does. */
    private Share target(Rework rework, Share usual) {
        String text = text("target");
        if (text.isEmpty()) {
            return rework.isDoubtful() ? usual : Rework.LEAST_SUPERFAT;
        }
        Share target = problems.take(() -> NumberNotation.percent("target", text), Rework.LEAST_SUPERFAT);
        if (!TARGET.contains(target.inPercent())) {
            boolean low = target.inPercent() < TARGET.low();
            problems.add(
                    "target",
                    low ? ProblemKey.TOO_LOW : ProblemKey.TOO_HIGH,
                    "The superfat",
                    target,
                    Share.percent(low ? TARGET.low() : TARGET.high()));
            return Rework.LEAST_SUPERFAT;
        }
        return target;
    }

    private Mass mass(String field, Mass otherwise) {
        String text = text(field);
        return text.isEmpty() ? otherwise : problems.take(() -> MassNotation.read(field, text, units), otherwise);
    }

    private <E extends Enum<E>> E choice(String field, Class<E> type, E otherwise) {
        String text = text(field);
        for (E one : type.getEnumConstants()) {
            if (one.name().equals(text)) {
                return one;
            }
        }
        if (!text.isEmpty()) {
            problems.add(field, ProblemKey.NOT_A_CHOICE, text);
        }
        return otherwise;
    }

    /** The scent or whatever else is named; it goes in when the heat is off. */
    private List<AdditivePortion> additives(Rework rework) {
        List<AdditivePortion> all = new ArrayList<>();
        String chosen = text("additive");
        if (chosen.isEmpty()) {
            if (!text("dose").isEmpty()) {
                problems.add("additive", ProblemKey.MISSING);
            }
            return all;
        }
        Optional<Additive> additive = pantry.catalogue().findAdditive(chosen);
        if (additive.isEmpty()) {
            problems.add("additive", ProblemKey.NOT_A_CHOICE, chosen);
            return all;
        }
        Mass fats = rework.fats().stream().map(FatPortion::mass).reduce(Mass.ZERO, Mass::plus);
        Optional<Dose> read = text("dose").isEmpty()
                ? Optional.empty()
                : Optional.ofNullable(problems.take(() -> DoseNotation.read("dose", text("dose"), units), null));
        if (read.isEmpty()) {
            if (text("dose").isEmpty()) {
                problems.add("dose", ProblemKey.MISSING);
            }
            return all;
        }
        Dose dose = read.get();
        if (dose.isSpooned() && additive.get().gramsPerTeaspoon() == null) {
            problems.add("dose", ProblemKey.NOT_SPOONED, additive.get().name());
            return all;
        }
        AdditivePortion portion = AdditivePortion.dosed(additive.get(), dose, AdditionStage.AFTER_COOK, fats);
        if (!portion.mass().isPositive()) {
            problems.add("dose", ProblemKey.TOO_LOW, "A dose", portion.mass(), Mass.ZERO);
        } else if (portion.mass().dividedBy(fats) > MOST_OF_FATS) {
            problems.add(
                    "dose",
                    ProblemKey.TOO_HIGH,
                    "A dose",
                    Share.fraction(portion.mass().dividedBy(fats)),
                    Share.fraction(MOST_OF_FATS));
        } else {
            all.add(portion);
        }
        return all;
    }

    private @Nullable Mould mould() {
        String chosen = text("mould");
        if (chosen.isEmpty()) {
            return null;
        }
        Optional<Mould> mould = pantry.mould(chosen);
        if (mould.isEmpty()) {
            problems.add("mould", ProblemKey.NOT_A_CHOICE, chosen);
        }
        return mould.orElse(null);
    }

    /** The whole plan, for a batch that is begun; empty where something keeps it from that. */
    Optional<BatchPlan> plan(Read read) {
        String name = text("name");
        if (name.isEmpty()) {
            problems.add("name", ProblemKey.MISSING);
        } else if (name.length() > LONGEST_NAME) {
            problems.add("name", ProblemKey.TOO_LONG, name.length(), LONGEST_NAME);
        }
        if (text("note").length() > LONGEST_NOTE) {
            problems.add("note", ProblemKey.TOO_LONG, text("note").length(), LONGEST_NOTE);
        }
        if (read.rework().isHopeless()) {
            problems.add("scraps", ProblemKey.TOO_MUCH_ALKALI, Rework.MOST_EXCESS);
        } else if (read.rework().superfat().value() < 0) {
            problems.add(
                    "fatMass",
                    ProblemKey.WOULD_BE_LYE_HEAVY,
                    read.wanted(),
                    read.fat().name());
        }
        if (!problems.isEmpty()) {
            return Optional.empty();
        }
        BatchPlan plan =
                BatchPlan.reworking(name, read.rework(), read.additives(), read.mould(), Scales.KITCHEN, text("note"));
        problems.addAll(PlanCheck.of(plan).all());
        return problems.isEmpty() ? Optional.of(plan) : Optional.empty();
    }
}
