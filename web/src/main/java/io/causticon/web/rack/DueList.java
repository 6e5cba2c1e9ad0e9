package io.causticon.web.rack;

import io.causticon.core.cure.Tasks;
import io.causticon.core.diagnosis.ConditionReport;
import io.causticon.core.diagnosis.Diagnosis;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.Life;
import io.causticon.core.observation.Spot;
import io.causticon.web.batch.Batch;
import io.causticon.web.casebook.CasebookService;
import io.causticon.web.shared.Formats;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** What is due today: the live batch first, then what is held, then what is late, then what comes within a day. */
final class DueList {

    private static final Duration AHEAD = Duration.ofHours(26);
    private static final Duration FORGOTTEN = Duration.ofDays(30);

    private final CasebookService casebook;
    private final Formats formats;
    private final Instant now;

    DueList(CasebookService casebook, Formats formats, Instant now) {
        this.casebook = casebook;
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
     */
    record Due(String title, String words, String when, String style, String href) {}

    List<Due> of(List<Batch> batches) {
        List<Due> due = new ArrayList<>();
        batches.stream().filter(b -> b.life() == Life.BENCH).forEach(b -> due.add(live(b)));
        batches.stream().filter(Batch::isHeld).forEach(b -> due.add(held(b)));
        List<Dated> dated = new ArrayList<>();
        batches.stream().filter(b -> b.life() != Life.READY && !b.isHeld()).forEach(b -> next(b, dated));
        dated.stream().sorted(Comparator.comparing(Dated::at)).forEach(d -> due.add(d.due()));
        return due;
    }

    private record Dated(Instant at, Due due) {}

    private Due live(Batch batch) {
        String lye = batch.facts(now)
                .lastBefore(Spot.LYE, now)
                .map(t -> "lye " + formats.temperature(t))
                .orElse("weighing");
        String fats = batch.facts(now)
                .lastBefore(Spot.FATS, now)
                .map(t -> ", fats " + formats.temperature(t))
                .orElse("");
        boolean mixing = batch.log().first(Entry.LyeIntoFats.class).isPresent();
        return new Due(
                batch.name() + " is on the bench",
                mixing ? "lye is in, the batter is working" : lye + fats,
                Formats.duration(batch.log().ageAt(now)),
                "live",
                "/bench/" + batch.id());
    }

    private Due held(Batch batch) {
        Diagnosis diagnosis = casebook.examine(batch);
        ConditionReport worst = CasebookService.worst(diagnosis);
        String look = diagnosis.next().stream().findFirst().map(n -> ". " + n.finding().look()).orElse("");
        Instant since = batch.log().last(Entry.Held.class).orElseThrow().at();
        return new Due(
                batch.name() + " is held",
                worst.condition().name() + " " + Formats.probability(worst.probability()) + look,
                "since " + Formats.duration(Duration.between(since, now)),
                "hold",
                "/casebook/" + batch.id());
    }

    /** The first open task of a batch, if it is late or near. */
    private void next(Batch batch, List<Dated> dated) {
        Tasks.of(batch.plan(), batch.log()).stream()
                .filter(Tasks.Task::isOpen)
                .filter(t -> t.due().isBefore(now.plus(AHEAD)) && t.due().isAfter(now.minus(FORGOTTEN)))
                .min(Comparator.comparing(Tasks.Task::due))
                .ifPresent(t -> dated.add(new Dated(t.due(), due(batch, t))));
    }

    private Due due(Batch batch, Tasks.Task task) {
        boolean late = task.due().isBefore(now.minus(Duration.ofHours(12)));
        Duration gap = Duration.between(now, task.due()).abs();
        String when = late ? Formats.duration(gap) + " late" : task.due().isBefore(now) ? "now" : "in " + Formats.duration(gap);
        return new Due(title(batch, task), words(batch, task), when, late ? "late" : "due", "/batch/" + batch.id());
    }

    private static String title(Batch batch, Tasks.Task task) {
        return switch (task.kind()) {
            case UNMOULD -> "Unmould " + batch.name();
            case CUT -> "Cut " + batch.name();
            case WASH_TEST -> "First wash test, " + batch.name();
            case WEIGH -> "Weigh a bar, " + batch.name();
            case RELEASE -> batch.name() + " may be ready";
        };
    }

    private String words(Batch batch, Tasks.Task task) {
        return switch (task.kind()) {
            case UNMOULD -> "only when the sides let go";
            case CUT -> "one to two hours after it left the mould";
            case WASH_TEST -> "your own hands first, 48 h after unmoulding";
            case WEIGH -> batch.log()
                    .last(Entry.BarWeighed.class)
                    .map(b -> "last " + formats.mass(b.entry().mass()))
                    .orElse("the first weighing of its cure");
            case RELEASE -> "the least cure for its kind has passed";
        };
    }
}
