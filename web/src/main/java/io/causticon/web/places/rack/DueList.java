package io.causticon.web.places.rack;

import io.causticon.core.quantity.Mass;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.workshop.dates.Tasks;
import io.causticon.web.places.trial.Panels;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.batch.BatchSummary;
import io.causticon.web.store.batch.Summaries;
import io.causticon.web.store.dates.Makings;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** What is due today: the live batch first, then what is held, then what does not wait, each by its date. */
final class DueList {

    private static final Duration AHEAD = Duration.ofHours(26);
    /** g, as an example. */
    private static final double TYPICAL_BAR = 104.2;

    private static final Duration FORGOTTEN = Duration.ofDays(30);

    /** More than anybody does before she looks again. */
    private static final int AT_ONCE = 12;

    private static final List<Tap> OUT = List.of(new Tap("It is out", "unmoulded", false));
    private static final List<Tap> WASHED = List.of(
            new Tap("calm", "wash calm", false),
            new Tap("tight", "wash tight", false),
            new Tap("burns", "wash burns", true));

    private static final List<Tap> LOOKED = List.of(
            new Tap("clean", "no orange dots that grow over months", false),
            new Tap("orange dots", "see orange dots that grow over months", false),
            new Tap("crayon smell", "see smells of crayons or old paint", false));

    private final Summaries summaries;
    private final Makings makings;
    private final Panels panels;
    private final Formats formats;
    private final Instant now;

    DueList(Summaries summaries, Makings makings, Panels panels, Formats formats, Instant now) {
        this.summaries = summaries;
        this.makings = makings;
        this.panels = panels;
        this.formats = formats;
        this.now = now;
    }

    /**
     * One thing that is due.
     *
     * @param title what
     * @param words why, or how it stands
     * @param when since when or when
     * @param style {@code live}, {@code hold}, {@code late} or {@code due}
     * @param href where it is done
     * @param batch that it is logged to from the list; empty where it is not
     * @param taps what can be logged at a tap
     * @param field words of a field for a weighing; empty where none is asked for
     */
    record Due(
            String title,
            String words,
            String when,
            String style,
            String href,
            String batch,
            List<Tap> taps,
            String field) {

        /** Something that is only opened. */
        Due(String title, String words, String when, String style, String href) {
            this(title, words, when, style, href, "", List.of(), "");
        }
    }

    /** A line of the log, at a tap. */
    record Tap(String words, String line, boolean alarming) {}

    /**
     * What is shown of it.
     *
     * @param due what is on the bench or held, all of it, and the first of the rest
     * @param more how many come behind it
     */
    record Shown(List<Due> due, int more) {

        /** @param all whether nothing is to be left out */
        static Shown of(List<Due> first, List<Due> rest, boolean all) {
            int most = all ? rest.size() : Math.min(rest.size(), AT_ONCE);
            return new Shown(
                    Stream.concat(first.stream(), rest.stream().limit(most)).toList(), rest.size() - most);
        }
    }

    /**
     * @param all whether nothing is to be left out
     * @param toldAbout a batch that something is told about at its place in the list; empty for none
     */
    Shown shown(boolean all, String toldAbout) {
        List<Due> first = new ArrayList<>();
        summaries.onTheBench().forEach(b -> first.add(live(b)));
        summaries.held().forEach(b -> first.add(held(b)));
        return Shown.of(first, rest(), all || !toldAbout.isEmpty());
    }

    private List<Due> rest() {
        List<Due> due = new ArrayList<>();
        makings.until(now.atZone(formats.zone()).toLocalDate()).forEach(m -> due.add(make(m)));
        panels.until(now.plus(AHEAD)).forEach(p -> due.add(panel(p)));
        summaries.due(now.minus(FORGOTTEN), now.plus(AHEAD)).stream()
                .flatMap(b -> next(b).map(t -> new Open(b, t)).stream())
                .sorted(whatDoesNotWaitFirst(now))
                .forEach(o -> due.add(due(o.batch(), o.task())));
        return due;
    }

    /** What is due before what is to come; of each what waits least, and what has waited longest. */
    static Comparator<Open> whatDoesNotWaitFirst(Instant now) {
        return Comparator.comparing((Open o) -> o.task().due().isAfter(now))
                .thenComparingInt(o -> patience(o.task().kind()))
                .thenComparing(o -> o.task().due());
    }

    /** The first open task of a batch. */
    record Open(BatchSummary batch, Tasks.Task task) {}

    /** A loaf does not wait, bars wait for days, and what is looked at once a month for weeks. */
    private static int patience(Tasks.Kind kind) {
        return switch (kind) {
            case UNMOULD, CUT -> 0;
            case WASH_TEST, WASH_AGAIN, WEIGH, RELEASE -> 1;
            case LOOK -> 2;
        };
    }

    private Due make(Makings.Making making) {
        long late =
                ChronoUnit.DAYS.between(making.on(), now.atZone(formats.zone()).toLocalDate());
        String when = late == 0 ? "today" : late == 1 ? "1 day late" : late + " days late";
        return new Due(
                "Make " + making.name(),
                making.bars() + " of " + making.goal(),
                when,
                late > 0 ? "late" : "due",
                "/plan/" + making.recipe());
    }

    /** Wash and grade: after its day it can be made up for until one of them is too old. */
    private Due panel(Panels.Due panel) {
        boolean late = panel.due().isBefore(now.minus(Duration.ofHours(12)));
        Duration gap = Duration.between(now, panel.due()).abs();
        String when = late
                ? "until " + formats.date(panel.closes())
                : panel.due().isBefore(now) ? "now" : "in " + Formats.duration(gap);
        return new Due(
                panel.question(),
                "judge at " + panel.age() + ": " + String.join(", ", panel.arms()),
                when,
                late ? "late" : "due",
                "/trials/" + panel.trial());
    }

    private Due live(BatchSummary batch) {
        String lye = batch.lye().map(t -> "lye " + formats.temperature(t)).orElse("weighing");
        String fats = batch.fats().map(t -> ", fats " + formats.temperature(t)).orElse("");
        return new Due(
                batch.name() + " is on the bench",
                batch.lyeIsIn() ? "lye is in, the batter is working" : lye + fats,
                Formats.duration(batch.ageAt(now)),
                "live",
                "/bench/" + batch.id());
    }

    private Due held(BatchSummary batch) {
        return new Due(
                batch.name() + " is held",
                whyHeld(batch),
                "since " + Formats.duration(Duration.between(batch.heldSince().orElse(now), now)),
                "hold",
                "/casebook/" + batch.id());
    }

    /** What its case says today, where the case held it or would; else what was said when it was held. */
    private static String whyHeld(BatchSummary batch) {
        boolean byItsCase = batch.hazard().probability() >= Diagnosis.CALM_ENOUGH_TO_TOUCH;
        if (!byItsCase && !batch.heldBecause().isEmpty()) {
            return batch.heldBecause();
        }
        String why = batch.hazard().name().isEmpty()
                ? "look at its case"
                : batch.hazard().name() + " "
                        + Formats.probability(batch.hazard().probability());
        return why + (batch.look().isEmpty() ? "" : ". " + batch.look());
    }

    private static Optional<Tasks.Task> next(BatchSummary batch) {
        return batch.tasks().stream().filter(Tasks.Task::isOpen).min(Comparator.comparing(Tasks.Task::due));
    }

    private Due due(BatchSummary batch, Tasks.Task task) {
        boolean late = task.due().isBefore(now.minus(Duration.ofHours(12)));
        Duration gap = Duration.between(now, task.due()).abs();
        String when = late
                ? Formats.duration(gap) + " late"
                : task.due().isBefore(now) ? "now" : "in " + Formats.duration(gap);
        boolean comes = !late && task.due().isAfter(now);
        boolean wash = task.kind() == Tasks.Kind.WASH_TEST || task.kind() == Tasks.Kind.WASH_AGAIN;
        List<Tap> taps = comes && wash
                ? List.of()
                : switch (task.kind()) {
                    case UNMOULD -> OUT;
                    case WASH_TEST, WASH_AGAIN -> WASHED;
                    case LOOK -> LOOKED;
                    case CUT, WEIGH, RELEASE -> List.of();
                };
        String field = task.kind() == Tasks.Kind.WEIGH ? "bar 3 " + formats.mass(Mass.grams(TYPICAL_BAR)) : "";
        return new Due(
                title(batch, task),
                words(batch, task),
                when,
                late ? "late" : "due",
                where(batch, task),
                batch.id().toString(),
                taps,
                field);
    }

    /** Where it is done. */
    private static String where(BatchSummary batch, Tasks.Task task) {
        return switch (task.kind()) {
            case UNMOULD, CUT -> "/bench/" + batch.id() + "?step=out";
            case WASH_TEST, WASH_AGAIN, WEIGH, RELEASE, LOOK -> "/batch/" + batch.id() + "/cure";
        };
    }

    private static String title(BatchSummary batch, Tasks.Task task) {
        return switch (task.kind()) {
            case UNMOULD -> "Unmould " + batch.name();
            case CUT -> "Cut " + batch.name();
            case WASH_TEST -> "First wash test, " + batch.name();
            case WASH_AGAIN -> "Second wash test, " + batch.name();
            case WEIGH -> "Weigh a bar, " + batch.name();
            case RELEASE -> batch.name() + " may be ready";
            case LOOK -> "Look for stale spots, " + batch.name();
        };
    }

    private String words(BatchSummary batch, Tasks.Task task) {
        return switch (task.kind()) {
            case UNMOULD -> "only when the sides let go";
            case CUT -> "one to two hours after it left the mould";
            case WASH_TEST -> "your own hands first, two days after the lye and out of the mould";
            case WASH_AGAIN -> "with another bar: one hand may feel nothing of it";
            case WEIGH -> batch.lastBar().map(m -> "last " + formats.mass(m)).orElse("the first weighing of its cure");
            case RELEASE -> "old enough for its kind, and dry where bars were weighed";
            case LOOK -> "by its fats, what is left over and the warmth it may begin now; smell it, too";
        };
    }
}
