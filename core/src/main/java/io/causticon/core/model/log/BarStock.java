package io.causticon.core.model.log;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * How many bars a batch has and where they went, and which of them are set apart.
 *
 * @param cut how many there were; 0 before the cut
 * @param gone how many went where
 * @param apart bars that are set apart and were not brought back, in the order of their lines
 */
public record BarStock(int cut, Map<Whither, Integer> gone, List<Entry.SetApart> apart) {

    private static final String FIELD = "quick";

    public BarStock {
        gone = Map.copyOf(gone);
        apart = List.copyOf(apart);
    }

    public static BarStock of(BatchLog log) {
        Map<Whither, Integer> gone = new EnumMap<>(Whither.class);
        List<Entry.SetApart> apart = new ArrayList<>();
        for (LoggedEntry line : log.entries()) {
            if (line.entry() instanceof Entry.BarsWent went) {
                gone.merge(went.where(), Bars.count(went.on()), Integer::sum);
            } else if (line.entry() instanceof Entry.SetApart set) {
                apart.add(set);
            } else if (line.entry() instanceof Entry.BroughtBack back) {
                apart.removeIf(a -> covers(back.on(), a.on()));
            }
        }
        int cut = log.of(Entry.Cut.class).mapToInt(c -> c.entry().bars()).sum();
        return new BarStock(cut, gone, apart);
    }

    /** Whether the second are all among the first. */
    private static boolean covers(Bars all, Bars some) {
        boolean portion = all.portion() == null
                ? some.portion() == null
                : some.portion() != null
                        && all.portion().isCalled(some.portion().name());
        return portion
                && (all.numbers().isEmpty()
                        || all.numbers().containsAll(some.numbers())
                                && !some.numbers().isEmpty());
    }

    /** What is still on the rack, where it was cut; never less than none. */
    public int left() {
        return Math.max(0, cut - gone.values().stream().mapToInt(n -> n).sum());
    }

    public int count(Whither where) {
        return gone.getOrDefault(where, 0);
    }

    /** Those that are set apart and may be among these. */
    public Optional<Entry.SetApart> apart(Bars bars) {
        return apart.stream().filter(a -> meets(a.on(), bars)).findFirst();
    }

    /** Where a cup is set apart, bars of which nobody says the cup may be of it. */
    private static boolean meets(Bars one, Bars other) {
        boolean portion = one.portion() == null
                || other.portion() == null
                || one.portion().isCalled(other.portion().name());
        return portion && (one.numbers().isEmpty() || other.numbers().stream().anyMatch(one.numbers()::contains));
    }

    /** Bars that may be given to somebody: those that stand apart by their numbers are none. */
    private int free() {
        return left()
                - apart.stream()
                        .filter(a -> !a.on().numbers().isEmpty())
                        .mapToInt(a -> a.on().count())
                        .sum();
    }

    /**
     * What keeps an entry from the log of this batch: nobody is given what is held or set apart, or bars that there are
     * not. The field is always {@code quick}.
     */
    public static Problems of(Entry entry, BatchLog log) {
        Problems problems = new Problems();
        if (entry instanceof Entry.BarsWent went) {
            BarStock stock = of(log);
            if (went.where().isAway() && Life.isHeld(log)) {
                problems.add(FIELD, ProblemKey.HELD_NOT_GIVEN);
            } else if (went.where().isAway() && stock.apart(went.on()).isPresent()) {
                problems.add(
                        FIELD,
                        ProblemKey.APART_NOT_GIVEN,
                        stock.apart(went.on()).orElseThrow().reason());
            } else {
                int most = Math.max(0, went.where().isAway() ? stock.free() : stock.left());
                if (Bars.count(went.on()) > most) {
                    problems.add(
                            FIELD,
                            stock.cut() == 0 ? ProblemKey.NOT_CUT_YET : ProblemKey.NOT_SO_MANY_BARS,
                            Bars.count(went.on()),
                            most);
                }
            }
        }
        return problems;
    }
}
