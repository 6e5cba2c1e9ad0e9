package io.causticon.core.science.trial;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.Aspect;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.formula.FormulaCheck;
import io.causticon.core.wording.Exactly;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * One thing that a plan has otherwise than the control. Names and notes make no difference to soap and are none.
 *
 * @param aspect in what they differ
 * @param words both values, the control's first
 */
public record PlanDifference(Aspect aspect, Phrase words) {

    /** Of the fats. What scales and rounding do is less. */
    private static final double LEAST_SHARE = 0.002;

    private static final String OF_THE_WHOLE = ", of the ";

    private static final double LEAST_KELVIN = 0.5;
    private static final double LEAST_MASS_SHARE = 0.01;
    private static final double LEAST_MILLIMETRES = 0.5;

    /** All differences, by aspect. */
    public static List<PlanDifference> between(BatchPlan control, BatchPlan other) {
        List<PlanDifference> all = new ArrayList<>();
        Map<Key, Object> before = facts(control);
        Map<Key, Object> after = facts(other);
        Set<Key> keys = new LinkedHashSet<>(before.keySet());
        keys.addAll(after.keySet());
        for (Aspect aspect : Aspect.values()) {
            keys.stream()
                    .filter(k -> k.aspect() == aspect && (isTold(k, before) && isTold(k, after)))
                    .forEach(k -> {
                        Object one = before.get(k);
                        Object two = after.get(k);
                        if (differ(one, two)) {
                            all.add(new PlanDifference(aspect, words(k, one, two)));
                        }
                    });
        }
        return all;
    }

    /**
     * What of a plan is told by itself.
     *
     * @param of what it is a property of: where only one plan has that, it is no difference of its own; empty for none
     */
    private record Key(Aspect aspect, String subject, String of) {

        Key(Aspect aspect, String subject) {
            this(aspect, subject, "");
        }
    }

    private static boolean isTold(Key key, Map<Key, Object> facts) {
        return key.of().isEmpty() || facts.containsKey(new Key(key.aspect(), key.of()));
    }

    private static boolean differ(@Nullable Object one, @Nullable Object two) {
        if (one instanceof Share a && two instanceof Share b) {
            return Math.abs(a.fraction() - b.fraction()) >= LEAST_SHARE;
        } else if (one instanceof Temperature a && two instanceof Temperature b) {
            return Math.abs(a.celsius() - b.celsius()) >= LEAST_KELVIN;
        } else if (one instanceof Mass a && two instanceof Mass b) {
            return Math.abs(a.grams() - b.grams()) > LEAST_MASS_SHARE * Math.max(a.grams(), b.grams());
        } else if (one instanceof Double a && two instanceof Double b) {
            return Math.abs(a - b) >= LEAST_MILLIMETRES;
        }
        return !Objects.equals(one, two);
    }

    private static Phrase words(Key key, @Nullable Object one, @Nullable Object two) {
        int whole = key.subject().lastIndexOf(OF_THE_WHOLE);
        String subject = whole < 0 ? key.subject() : key.subject().substring(0, whole);
        String of = whole < 0 ? "" : key.subject().substring(whole + 1);
        if (one == null) {
            return two instanceof String text && text.isEmpty()
                    ? Phrase.of("with {}", subject)
                    : Phrase.of("with {} {}{}", subject, value(Objects.requireNonNull(two)), of);
        } else if (two == null) {
            return Phrase.of("without {}", subject);
        }
        return Phrase.of("{} {}, then {}{}", subject, value(one), value(two), of);
    }

    private static Object value(Object value) {
        return value instanceof Double millimetres
                ? Phrase.of("{} mm", new Exactly(millimetres, 1))
                : value instanceof Share share ? Phrase.of("{} %", new Exactly(share.inPercent(), 1)) : value;
    }

    private static Map<Key, Object> facts(BatchPlan plan) {
        Map<Key, Object> facts = new LinkedHashMap<>();
        formula(plan.formula(), facts);
        Pouring pouring = plan.pouring();
        PlanFields.ALL.stream()
                .filter(f -> f.isFor(plan.settings()))
                .forEach(f -> put(facts, f.aspect(), f.words(), told(plan.get(f))));
        rework(plan.rework(), facts);
        Mould mould = plan.mould();
        facts.put(new Key(Aspect.MOULD, "mould"), mould == null ? "not said" : mould.name());
        put(facts, Aspect.MOULD, "filled to", pouring.fillHeight());
        facts.put(new Key(Aspect.MOULD, "bars"), pouring.thickness());
        put(
                facts,
                Aspect.MOULD,
                "for what is left over",
                pouring.spare() == null ? null : pouring.spare().name());
        facts.put(new Key(Aspect.SIZE, "fats"), plan.formula().fatMass());
        facts.put(new Key(Aspect.SIZE, "made beyond the mould"), pouring.overage());
        facts.put(new Key(Aspect.SIZE, "sized by"), lower(pouring.sizedBy()));
        put(facts, Aspect.SIZE, "a cup of", pouring.cup());
        division(pouring.portioning(), facts);
        return facts;
    }

    /** What is compared as a quantity stays one, and is written in the maker's units. */
    private static @Nullable Object told(@Nullable Object value) {
        if (value instanceof Enum<?> choice) {
            return lower(choice);
        } else if (value instanceof Vessel vessel) {
            return vessel(vessel);
        } else if (value instanceof Boolean yes) {
            return yes ? "yes" : "no";
        }
        return value instanceof Integer count ? count.toString() : value;
    }

    private static void formula(Formula formula, Map<Key, Object> facts) {
        double fats = formula.fatMass().grams();
        formula.fats().forEach(f -> {
            merge(
                    facts,
                    new Key(Aspect.FATS, f.fat().name()),
                    Share.fraction(f.mass().grams() / fats));
            facts.put(
                    new Key(
                            Aspect.FATS,
                            "saponification value of " + f.fat().name(),
                            f.fat().name()),
                    Long.toString(Math.round(f.fat().saponificationValue())));
            if (f.afterCook()) {
                facts.put(
                        new Key(
                                Aspect.FATS,
                                f.fat().name() + " after the cook",
                                f.fat().name()),
                        "");
            }
            if (f.lot() != null && !f.lot().isBlank()) {
                facts.put(
                        new Key(Aspect.FATS, f.fat().name() + " of lot", f.fat().name()), f.lot());
            }
        });
        facts.put(
                new Key(Aspect.ALKALI, "sodium hydroxide in the alkali"),
                formula.alkali().naohShare());
        facts.put(
                new Key(Aspect.ALKALI, "purity of the sodium hydroxide"),
                formula.alkali().naohPurity());
        if (formula.alkali().naohShare().complement().isPositive()) {
            facts.put(
                    new Key(Aspect.ALKALI, "purity of the potassium hydroxide"),
                    formula.alkali().kohPurity());
            facts.put(
                    new Key(Aspect.ALKALI, "that purity"), formula.alkali().kohCertified() ? "certified" : "as usual");
        }
        facts.put(new Key(Aspect.SUPERFAT, "superfat"), formula.superfat());
        if (FormulaCheck.of(formula).isEmpty()) {
            AlkaliBalance balance = AlkaliBalance.of(formula);
            facts.put(new Key(Aspect.CONCENTRATION, "lye concentration"), balance.concentration());
            // How much liquid there is, is a matter of the concentration.
            double liquid = balance.liquidMass().grams();
            balance.liquids()
                    .forEach(l -> merge(
                            facts,
                            new Key(
                                    Aspect.LIQUIDS,
                                    l.words() + (l.dissolvesLye() ? "" : " at " + lower(l.joins()))
                                            + ", of the liquid"),
                            Share.fraction(l.mass().grams() / liquid)));
        }
        formula.additives().forEach(a -> {
            merge(
                    facts,
                    new Key(Aspect.ADDITIVES, a.additive().name() + ", of the fats"),
                    Share.fraction(a.mass().grams() / fats));
            facts.put(
                    new Key(
                            Aspect.ADDITIVES,
                            a.additive().name() + " goes in",
                            a.additive().name() + ", of the fats"),
                    lower(a.joins()));
        });
    }

    private static void rework(@Nullable Rework rework, Map<Key, Object> facts) {
        if (rework != null) {
            rework.scraps().forEach(s -> merge(facts, new Key(Aspect.ROAD, "scraps of " + s.name()), s.mass()));
            facts.put(new Key(Aspect.ROAD, "water to melt them in"), rework.water());
            facts.put(new Key(Aspect.ROAD, "melted"), lower(rework.way()));
        }
    }

    private static void division(Portioning portioning, Map<Key, Object> facts) {
        facts.put(new Key(Aspect.DIVISION, "divided"), lower(portioning.way()));
        facts.put(new Key(Aspect.DIVISION, "lye"), lower(portioning.route()));
        facts.put(new Key(Aspect.DIVISION, "left on bowls"), portioning.stuck());
        put(facts, Aspect.TOOLS, "bowl", vessel(portioning.bowl()));
        portioning.portions().forEach(p -> facts.put(new Key(Aspect.DIVISION, "part " + p.name()), part(p)));
    }

    private static String part(Portion portion) {
        String own = portion.additives().stream()
                        .map(a -> a.additive().name() + " " + a.dose().value())
                        .collect(Collectors.joining(", "))
                + portion.liquids().stream()
                        .map(l -> l.liquid().name() + " " + l.dose().value())
                        .collect(Collectors.joining(", "));
        return portion.share().isPositive() ? (Math.round(portion.share().inPercent()) + " % " + own).strip() : own;
    }

    private static @Nullable String vessel(@Nullable Vessel vessel) {
        return vessel == null ? null : vessel.name() + ", " + lower(vessel.material());
    }

    private static void put(Map<Key, Object> facts, Aspect aspect, String subject, @Nullable Object value) {
        if (value != null) {
            facts.put(new Key(aspect, subject), value);
        }
    }

    /** The same substance twice in a plan is one. */
    private static void merge(Map<Key, Object> facts, Key key, Object value) {
        facts.merge(
                key,
                value,
                (a, b) -> a instanceof Share s
                        ? Share.fraction(s.fraction() + ((Share) b).fraction())
                        : ((Mass) a).plus((Mass) b));
    }

    private static String lower(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
