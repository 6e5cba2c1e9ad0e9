package io.causticon.web.store.batch;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.AsWeighed;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.core.workshop.assessment.Hold;
import io.causticon.core.workshop.dates.Tasks;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Writes what is known of a batch into its row for lists, and reads it from there. */
final class SummaryCodec {

    /** Of the form of a row; what the program knows moves its fingerprint. */
    static final int VERSION = 8;

    private static final int LONGEST_WORDS = 2000;
    private static final int LONGEST_LOOK = 400;
    private static final int LONGEST_NAME = 80;
    private static final int LONGEST_REASON = 200;
    private static final int LONGEST_FINGERPRINT = 4000;

    private SummaryCodec() {}

    static void write(SummaryRow row, Batch batch, int logVersion, Assessment judged, String fingerprint, Instant now) {
        BatchPlan plan = batch.plan();
        Tasks.Milestones dates = judged.dates();
        List<Tasks.Task> tasks = batch.life() == Life.ABANDONED ? List.of() : dates.tasks();
        row.batchId = batch.id().value();
        row.logVersion = logVersion;
        row.madeWith = VERSION;
        row.madeAt = now;
        row.problem = "";
        row.code = batch.code();
        row.name = batch.name();
        row.begunAt = batch.log().begun();
        row.life = judged.life().name();
        row.state = judged.state().name();
        row.fingerprint = shortened(fingerprint, LONGEST_FINGERPRINT);
        row.purpose = batch.purpose().name();
        row.held = judged.isHeld();
        row.heldSince = judged.hold().map(Hold::since).orElse(null);
        row.heldBecause =
                judged.hold().map(h -> shortened(h.because(), LONGEST_REASON)).orElse("");
        row.pouredAt = dates.poured();
        row.unmouldedAt = dates.unmoulded();
        row.readyAt = dates.ready();
        row.tasks = tasks.stream().map(SummaryCodec::task).collect(Collectors.joining(";"));
        row.nextDue = tasks.stream()
                .filter(Tasks.Task::isOpen)
                .map(Tasks.Task::due)
                .min(Comparator.naturalOrder())
                .orElse(null);
        row.mould = plan.mould() == null ? "" : plan.mould().name();
        row.fatGrams = plan.formula().fatMass().grams();
        row.bars = batch.log().last(Entry.Cut.class).map(c -> c.entry().bars()).orElse(0);
        row.lastBarGrams = batch.log()
                .last(Entry.BarWeighed.class)
                .map(b -> b.entry().mass().grams())
                .orElse(null);
        row.lyeCelsius = lastRead(batch, MeasurementPoint.LYE);
        row.fatsCelsius = lastRead(batch, MeasurementPoint.FATS);
        row.lyeIsIn = batch.log().first(Entry.LyeIntoFats.class).isPresent();
        row.wasPoured = batch.log().first(Entry.Poured.class).isPresent();
        row.lyeVessel = name(plan.lyeVessel());
        row.fatsVessel = name(plan.fatsVessel());
        row.words = shortened(words(batch, row.mould), LONGEST_WORDS);
        Likely leading = judged.examined()
                .flatMap(e -> e.diagnosis().leading())
                .map(Likely::of)
                .orElse(Likely.NOTHING);
        Likely hazard = judged.worstHazard().map(Likely::of).orElse(Likely.NOTHING);
        row.leading = shortened(leading.name(), LONGEST_NAME);
        row.leadingProbability = leading.probability();
        row.hazard = shortened(hazard.name(), LONGEST_NAME);
        row.hazardProbability = hazard.probability();
        row.look = shortened(
                judged.examined()
                        .flatMap(e -> e.diagnosis().next().stream().findFirst())
                        .map(n -> n.finding().look())
                        .orElse(""),
                LONGEST_LOOK);
    }

    /** Of a batch that cannot be worked with: what it is called, and why. */
    static void write(SummaryRow row, UnreadableBatch broken, Instant begun, int logVersion, Instant now) {
        row.batchId = broken.id().value();
        row.logVersion = logVersion;
        row.madeWith = VERSION;
        row.madeAt = now;
        row.problem = shortened(broken.why(), 300);
        row.code = broken.code();
        row.name = broken.name();
        row.begunAt = begun.isAfter(now) || begun.isBefore(Instant.EPOCH) ? now : begun;
        // Nobody can say that it is safe.
        row.state = Assessment.State.NOT_JUDGED.name();
        row.fingerprint = "";
        row.held = false;
        row.heldSince = null;
        row.heldBecause = "";
        row.nextDue = null;
        row.words = shortened((broken.name() + " " + broken.code()).toLowerCase(Locale.ROOT), LONGEST_WORDS);
    }

    static BatchSummary read(SummaryRow row) {
        return new BatchSummary(
                new BatchId(row.batchId),
                row.code,
                row.name,
                row.problem,
                row.begunAt,
                Life.valueOf(row.life),
                Assessment.State.valueOf(row.state),
                Purpose.valueOf(row.purpose),
                Optional.ofNullable(row.heldSince),
                row.heldBecause,
                row.pouredAt,
                row.unmouldedAt,
                row.readyAt,
                tasks(row.tasks),
                row.mould,
                Mass.grams(row.fatGrams),
                row.bars,
                Optional.ofNullable(row.lastBarGrams).map(Mass::grams),
                Optional.ofNullable(row.lyeCelsius).map(Temperature::celsius),
                Optional.ofNullable(row.fatsCelsius).map(Temperature::celsius),
                row.lyeIsIn,
                new Likely(row.leading, row.leadingProbability),
                new Likely(row.hazard, row.hazardProbability),
                row.look);
    }

    private static @Nullable Double lastRead(Batch batch, MeasurementPoint spot) {
        return batch.log()
                .of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == spot)
                .reduce((earlier, later) -> later)
                .map(t -> t.entry().temperature().celsius())
                .orElse(null);
    }

    /** What it is found by: what it is called, and all that went in, by name and lot. */
    private static String words(Batch batch, String mould) {
        Formula formula = batch.plan().formula();
        Rework rework = batch.plan().rework();
        return Stream.of(
                        Stream.of(batch.name(), batch.code(), mould),
                        formula.fats().stream().map(f -> f.fat().name()),
                        formula.fats().stream().flatMap(f -> Stream.ofNullable(f.lot())),
                        rework == null
                                ? Stream.<String>empty()
                                : rework.scraps().stream().map(s -> s.name() + " " + s.id()),
                        batch.log()
                                .of(Entry.Added.class)
                                .flatMap(a -> Stream.ofNullable(a.entry().lot())),
                        batch.log()
                                .of(Entry.Added.class)
                                .map(a -> a.entry().what().name()),
                        AsWeighed.sums(batch.log()).keySet().stream()
                                .map(w -> batch.names().of(w)),
                        batch.plan().pouring().portioning().portions().stream()
                                .flatMap(p -> Stream.concat(
                                        p.additives().stream()
                                                .map(a -> a.additive().name()),
                                        p.liquids().stream().map(l -> l.liquid().name()))),
                        formula.additives().stream().map(a -> a.additive().name()),
                        formula.liquidParts().stream().map(l -> l.liquid().name()))
                .flatMap(w -> w)
                .collect(Collectors.joining(" "))
                .toLowerCase(Locale.ROOT);
    }

    private static String name(@Nullable Vessel vessel) {
        return vessel == null ? "" : shortened(vessel.name(), 60);
    }

    private static String task(Tasks.Task task) {
        return task.kind() + " " + task.due().toEpochMilli()
                + task.done().map(d -> " " + d.toEpochMilli()).orElse("");
    }

    private static List<Tasks.Task> tasks(String written) {
        List<Tasks.Task> tasks = new ArrayList<>();
        for (String one : written.isEmpty() ? new String[0] : written.split(";")) {
            String[] parts = one.split(" ");
            tasks.add(new Tasks.Task(
                    Tasks.Kind.valueOf(parts[0]),
                    Instant.ofEpochMilli(Long.parseLong(parts[1])),
                    parts.length > 2 ? Optional.of(Instant.ofEpochMilli(Long.parseLong(parts[2]))) : Optional.empty()));
        }
        return tasks;
    }

    private static String shortened(String text, int longest) {
        return text.length() <= longest ? text : text.substring(0, longest);
    }
}
