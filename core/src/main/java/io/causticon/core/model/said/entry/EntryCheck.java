package io.causticon.core.model.said.entry;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import java.lang.reflect.RecordComponent;
import java.util.Optional;
import java.util.function.BiConsumer;
import org.jspecify.annotations.Nullable;

/**
 * What an entry must hold to stand in a log: everything that is not optional, and quantities that can be. What fails is
 * refused before it is stored; what stands in a store and fails counts for nothing. Limits are those of a kitchen or a
 * small workshop.
 */
public final class EntryCheck {

    /** More than this of one thing does not fit the scales and pots of a workshop. */
    public static final Mass HEAVIEST = Mass.grams(50_000);

    /** Everything in one pot. */
    public static final Mass HEAVIEST_POT = Mass.grams(150_000);

    public static final Mass HEAVIEST_BAR = Mass.grams(2000);

    /** Seconds; beyond that the blender would be hot. */
    public static final Interval BURST = Interval.between(1, 900);

    public static final Interval BARS = Interval.between(1, 2000);
    public static final Interval PH = Interval.between(0, 14);

    /** Per cent of NaOH by mass; a bar that holds more is not one. */
    public static final Interval FREE_ALKALI = Interval.between(0, 20);

    /** As it is graded: hardly, little, some, well, a handful. */
    public static final Interval LATHER = Interval.between(1, 5);

    /** C: ice water to what hands can bear. */
    public static final Interval WASH_WATER = Interval.between(0, 50);

    /** Bars that one pair of hands can compare in a sitting. */
    public static final Interval ROUND = Interval.between(1, 24);

    static final int LONGEST_JUDGE = 80;

    /** mm of a needle into a bar. */
    public static final Interval NEEDLE = Interval.between(0, 60);

    public static final Interval HUMIDITY = Interval.between(0, 100);

    /** Weeks of cure; some keep all-olive soap for years. */
    public static final Interval CURE_WEEKS = Interval.between(1, 260);

    /** mg of calcium carbonate in a litre: rain has none, the hardest wells a thousand and more. */
    public static final Interval HARDNESS = Interval.between(0, 3000);

    /** By more than twice it is another batch. */
    public static final Interval SCALING = Interval.between(1, 2);

    /** Degrees Celsius of a freezer, a fridge or an oven. */
    public static final Interval KEPT_AT = Interval.between(-40, 250);

    public static final int MOST_PORTIONS = 99;
    public static final int LONGEST_COLOUR = 30;
    public static final int LONGEST_WORDS = 2000;

    private static final String FIELD = "quick";

    private final Problems problems = new Problems();

    /** Of a kind that says nothing beyond what must be there. */
    static final BiConsumer<Entry, EntryCheck> NOTHING_MORE = (entry, check) -> {};

    private EntryCheck() {}

    /** Everything that keeps an entry from standing in a log; the field is always {@code quick}. */
    public static Problems of(Entry entry) {
        EntryCheck check = new EntryCheck();
        check.nothingMissing((Record) entry);
        if (check.problems.isEmpty()) {
            EntryKinds.of(entry).check(entry, check);
        }
        return check.problems;
    }

    /**
     * The same, and that what was weighed is something that a batch can have on its scale.
     *
     * @param plan what it is made from
     * @param substances what else the workshop has
     */
    public static Problems of(Entry entry, BatchPlan plan, Catalogue substances) {
        Problems problems = of(entry);
        if (problems.isEmpty()) {
            weighable(entry)
                    .filter(w -> !w.isKnownTo(plan, substances))
                    .ifPresent(w -> problems.add(FIELD, ProblemKey.UNKNOWN_SUBSTANCE, w.id()));
        }
        return problems;
    }

    private static Optional<Weighable> weighable(Entry entry) {
        if (entry instanceof Entry.Weighed e) {
            return Optional.of(e.what());
        }
        if (entry instanceof Entry.Rebatched e) {
            return Optional.ofNullable(e.fat());
        }
        return entry instanceof Entry.WeighedAgain e ? Optional.of(e.what()) : Optional.empty();
    }

    public static boolean isSound(Entry entry) {
        return of(entry).isEmpty();
    }

    /** Components that are not marked as optional must be there, in records within records too; words have an end. */
    private void nothingMissing(Record part) {
        for (RecordComponent component : part.getClass().getRecordComponents()) {
            Object value = value(part, component);
            boolean optional = component.getAnnotatedType().isAnnotationPresent(Nullable.class);
            if (value == null && !optional) {
                problems.add(FIELD, ProblemKey.MISSING);
            } else if (value instanceof Named named && named.name().isBlank()) {
                problems.add(FIELD, ProblemKey.MISSING);
            } else if (value instanceof Bars bars) {
                bars(bars);
            } else if (value instanceof Record inner) {
                nothingMissing(inner);
            } else if (value instanceof String words
                    && words.length() > LONGEST_WORDS
                    && !(part instanceof Entry.Unreadable)) {
                problems.add(FIELD, ProblemKey.TOO_LONG, words.length(), LONGEST_WORDS);
            } else if (value instanceof Double number && !Double.isFinite(number)) {
                problems.add(FIELD, ProblemKey.NOT_A_NUMBER, number.toString());
            }
        }
    }

    /** Everything that keeps bars from being such. */
    public static Problems of(Bars bars) {
        EntryCheck check = new EntryCheck();
        check.bars(bars);
        return check.problems;
    }

    private void bars(Bars bars) {
        if (bars.count() < 1 || bars.numbers().stream().anyMatch(n -> n < 1)) {
            problems.add(
                    FIELD,
                    ProblemKey.TOO_LOW,
                    "bars",
                    Math.min(
                            bars.count(),
                            bars.numbers().stream().mapToInt(n -> n).min().orElse(1)),
                    1);
        } else if (!bars.isSound()) {
            problems.add(
                    FIELD,
                    ProblemKey.TOO_HIGH,
                    "bars",
                    bars.numbers().stream().mapToInt(n -> n).max().orElse(bars.count()),
                    Bars.MOST);
        }
    }

    private static @Nullable Object value(Record part, RecordComponent component) {
        try {
            return component.getAccessor().invoke(part);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("Impossible state: a record hides " + component.getName(), e);
        }
    }

    /** Whether nothing was found so far. */
    boolean isEmpty() {
        return problems.isEmpty();
    }

    void missing() {
        problems.add(FIELD, ProblemKey.MISSING);
    }

    void disagrees(double said) {
        problems.add(FIELD, ProblemKey.NOT_A_NUMBER, said);
    }

    void words(String said, int most) {
        if (said.isBlank()) {
            missing();
        } else if (said.length() > most) {
            problems.add(FIELD, ProblemKey.TOO_LONG, said.length(), most);
        }
    }

    void mass(String what, @Nullable Mass mass, Mass most) {
        if (mass != null && !mass.isPositive()) {
            problems.add(FIELD, ProblemKey.TOO_LOW, what, mass, Mass.ZERO);
        } else if (mass != null && mass.isMoreThan(most)) {
            problems.add(FIELD, ProblemKey.TOO_HIGH, what, mass, most);
        }
    }

    void degrees(String what, @Nullable Temperature at, Interval possible) {
        if (at != null && !possible.contains(at.celsius())) {
            boolean low = at.celsius() < possible.low();
            problems.add(
                    FIELD,
                    low ? ProblemKey.TOO_LOW : ProblemKey.TOO_HIGH,
                    what,
                    at,
                    Temperature.celsius(low ? possible.low() : possible.high()));
        }
    }

    void within(String what, double value, Interval possible) {
        if (!possible.contains(value)) {
            boolean low = value < possible.low();
            problems.add(
                    FIELD,
                    low ? ProblemKey.TOO_LOW : ProblemKey.TOO_HIGH,
                    what,
                    value,
                    low ? possible.low() : possible.high());
        }
    }
}
