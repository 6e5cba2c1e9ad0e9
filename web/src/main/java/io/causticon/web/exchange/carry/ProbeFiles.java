package io.causticon.web.exchange.carry;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.said.intake.CurveThinning;
import io.causticon.core.model.said.intake.LoggerGuess;
import io.causticon.core.model.said.intake.LoggerShape;
import io.causticon.core.model.said.intake.LoggerShape.Reading;
import io.causticon.core.model.said.notation.Units;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.arrival.ArrivalRow;
import io.causticon.web.store.arrival.ArrivedLines;
import io.causticon.web.store.arrival.KnownTables;
import io.causticon.web.store.arrival.LaidAside;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchArrivals;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.document.DocumentFault;
import io.causticon.web.store.document.RowStore;
import java.io.InputStream;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Readings of a probe that another instrument wrote down: guessed at, shown, corrected, and taken as so few lines of
 * the log as tell the curve.
 */
@Service
class ProbeFiles {

    /** Lines of a log, not of a file: more would tell the strip nothing. */
    static final int MOST_KEPT = 150;

    private static final int FIRST_LINES = 60;
    private static final int SHOWN = 6;
    private static final int PROBLEMS_SHOWN = 5;

    /** Some put the probe into the pot before they begin to write. */
    private static final Duration BEFORE = Duration.ofHours(2);

    /** The same reading, written down twice. */
    private static final double SAME_KELVIN = 0.06;

    private final LaidAside laidAside;
    private final KnownTables known;
    private final BatchService batches;
    private final BatchArrivals arrivals;
    private final ArrivedLines lines;
    private final RowStore store;
    private final TransactionTemplate transaction;
    private final Clock clock;

    ProbeFiles(
            LaidAside laidAside,
            KnownTables known,
            BatchService batches,
            BatchArrivals arrivals,
            ArrivedLines lines,
            RowStore store,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.laidAside = laidAside;
        this.known = known;
        this.batches = batches;
        this.arrivals = arrivals;
        this.lines = lines;
        this.store = store;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /** @throws DocumentFault if it is no table of text */
    UUID lay(UUID batch, InputStream in, String source, Maker maker) {
        batches.get(new BatchId(batch));
        return laidAside.lay(in, source, maker.displayName(), ArrivalRow.Kind.PROBE, batch, file -> {
            if (new TableLines(file).first(2).isEmpty()) {
                throw new DocumentFault("The file is empty.");
            }
        });
    }

    /**
     * A file as it is understood.
     *
     * @param arrival what came
     * @param shape how it is read; null where no guess fits
     * @param heading names of its columns
     * @param first its first lines, divided
     * @param told what it comes to
     */
    record View(
            ArrivalRow arrival,
            @Nullable LoggerShape shape,
            List<String> heading,
            List<List<String>> first,
            Told told) {}

    /**
     * What a file comes to.
     *
     * @param readings lines that are one
     * @param outside readings before the batch or after now
     * @param doubles kept readings that the log has already
     * @param kept those that become lines of the log
     * @param toleranceKelvin how far the others lie from the lines between them at most
     * @param bad lines that are none
     * @param problems the first of them, in words
     */
    record Told(
            long readings,
            long outside,
            int doubles,
            List<Reading> kept,
            double toleranceKelvin,
            long bad,
            List<String> problems) {

        static final Told NOTHING = new Told(0, 0, 0, List.of(), 0, 0, List.of());

        boolean isEmpty() {
            return kept.isEmpty();
        }
    }

    /**
     * @param of the batch it is about
     * @param asked how it is to be read; empty to guess
     * @throws NotFoundException if nothing of this name waits for this batch
     */
    View look(UUID id, UUID of, Map<String, String> asked, Maker maker) {
        ArrivalRow row = laidAside.waiting(id, ArrivalRow.Kind.PROBE);
        if (!of.equals(row.about())) {
            throw new NotFoundException("arrival " + id);
        }
        Batch batch = batches.get(new BatchId(of));
        TableLines lines = new TableLines(laidAside.file(row));
        List<String> first = lines.first(FIRST_LINES);
        char delimiter = LoggerGuess.delimiter(first, d -> divided(lines, d));
        List<List<String>> rowsOfIt = divided(lines, delimiter);
        LoggerGuess.Known around = new LoggerGuess.Known(
                batch.log().begun(),
                clock.instant(),
                maker.zone(),
                maker.units().temperature() == Units.TemperatureUnit.FAHRENHEIT);
        Optional<LoggerShape> guess = LoggerGuess.of(delimiter, rowsOfIt, around);
        List<String> heading = guess.filter(g -> g.heading() >= 0)
                .map(g -> rowsOfIt.get(g.heading()))
                .orElse(List.of());
        Map<String, String> said = asked.isEmpty() ? known.of(heading) : asked;
        LoggerShape shape = guess.map(g ->
                        ProbeForm.corrected(g, said, maker.zone(), batch.log().begun(), clock.instant()))
                .orElse(null);
        int from = shape == null ? 0 : Math.max(0, shape.heading());
        List<List<String>> shown =
                rowsOfIt.subList(Math.min(from, rowsOfIt.size()), Math.min(rowsOfIt.size(), from + SHOWN));
        return new View(row, shape, heading, shown, shape == null ? Told.NOTHING : told(lines, shape, batch));
    }

    private static List<List<String>> divided(TableLines lines, char delimiter) {
        List<List<String>> all = new ArrayList<>();
        lines.each(delimiter, (number, cells) -> {
            all.add(cells);
            return all.size() < FIRST_LINES;
        });
        return all;
    }

    /** Reads all of it, remembering few. */
    private Told told(TableLines lines, LoggerShape shape, Batch batch) {
        CurveThinning thinning = new CurveThinning(MOST_KEPT);
        Instant from = batch.log().begun().minus(BEFORE);
        Instant to = clock.instant();
        long[] counts = new long[3];
        List<String> problems = new ArrayList<>();
        int[] record = {-1};
        lines.each(shape.delimiter(), (number, cells) -> {
            record[0]++;
            if (record[0] <= shape.heading() || cells.stream().allMatch(String::isBlank)) {
                return true;
            }
            LoggerShape.Line line = shape.read(cells);
            if (line.reading().isEmpty()) {
                counts[2]++;
                if (problems.size() < PROBLEMS_SHOWN) {
                    problems.add("Line " + number + ": " + line.problem() + ".");
                }
                return true;
            }
            Reading reading = line.reading().get();
            if (reading.at().isBefore(from) || reading.at().isAfter(to)) {
                counts[1]++;
            } else {
                counts[0]++;
                thinning.add(reading);
            }
            return true;
        });
        List<Reading> kept = thinning.kept();
        Set<Long> before = batch.log()
                .of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == shape.spot())
                .map(t -> key(t.at(), t.entry().temperature().celsius()))
                .collect(Collectors.toSet());
        List<Reading> fresh = kept.stream()
                .filter(r -> !before.contains(key(r.at(), r.temperature().celsius())))
                .toList();
        return new Told(
                counts[0],
                counts[1],
                kept.size() - fresh.size(),
                fresh,
                thinning.toleranceKelvin(),
                counts[2],
                problems);
    }

    /** The second and the twentieth of a kelvin. */
    private static Long key(Instant at, double celsius) {
        return at.getEpochSecond() * 10_000 + Math.round(celsius / SAME_KELVIN);
    }

    /**
     * Takes the readings into the log, all of them or none.
     *
     * @throws DocumentFault if there is nothing to take
     */
    void take(UUID id, UUID batch, Map<String, String> asked, Maker maker) {
        View view = look(id, batch, asked, maker);
        LoggerShape shape = view.shape();
        if (shape == null || view.told().isEmpty()) {
            throw new DocumentFault("There is no reading in it to take.");
        }
        try {
            transaction.executeWithoutResult(t -> {
                laidAside.tell(laidAside.take(id), sentence(view.told(), shape.spot(), maker.formats()));
                RowStore.Ledger ledger = store.ledger(id);
                view.told()
                        .kept()
                        .forEach(r -> ledger.add(
                                lines.line(
                                        batch, new Entry.TemperatureRead(shape.spot(), r.temperature()), r.at(), maker),
                                name -> new byte[0]));
                arrivals.settle(batch).forEach(ledger::noteLine);
                known.remember(view.heading(), ProbeForm.said(shape));
            });
        } finally {
            arrivals.moved(List.of(batch));
        }
        laidAside.discard(view.arrival());
    }

    private static String sentence(Told told, MeasurementPoint spot, Formats formats) {
        return told.kept().size() + " of " + told.readings() + " readings of the "
                + spot.name().toLowerCase(java.util.Locale.ROOT) + ", "
                + formats.moment(told.kept().get(0).at()) + " to "
                + formats.moment(told.kept().get(told.kept().size() - 1).at()) + ".";
    }

    /** What was taken of probes for a batch, the latest first. */
    List<ArrivalRow> of(UUID batch) {
        return laidAside.takenFor(batch);
    }
}
