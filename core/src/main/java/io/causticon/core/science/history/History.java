package io.causticon.core.science.history;

import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.hipparchus.distribution.discrete.HypergeometricDistribution;
import org.jspecify.annotations.Nullable;

/** A workshop's chapters in the order of their dates, and what can be learned of them. */
public final class History {

    /** Rarer ones say nothing, and the commonest say it of everything. */
    private static final int LEAST_WITH = 2;

    /**
     * Told where chance alone gives one as strong in at most one of ten such factors (a judgement: told with its
     * number, never as a cause).
     */
    private static final double TELLING = 0.10;

    private static final int MOST_TOLD = 12;
    private static final double THIRD = 1.0 / 3;

    private final List<Chapter> chapters;

    public History(Collection<Chapter> chapters) {
        this.chapters = chapters.stream()
                .sorted(Comparator.comparing(Chapter::begun).thenComparing(Chapter::recipe))
                .toList();
    }

    public List<Chapter> chapters() {
        return chapters;
    }

    /**
     * A batch that had something which the one before it, of the same recipe, had not; or the first without after one
     * that had it.
     *
     * @param condition name of what it had
     * @param before the batch before
     * @param after the batch in which it came, or in which it was gone
     * @param came whether it came; else it went
     * @param changes what was set otherwise between the two; empty where nothing was, as far as the logs tell
     */
    public record Turn(String condition, Chapter before, Chapter after, boolean came, List<Change> changes) {

        public Turn {
            changes = List.copyOf(changes);
        }
    }

    /** All of them, the last first; what a batch is too young to show did not go. */
    public List<Turn> turns(Instant today) {
        List<Turn> turns = new ArrayList<>();
        Map<String, Chapter> last = new HashMap<>();
        for (Chapter now : chapters) {
            Chapter before = last.put(now.recipe(), now);
            if (before != null) {
                difference(now, before)
                        .forEach(c -> turns.add(new Turn(c, before, now, true, Change.between(before, now))));
                long age = Duration.between(now.begun(), today).toDays();
                difference(before, now).stream()
                        .filter(c -> age >= before.conditions().get(c))
                        .forEach(c -> turns.add(new Turn(c, before, now, false, Change.between(before, now))));
            }
        }
        return turns.stream()
                .sorted(Comparator.comparing((Turn t) -> t.after().begun()).reversed())
                .toList();
    }

    private static Set<String> difference(Chapter one, Chapter other) {
        Set<String> only = new TreeSet<>(one.conditions().keySet());
        only.removeAll(other.conditions().keySet());
        return only;
    }

    /**
     * Something that batches with a condition have in common more often than the others.
     *
     * @param condition name of what they had
     * @param factor what they have in common
     * @param had how many with the factor had it
     * @param with how many have the factor
     * @param hadWithout how many without had it
     * @param without how many have it not
     * @param chance how often so many or more would come together by chance alone: Fisher's exact test, one-sided
     *     (Agresti, Categorical Data Analysis, 3.5)
     */
    public record Link(
            String condition, Factor factor, int had, int with, int hadWithout, int without, double chance) {}

    /**
     * Something that a batch has or has not.
     *
     * @param kind of what it tells
     * @param measure what is low or high; null where it tells of no number
     * @param what the substance, mould, lot or way; empty for a number
     * @param limit of the low or high third, in the measure's unit; nothing for others
     */
    public record Factor(Kind kind, @Nullable Measure measure, String what, double limit) {

        /** What a factor tells of. */
        public enum Kind {
            LOW,
            HIGH,
            WITH,
            LOT,
            MOULD,
            WAY
        }
    }

    /**
     * What was found, and among how much was looked.
     *
     * @param links the strongest first
     * @param compared how many pairs of a condition and a factor were compared
     */
    public record Found(List<Link> links, int compared) {

        /** How many as strong as the weakest told are to be expected by chance alone. */
        public double expectedByChance() {
            return links.isEmpty() ? 0 : compared * links.get(links.size() - 1).chance();
        }
    }

    /**
     * What conditions and factors come together, over all recipes. Each chapter is looked at once: a workshop of years
     * has thousands.
     */
    public Found links() {
        Map<Measure, Thirds> thirds = thirds();
        Map<Factor, Integer> with = new HashMap<>();
        Map<String, Integer> had = new TreeMap<>();
        Map<String, Map<Factor, Integer>> both = new HashMap<>();
        for (Chapter chapter : chapters) {
            List<Factor> factors = factors(chapter, thirds);
            factors.forEach(f -> with.merge(f, 1, Integer::sum));
            for (String condition : chapter.conditions().keySet()) {
                had.merge(condition, 1, Integer::sum);
                Map<Factor, Integer> there = both.computeIfAbsent(condition, c -> new HashMap<>());
                factors.forEach(f -> there.merge(f, 1, Integer::sum));
            }
        }
        List<Link> links = new ArrayList<>();
        int compared = 0;
        for (Map.Entry<String, Integer> condition : had.entrySet()) {
            if (condition.getValue() < LEAST_WITH || condition.getValue() == chapters.size()) {
                continue;
            }
            // What every batch has, or but one has, can tell nothing.
            compared += (int) with.values().stream()
                    .filter(n -> n >= LEAST_WITH && n < chapters.size())
                    .count();
            both.get(condition.getKey())
                    .forEach((factor, n) -> link(condition.getKey(), condition.getValue(), factor, n, with.get(factor))
                            .ifPresent(links::add));
        }
        Comparator<Link> order = Comparator.comparingDouble(Link::chance)
                .thenComparing(Link::condition)
                .thenComparing(l -> l.factor().toString());
        return new Found(links.stream().sorted(order).limit(MOST_TOLD).toList(), compared);
    }

    private Optional<Link> link(String condition, int had, Factor factor, int both, int with) {
        int without = chapters.size() - with;
        if (both < LEAST_WITH || without == 0) {
            return Optional.empty();
        }
        double chance = new HypergeometricDistribution(chapters.size(), had, with).upperCumulativeProbability(both);
        return chance > TELLING
                ? Optional.empty()
                : Optional.of(new Link(condition, factor, both, with, had - both, without, chance));
    }

    /** Where the low third of a measure ends and the high one begins. */
    private record Thirds(double low, double high) {}

    private Map<Measure, Thirds> thirds() {
        Map<Measure, Thirds> thirds = new EnumMap<>(Measure.class);
        for (Measure measure : Measure.values()) {
            double[] values = chapters.stream()
                    .filter(c -> c.measures().containsKey(measure))
                    .mapToDouble(c -> c.measures().get(measure))
                    .sorted()
                    .toArray();
            if (measure.isSet()
                    && values.length > 2 * LEAST_WITH
                    && values[values.length - 1] - values[0] >= measure.leastStep()) {
                thirds.put(
                        measure,
                        new Thirds(
                                values[(int) Math.floor(THIRD * (values.length - 1))],
                                values[(int) Math.ceil((1 - THIRD) * (values.length - 1))]));
            }
        }
        return thirds;
    }

    private static List<Factor> factors(Chapter chapter, Map<Measure, Thirds> thirds) {
        List<Factor> factors = new ArrayList<>();
        thirds.forEach((measure, third) -> {
            Double value = chapter.measures().get(measure);
            if (value != null && value <= third.low()) {
                factors.add(new Factor(Factor.Kind.LOW, measure, "", third.low()));
            }
            if (value != null && value >= third.high()) {
                factors.add(new Factor(Factor.Kind.HIGH, measure, "", third.high()));
            }
        });
        chapter.substances().forEach(s -> factors.add(new Factor(Factor.Kind.WITH, null, s, 0)));
        chapter.lots().forEach((s, lot) -> factors.add(new Factor(Factor.Kind.LOT, null, s + " " + lot, 0)));
        chapter.ways().forEach((what, way) -> factors.add(new Factor(Factor.Kind.WAY, null, what + " " + way, 0)));
        if (!chapter.mould().isEmpty()) {
            factors.add(new Factor(Factor.Kind.MOULD, null, chapter.mould(), 0));
        }
        return factors;
    }

    /**
     * Chapters by what a grouping says of each, in the order of the names; what is in several groups stands in each.
     */
    public Map<String, List<Chapter>> by(Grouping grouping, ZoneId zone) {
        Map<String, List<Chapter>> groups = new TreeMap<>();
        chapters.forEach(c -> grouping.of(c, zone)
                .forEach(g -> groups.computeIfAbsent(g, n -> new ArrayList<>()).add(c)));
        return groups;
    }
}
