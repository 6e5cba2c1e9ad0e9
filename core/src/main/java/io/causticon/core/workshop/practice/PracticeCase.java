package io.causticon.core.workshop.practice;

import io.causticon.core.model.finding.Findings;
import io.causticon.core.science.draw.Appearances;
import io.causticon.core.science.draw.DrawnCase;
import io.causticon.core.science.draw.Logging;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;

/**
 * One batch to practise on. The same level and seed give the same batch, so that nothing of it is kept but these two.
 *
 * @param level how hard it is
 * @param seed that it is drawn from
 * @param drawn what it really is
 * @param brought the looks that brought it to the learner, by their ids: the first that shows of each thing it has for
 *     certain
 * @param day on which it came
 */
public record PracticeCase(PracticeLevel level, long seed, DrawnCase drawn, List<String> brought, double day) {

    private static final Appearances TABLES = Appearances.read();

    /** So many draws are tried for a batch that can be told from others by looking at it. */
    private static final int TRIES = 40;

    /**
     * Draws a batch. One that nobody could tell right who had looked at everything teaches nothing and is drawn again.
     */
    public static PracticeCase draw(PracticeLevel level, long seed) {
        Random random = new Random(seed * PracticeLevel.values().length + level.ordinal());
        PracticeCase drawn = one(level, seed, random);
        for (int n = 1; n < TRIES && !PracticeSolver.canBeTold(drawn); n++) {
            drawn = one(level, seed, random);
        }
        return drawn;
    }

    private static PracticeCase one(PracticeLevel level, long seed, Random random) {
        List<Appearances.Appearance> from = level.only().isEmpty()
                ? TABLES.all()
                : Stream.concat(TABLES.all().stream(), Stream.of(LYE_HEAVY))
                        .filter(a -> level.only().contains(a.condition()))
                        .toList();
        Appearances.Appearance wanted = from.get(random.nextInt(from.size()));
        DrawnCase drawn =
                new DrawnCase(TABLES, wanted, level.more(), level.mayHaveOthers(), random, Logging.ALL_LOOKED_AT);
        List<String> brought = drawn.certain().stream()
                .map(id -> first(
                        from.stream()
                                .filter(a -> a.condition().equals(id))
                                .findFirst()
                                .orElseThrow(),
                        drawn))
                .distinct()
                .toList();
        return new PracticeCase(
                level,
                seed,
                drawn,
                brought,
                brought.stream().mapToDouble(PracticeCase::dayOf).max().orElse(0) + 1);
    }

    /** What is seen first of something it has; of what is seen on one day the commonest. */
    private static String first(Appearances.Appearance of, DrawnCase drawn) {
        return of.looks().keySet().stream()
                .filter(drawn::isSeen)
                .min(Comparator.comparingDouble((String look) -> dayOf(look))
                        .thenComparingDouble(look -> -of.looks().get(look)))
                .orElseThrow();
    }

    /**
     * Too much alkali all through: no table draws it, for it is a matter of masses; here a fat was weighed short, and
     * the log has it.
     */
    private static final Appearances.Appearance LYE_HEAVY = new Appearances.Appearance(
            "lye-heavy",
            60,
            "",
            Map.of("brittle", .7, "thick-crust", .35, "crust-grows", .3, "skin-tight", .3, "zap", .9));

    /** From which day on a look means something. */
    static double dayOf(String look) {
        Appearances.Background background = TABLES.background().get(look);
        return background == null
                ? Findings.find(look).map(f -> f.from().toMinutes() / 1440.0).orElse(0.0)
                : background.day();
    }

    /** Whether anybody can look for it. */
    static boolean isLook(String look) {
        return TABLES.background().containsKey(look);
    }

    /** Looks that are only asked about where another is seen. */
    static List<String> onlyWith(String look) {
        return TABLES.background().get(look).onlyWith();
    }

    static Set<String> looks() {
        return TABLES.background().keySet();
    }

    /** What it has, by ids. */
    public Set<String> conditions() {
        return drawn.conditions();
    }
}
