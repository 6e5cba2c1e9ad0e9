package io.causticon.core.workshop.dates;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.science.cure.CureDates;
import io.causticon.core.science.cure.Readiness;
import io.causticon.core.science.cure.Staleness;
import io.causticon.core.science.diagnosis.evidence.CalmWashes;
import io.causticon.core.science.diagnosis.evidence.FreeAlkali;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What is to be done with a batch and when, from its recipe's schedule and from what was done already. */
public final class Tasks {

    private static final Duration WEEK = Duration.ofDays(7);
    private static final Duration CUT_AFTER_UNMOULDING = Duration.ofHours(2);
    private static final int MOST_WEIGHINGS = 4;

    private Tasks() {}

    /** What kind of thing is to be done. */
    public enum Kind {
        UNMOULD,
        CUT,
        WASH_TEST,
        /** With another bar, where nobody titrated. */
        WASH_AGAIN,
        WEIGH,
        RELEASE,
        /** For stale spots, on bars that are still there. */
        LOOK
    }

    /**
     * One thing to do.
     *
     * @param kind what
     * @param due when it is proposed
     * @param done when it was done, if it was
     */
    public record Task(Kind kind, Instant due, Optional<Instant> done) {

        public boolean isOpen() {
            return done.isEmpty();
        }
    }

    /**
     * The dates that a batch is known by.
     *
     * @param poured when it was poured, or is expected to be
     * @param unmoulded when it left the mould, or is expected to
     * @param ready when it may be called ready at the earliest
     * @param tasks everything, in the order of its dates, once the batch is poured; nothing before
     */
    public record Milestones(Instant poured, Instant unmoulded, Instant ready, List<Task> tasks) {

        public Milestones {
            tasks = List.copyOf(tasks);
        }
    }

    /** All of them at once: each follows from the one before, and whoever writes a line down waits for them. */
    public static Milestones milestones(BatchPlan plan, BatchLog log) {
        CureDates dates = CureDates.of(plan, log);
        Instant ready = ready(plan, log, dates);
        return new Milestones(dates.poured(), dates.unmoulded(), ready, tasks(plan, log, dates.unmoulded(), ready));
    }

    /** When the batch was poured, or is expected to be. */
    public static Instant poured(BatchPlan plan, BatchLog log) {
        return CureDates.of(plan, log).poured();
    }

    /** When it left the mould, or is expected to. */
    public static Instant unmoulded(BatchPlan plan, BatchLog log) {
        return CureDates.of(plan, log).unmoulded();
    }

    /** When it may be called ready at the earliest: its bars' weighings move that. */
    public static Instant ready(BatchPlan plan, BatchLog log) {
        return ready(plan, log, CureDates.of(plan, log));
    }

    private static Instant ready(BatchPlan plan, BatchLog log, CureDates dates) {
        return log.first(Entry.BarWeighed.class).isEmpty()
                ? dates.oldEnough()
                : Readiness.of(plan, log).ready();
    }

    /** Everything, in the order of its dates, once the batch is poured; nothing before. */
    public static List<Task> of(BatchPlan plan, BatchLog log) {
        return milestones(plan, log).tasks();
    }

    private static List<Task> tasks(BatchPlan plan, BatchLog log, Instant unmoulded, Instant ready) {
        if (log.first(Entry.Poured.class).isEmpty()) {
            return List.of();
        }
        List<Task> tasks = new ArrayList<>();
        Optional<Instant> cut = log.first(Entry.Cut.class).map(c -> c.at());
        tasks.add(new Task(
                Kind.UNMOULD,
                unmoulded,
                log.first(Entry.Unmoulded.class).map(u -> u.at()).or(() -> cut)));
        tasks.add(new Task(Kind.CUT, unmoulded.plus(CUT_AFTER_UNMOULDING), cut));
        tasks.add(firstWash(plan, log, unmoulded));
        secondWash(plan, log, unmoulded).ifPresent(tasks::add);
        weighings(log, unmoulded, ready, tasks);
        Optional<Instant> released =
                Life.of(log) == Life.READY ? log.last(Entry.Released.class).map(r -> r.at()) : Optional.empty();
        tasks.add(new Task(Kind.RELEASE, ready, released));
        if (released.isPresent()) {
            // Nobody catches up on weighings of what is released.
            tasks.removeIf(Task::isOpen);
            Staleness.of(plan, log)
                    .flatMap(s -> s.nextLook(log))
                    .ifPresent(look -> tasks.add(new Task(Kind.LOOK, look, Optional.empty())));
        }
        return tasks;
    }

    /** As soon as skin may meet it; a wash before that tells of its age, and is due all the same. */
    private static Task firstWash(BatchPlan plan, BatchLog log, Instant unmoulded) {
        BatchFacts facts = BatchFacts.of(plan, log, unmoulded);
        Instant due =
                facts.oldEnoughForSkin().filter(old -> old.isAfter(unmoulded)).orElse(unmoulded);
        Optional<Instant> done = log.of(Entry.WashTested.class)
                .map(w -> w.at())
                .filter(facts::isTestOnSkin)
                .findFirst();
        return new Task(Kind.WASH_TEST, due, done);
    }

    /** After a calm one, and where no titration makes it needless. */
    private static Optional<Task> secondWash(BatchPlan plan, BatchLog log, Instant unmoulded) {
        BatchFacts facts = BatchFacts.of(plan, log, unmoulded);
        return CalmWashes.secondFrom(facts)
                .filter(due -> FreeAlkali.of(facts).isEmpty())
                .map(due -> new Task(Kind.WASH_AGAIN, due, CalmWashes.second(facts)));
    }

    /** A weighing a week while it cures; a weighing within half a week counts. */
    private static void weighings(BatchLog log, Instant unmoulded, Instant ready, List<Task> tasks) {
        Instant due = unmoulded.plus(WEEK);
        for (int week = 1; week <= MOST_WEIGHINGS && due.isBefore(ready); week++) {
            Instant from = due.minus(WEEK.dividedBy(2));
            Instant to = due.plus(WEEK.dividedBy(2));
            Optional<Instant> done = log.of(Entry.BarWeighed.class)
                    .map(b -> b.at())
                    .filter(at -> !at.isBefore(from) && at.isBefore(to))
                    .findFirst();
            tasks.add(new Task(Kind.WEIGH, due, done));
            due = due.plus(WEEK);
        }
    }
}
