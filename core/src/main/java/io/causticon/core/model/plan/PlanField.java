package io.causticon.core.model.plan;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.util.Arrays;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * One value of a plan that stands by itself. The form that it is typed into, the text that it is kept as, the published
 * schema, the comparison of two plans, the printed sheet and the check of what can be are all made from its
 * description: what is described in {@link PlanFields} is everywhere.
 *
 * @param <T> what it is
 */
public final class PlanField<T> {

    /** What a value is, and so how it is typed, kept and told. */
    public enum Kind {
        /** A {@link Temperature}, kept in degrees Celsius. */
        TEMPERATURE,
        /** A {@link Mass}, kept in grams. */
        MASS,
        /** An {@link Integer}. */
        COUNT,
        /** One of an enum's constants, kept by its name. */
        CHOICE,
        /** A {@link Boolean}. */
        SWITCH,
        /** A {@link Vessel} of the shelf, kept whole: it stays known when it is put away. */
        VESSEL
    }

    private final Kind kind;
    private final Class<T> type;
    private final String kept;
    private final String typed;
    private final String words;
    private final Aspect aspect;
    private final @Nullable T usual;
    private final @Nullable Interval possible;
    private final String subject;
    private final boolean alwaysKept;
    private final boolean typedInverted;
    private final boolean isToldOnSheet;
    private final Predicate<Settings> where;

    private PlanField(Builder<T> b) {
        this.kind = b.kind;
        this.type = b.type;
        this.kept = b.kept;
        this.typed = b.typed;
        this.words = b.words;
        this.aspect = b.aspect;
        this.usual = b.usual;
        this.possible = b.possible;
        this.subject = b.subject;
        this.alwaysKept = b.alwaysKept;
        this.typedInverted = b.typedInverted;
        this.isToldOnSheet = b.isToldOnSheet;
        this.where = b.where;
    }

    /**
     * Begins a description.
     *
     * @param name under which it is typed, kept and told of when it is wrong: it may never change
     * @param words what it is called before its value, in a comparison and on the sheet
     * @param usual what it is where nobody says; null for nothing
     */
    static <T> Builder<T> of(Kind kind, Class<T> type, String name, Aspect aspect, String words, @Nullable T usual) {
        return new Builder<>(kind, type, name, aspect, words, usual);
    }

    public Kind kind() {
        return kind;
    }

    public Class<T> type() {
        return type;
    }

    /** Its name in what is kept, with a dot before what stands within an object. */
    public String kept() {
        return kept;
    }

    /** Its name in the form, and in what is told of it when it is wrong. */
    public String typed() {
        return typed;
    }

    public String words() {
        return words;
    }

    /** In what two plans differ that have it otherwise. */
    public Aspect aspect() {
        return aspect;
    }

    public @Nullable T usual() {
        return usual;
    }

    /** What it can be, in its base unit; empty where its type says it all. */
    public Optional<Interval> possible() {
        return Optional.ofNullable(possible);
    }

    /**
     * Tells a value that cannot be, by the name it is typed under.
     *
     * @param value what was read; null and what has no limits can be anything
     */
    public void check(@Nullable T value, Problems problems) {
        Double number = value == null ? null : number(value).orElse(null);
        if (number != null && possible != null && !possible.contains(number)) {
            boolean low = number < possible.low();
            problems.add(
                    typed,
                    low ? ProblemKey.TOO_LOW : ProblemKey.TOO_HIGH,
                    subject,
                    value,
                    ofNumber(low ? possible.low() : possible.high()));
        }
    }

    /** Whether it is written down even where it is as usual, and missed where it is not there. */
    public boolean isAlwaysKept() {
        return alwaysKept;
    }

    /** Whether the form asks for the opposite. */
    public boolean isTypedInverted() {
        return typedInverted;
    }

    /**
     * Whether the printed sheet tells it among its facts; what it tells in a sentence of its own it does not tell
     * twice.
     */
    public boolean isToldOnSheet() {
        return isToldOnSheet;
    }

    /** Whether it means anything in such a plan. */
    public boolean isFor(Settings settings) {
        return where.test(settings);
    }

    /** Whether a value is what it is where nobody says. */
    public boolean isUsual(@Nullable T value) {
        return Objects.equals(value, usual);
    }

    /** All that can be chosen; nothing of what is not a choice. */
    public Stream<T> choices() {
        T[] all = type.getEnumConstants();
        return all == null ? Stream.empty() : Arrays.stream(all);
    }

    /** A value in its base unit, where that has a number. */
    public Optional<Double> number(T value) {
        return switch (kind) {
            case TEMPERATURE -> Optional.of(((Temperature) value).celsius());
            case MASS -> Optional.of(((Mass) value).grams());
            case COUNT -> Optional.of(((Integer) value).doubleValue());
            case CHOICE, SWITCH, VESSEL -> Optional.empty();
        };
    }

    /** What a number of the base unit is. */
    public T ofNumber(double number) {
        return type.cast(
                switch (kind) {
                    case TEMPERATURE -> Temperature.celsius(number);
                    case MASS -> Mass.grams(number);
                    case COUNT -> (int) Math.round(number);
                    case CHOICE, SWITCH, VESSEL ->
                        throw new IllegalArgumentException("Impossible state: " + kept + " is no number");
                });
    }

    @Override
    public String toString() {
        return kept;
    }

    /** Takes the sentences of one description. */
    static final class Builder<T> {

        private final Kind kind;
        private final Class<T> type;
        private final Aspect aspect;
        private final String words;
        private final @Nullable T usual;
        private String kept;
        private String typed;
        private @Nullable Interval possible;
        private String subject = "";
        private boolean alwaysKept;
        private boolean typedInverted;
        private boolean isToldOnSheet = true;
        private Predicate<Settings> where = s -> true;

        private Builder(Kind kind, Class<T> type, String name, Aspect aspect, String words, @Nullable T usual) {
            this.kind = kind;
            this.type = type;
            this.kept = name;
            this.typed = name;
            this.aspect = aspect;
            this.words = words;
            this.usual = usual;
        }

        /** What it can be, in the base unit; and what it is called where it is too low or too high. */
        Builder<T> from(double least, double most, String subject) {
            this.possible = Interval.between(least, most);
            this.subject = subject;
            return this;
        }

        Builder<T> keptAs(String path) {
            this.kept = path;
            return this;
        }

        Builder<T> typedAs(String name) {
            this.typed = name;
            return this;
        }

        Builder<T> typedInverted() {
            this.typedInverted = true;
            return this;
        }

        Builder<T> alwaysKept() {
            this.alwaysKept = true;
            return this;
        }

        Builder<T> toldInASentence() {
            this.isToldOnSheet = false;
            return this;
        }

        Builder<T> where(Predicate<Settings> such) {
            this.where = such;
            return this;
        }

        PlanField<T> build() {
            return new PlanField<>(this);
        }
    }
}
