package io.causticon.core.workshop.dates;

import io.causticon.core.model.mould.Cutting;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.science.cure.Readiness;
import io.causticon.core.science.cure.Schedule;
import io.causticon.core.science.formula.BatterAmount;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * Backwards from a day on which bars are to be ready: when each batch is to be made at the latest, one after another
 * through the mould there is and the hours at the bench. Days are the workshop's; a proposal, not a promise.
 *
 * @param makings in the order of their days
 * @param missing bars that cannot be ready by then; 0 where all can
 * @param allReady the day on which all of them can be ready, made from today on as fast as mould and bench allow
 */
public record ReadyBy(List<Making> makings, int missing, LocalDate allReady) {

    /** No workshop makes more batches for one day. */
    public static final int MOST_MAKINGS = 60;

    private static final double HOURS_A_DAY = 24;

    public ReadyBy {
        makings = List.copyOf(makings);
    }

    /**
     * What is wanted.
     *
     * @param bars how many, 1 or more
     * @param by the day on which the last is to be ready
     * @param today nothing is made before
     * @param benchHours at the bench on one day, more than 0
     */
    public record Goal(int bars, LocalDate by, LocalDate today, double benchHours) {}

    /**
     * What is to be made.
     *
     * @param bars of one batch
     * @param cureDays from its pour until it is old enough and, nine times out of ten, dry; whole days, rounded up
     * @param mouldDays for which it keeps its mould, whole days, 1 or more
     * @param benchHours that one making takes
     */
    public record Kind(int bars, int cureDays, int mouldDays, double benchHours) {

        /** Of a recipe as it stands; bars are 1 where it has no mould. */
        public static Kind of(BatchPlan plan) {
            Schedule schedule = Schedule.of(plan);
            Instant any = Instant.EPOCH;
            Readiness ready = Readiness.expected(plan);
            Instant poured = any.plus(schedule.bench());
            int cure = days(Duration.between(poured, ready.readyBand().get(1)));
            int bars = plan.mould() == null
                    ? 1
                    : Cutting.of(
                                    plan.mould(),
                                    BatterAmount.of(plan.formula()).mass(),
                                    plan.pouring().thickness())
                            .bars();
            return new Kind(
                    bars,
                    cure,
                    Math.max(1, days(schedule.unmould())),
                    schedule.bench().toMinutes() / 60.0);
        }

        private static int days(Duration span) {
            return (int) Math.ceil(span.toMinutes() / 60.0 / HOURS_A_DAY);
        }
    }

    /**
     * One batch to be made.
     *
     * @param on the latest day
     * @param bars that come of it
     * @param ready when they are ready
     */
    public record Making(LocalDate on, int bars, LocalDate ready) {}

    /** Days on which the mould is taken, both included. */
    public record Taken(LocalDate from, LocalDate to) {

        private boolean meets(LocalDate first, LocalDate last) {
            return !first.isAfter(to) && !last.isBefore(from);
        }
    }

    /**
     * @param taken of the one mould that the recipe is made in; empty where it does not wait for one
     * @param bench hours at the bench that are spoken for, by day
     */
    public static ReadyBy of(Goal goal, Kind kind, List<Taken> taken, List<BenchTaken> bench) {
        int wanted = Math.min(MOST_MAKINGS, (goal.bars() + kind.bars() - 1) / kind.bars());
        List<Making> makings = new ArrayList<>();
        List<Taken> mould = new ArrayList<>(taken);
        List<BenchTaken> hours = new ArrayList<>(bench);
        LocalDate day = goal.by().minusDays(kind.cureDays());
        while (makings.size() < wanted && !day.isBefore(goal.today())) {
            LocalDate last = day.plusDays(kind.mouldDays() - 1L);
            LocalDate on = day;
            if (mould.stream().noneMatch(t -> t.meets(on, last)) && fits(on, goal, kind, hours)) {
                makings.add(new Making(on, kind.bars(), on.plusDays(kind.cureDays())));
                mould.add(new Taken(on, last));
                hours.add(new BenchTaken(on, kind.benchHours()));
            } else {
                day = day.minusDays(1);
            }
        }
        makings.sort(Comparator.comparing(Making::on));
        int missing = Math.max(0, goal.bars() - makings.size() * kind.bars());
        return new ReadyBy(makings, missing, allReady(goal, kind, wanted, taken, bench));
    }

    /** Bench hours of one day. */
    public record BenchTaken(LocalDate on, double hours) {}

    /** A making that is longer than a day at the bench takes a day of its own. */
    private static boolean fits(LocalDate day, Goal goal, Kind kind, List<BenchTaken> hours) {
        double spoken = hours.stream()
                .filter(h -> h.on().equals(day))
                .mapToDouble(BenchTaken::hours)
                .sum();
        return spoken == 0 || spoken + kind.benchHours() <= goal.benchHours();
    }

    private static LocalDate allReady(Goal goal, Kind kind, int wanted, List<Taken> taken, List<BenchTaken> bench) {
        List<Taken> mould = new ArrayList<>(taken);
        List<BenchTaken> hours = new ArrayList<>(bench);
        LocalDate day = goal.today();
        LocalDate made = day;
        for (int n = 0; n < wanted; ) {
            LocalDate on = day;
            LocalDate last = on.plusDays(kind.mouldDays() - 1L);
            if (mould.stream().noneMatch(t -> t.meets(on, last)) && fits(on, goal, kind, hours)) {
                mould.add(new Taken(on, last));
                hours.add(new BenchTaken(on, kind.benchHours()));
                made = on;
                n++;
            } else {
                day = day.plusDays(1);
            }
        }
        return made.plusDays(kind.cureDays());
    }
}
