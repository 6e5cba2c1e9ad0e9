package io.causticon.core.science.draw;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Temperature;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;

/**
 * A batch that has one condition for certain, others by chance, and shows of each what it happens to show: of the
 * certain one at least one look, for nobody opens a case of what cannot be seen.
 */
public final class DrawnCase {

    private static final Instant BEGUN = Instant.parse("2025-02-01T10:00:00Z");

    /** A case is asked about when its last look was taken, and not before bars are washed with. */
    private static final double FIRST_ASKED_DAY = 9;

    /** How often a wash burns, and how often what is titrated holds liquor, 0 to 1. */
    private static final Map<String, Double> BURNS =
            Map.of("lye-heavy", .95, "lye-pockets", .45, "separation", .3, "hidden-liquor", .35, "sensitive-skin", .3);

    private static final double LEAST_OF_A_SHORT_FAT = .7;
    private static final int BARS = 8;

    /** Free alkali where liquor is met, per cent. */
    private static final double MET_PERCENT = .6;

    private static final Map<String, Double> MET =
            Map.of("lye-heavy", .97, "lye-pockets", .4, "separation", .35, "hidden-liquor", .1);

    private final Random random;
    private final Logging logging;
    private final Appearances tables;
    private final DrawnRecipe recipe;
    private final Set<String> conditions = new TreeSet<>();
    private final Set<String> certain = new TreeSet<>();
    private final Set<String> seen = new HashSet<>();
    private final List<LoggedEntry> lines = new ArrayList<>();
    private final boolean burns;
    private final boolean met;
    private final List<LoggedEntry> made;
    private double askedDay = FIRST_ASKED_DAY;

    public DrawnCase(Appearances tables, Appearances.Appearance wanted, Random random, Logging logging) {
        this(tables, wanted, 0, true, random, logging);
    }

    /**
     * @param first what it has for certain; the recipe has what that needs
     * @param more how many others it has for certain, of those that fit the recipe
     * @param others whether it may have still others by chance
     */
    public DrawnCase(
            Appearances tables,
            Appearances.Appearance first,
            int more,
            boolean others,
            Random random,
            Logging logging) {
        this.tables = tables;
        this.random = random;
        this.logging = logging;
        this.recipe = DrawnRecipe.with(first.needs(), random);
        List<Appearances.Appearance> wanted = new ArrayList<>(List.of(first));
        while (wanted.size() <= more) {
            Appearances.Appearance other =
                    tables.all().get(random.nextInt(tables.all().size()));
            if (fits(other, recipe) && !wanted.contains(other)) {
                wanted.add(other);
            }
        }
        wanted.forEach(w -> certain.add(w.condition()));
        conditions.addAll(certain);
        if (others) {
            tables.all().stream()
                    .filter(o -> fits(o, recipe) && random.nextInt(o.onceIn()) == 0)
                    .forEach(o -> conditions.add(o.condition()));
        }
        do {
            draw();
        } while (!wanted.stream().allMatch(w -> w.looks().keySet().stream().anyMatch(seen::contains)));
        this.burns = BURNS.entrySet().stream().anyMatch(e -> conditions.contains(e.getKey()) && chance(e.getValue()));
        this.met = MET.entrySet().stream().anyMatch(e -> conditions.contains(e.getKey()) && chance(e.getValue()));
        make();
        this.made = List.copyOf(lines);
        look();
        test();
    }

    /** Whether a recipe has what a condition needs. */
    private static boolean fits(Appearances.Appearance one, DrawnRecipe recipe) {
        return one.needs().isEmpty() || recipe.has().contains(one.needs());
    }

    private void draw() {
        seen.clear();
        askedDay = FIRST_ASKED_DAY;
        for (Appearances.Appearance there : tables.all()) {
            if (conditions.contains(there.condition())) {
                there.looks().forEach((look, share) -> {
                    if (chance(share)) {
                        seen.add(look);
                        askedDay =
                                Math.max(askedDay, tables.background().get(look).day() + 1);
                    }
                });
            }
        }
        tables.background().forEach((look, background) -> {
            if (background.day() < askedDay && chance(background.anyway())) {
                seen.add(look);
            }
        });
        seen.removeIf(look -> !isAsked(look));
    }

    private boolean isAsked(String look) {
        List<String> onlyWith = tables.background().get(look).onlyWith();
        return onlyWith.isEmpty() || onlyWith.stream().anyMatch(seen::contains);
    }

    private void make() {
        // Too much alkali all through is too little of a fat: the first was weighed short, and nobody noticed.
        boolean isShort = conditions.contains("lye-heavy");
        double first = isShort ? LEAST_OF_A_SHORT_FAT + .13 * random.nextDouble() : 1;
        if (isShort || chance(.75)) {
            Weights planned = Weights.planned(recipe.plan().formula());
            String of = planned.fats().get(0).fat().id();
            planned.fats()
                    .forEach(f -> add(
                            .004,
                            new Entry.Weighed(
                                    Weighable.fat(f.fat().id()),
                                    f.mass().times(f.fat().id().equals(of) ? first : 1),
                                    Tare.TAKEN,
                                    null)));
            planned.liquids()
                    .forEach(l -> add(
                            .008, new Entry.Weighed(Weighable.liquid(l.liquid().id()), l.mass(), Tare.TAKEN, null)));
            add(.008, new Entry.Weighed(Weighable.NAOH, planned.naoh(), Tare.TAKEN, null));
        }
        add(.04, new Entry.LyeIntoFats());
        add(.055, new Entry.StageReached(stage(), null));
        add(.06, new Entry.Poured(Temperature.celsius(recipe.has().contains("cool") ? 31 : 39)));
        Map.of("oven", MouldCare.OVEN, "towel", MouldCare.INSULATED).forEach((had, care) -> {
            if (recipe.has().contains(had)) {
                add(.07, new Entry.Kept(care, null));
            }
        });
        add(.9, new Entry.Cut(BARS));
    }

    private Stage stage() {
        if (conditions.contains("separation") && chance(.6)) {
            return Stage.STREAKS;
        }
        return recipe.has().contains("stiff") ? Stage.THICK : Stage.LIGHT;
    }

    /** What can only be looked at where something else was seen is not asked without it. */
    private void look() {
        tables.background().entrySet().stream()
                .filter(e -> e.getValue().day() < askedDay)
                .forEach(e -> {
                    boolean there = seen.contains(e.getKey());
                    if (isAsked(e.getKey()) && (there || logging != Logging.ONLY_WHAT_IS_ODD)) {
                        add(
                                e.getValue().day(),
                                new Entry.Observed(e.getKey(), there ? Presence.SEEN : Presence.LOOKED_AND_ABSENT));
                    }
                });
    }

    private void test() {
        add(8.1, new Entry.WashTested(burns ? WashFeel.BURNING : WashFeel.CALM));
        if (logging == Logging.ALL_LOOKED_AT) {
            add(8.2, new Entry.Titrated(met ? MET_PERCENT : 0));
        }
    }

    private boolean chance(double share) {
        return random.nextDouble() < share;
    }

    private void add(double day, Entry entry) {
        lines.add(LoggedEntry.first("line" + lines.size(), at(day), "drawn", entry));
    }

    private static Instant at(double day) {
        return BEGUN.plus(Duration.ofSeconds(Math.round(day * 86_400)));
    }

    public BatchPlan plan() {
        return recipe.plan();
    }

    public BatchLog log() {
        return new BatchLog(BEGUN, lines);
    }

    public Instant askedAt() {
        return at(askedDay);
    }

    /** By their ids. */
    public Set<String> conditions() {
        return conditions;
    }

    /** Those of them that were wanted, by their ids. */
    public Set<String> certain() {
        return certain;
    }

    /** What its maker wrote down while it was made, before anybody looked. */
    public List<LoggedEntry> made() {
        return made;
    }

    public static Instant begun() {
        return BEGUN;
    }

    /** A look that is there, by its id. */
    public boolean isSeen(String look) {
        return seen.contains(look);
    }

    /** Whether a wash of it burns. */
    public boolean burns() {
        return burns;
    }

    /** Free alkali that a titration of it finds, per cent NaOH. */
    public double freeAlkaliPercent() {
        return met ? MET_PERCENT : 0;
    }

    /** What its recipe or its making has, in the words of the tables. */
    public Set<String> has() {
        return recipe.has();
    }
}
