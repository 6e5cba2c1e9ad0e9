package io.causticon.web.exchange.carry;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.said.entry.EntryCheck;
import io.causticon.core.model.said.entry.QuickLine;
import io.causticon.core.model.said.intake.RecipeSheet;
import io.causticon.core.model.said.intake.SheetDays;
import io.causticon.core.model.said.intake.TimeShape;
import io.causticon.web.shared.UnreadableException;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.arrival.ArrivalRow;
import io.causticon.web.store.batch.BatchArrivals;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.document.DocumentFault;
import io.causticon.web.store.document.RowStore;
import io.causticon.web.store.recipe.RecipeService;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * Old batches in somebody's own table: what was made on a day, into how many bars it was cut, what else was written
 * down. A table tells days and no hours: a batch is taken to be poured at noon and cut a day later, and a note in its
 * log says that this is so.
 */
@Component
class SheetBatches {

    private static final Duration UNTIL_THE_CUT = Duration.ofDays(1);
    private static final int LONGEST_NOTE = 1500;

    private final BatchService batches;
    private final BatchArrivals arrivals;
    private final Clock clock;

    SheetBatches(BatchService batches, BatchArrivals arrivals, Clock clock) {
        this.batches = batches;
        this.arrivals = arrivals;
        this.clock = clock;
    }

    /**
     * A batch that was made.
     *
     * @param on the day
     * @param at noon of it
     * @param bars into how many it was cut; null where that is not told
     * @param row where it stands, counted from 1
     */
    record Made(LocalDate on, Instant at, @Nullable Integer bars, int row, List<String> notes) {

        /** The first of its notes that speaks of burning: then it comes held. */
        Optional<String> burning() {
            return notes.stream().filter(QuickLine::speaksOfBurning).findFirst();
        }
    }

    /**
     * What a row tells of a batch.
     *
     * @param made empty where it tells of none, or of one that cannot be taken
     * @param problem why it cannot; empty where there is none
     */
    record Result(Optional<Made> made, String problem) {

        private static final Result NONE = new Result(Optional.empty(), "");
    }

    /**
     * Reads the batches of one table.
     *
     * @param days how its days can be read
     * @param said which of these is meant; may be empty
     */
    Reader reader(List<TimeShape> days, String said, Maker maker) {
        Optional<TimeShape> shape = days.size() == 1
                ? Optional.of(days.get(0))
                : days.stream().filter(d -> d.name().equals(said)).findFirst();
        return new Reader(shape, days.size() > 1, maker);
    }

    /** Reads one row after the other. */
    final class Reader {

        private final Optional<TimeShape> shape;
        private final boolean asks;
        private final Maker maker;

        private Reader(Optional<TimeShape> shape, boolean asks, Maker maker) {
            this.shape = shape;
            this.asks = asks;
            this.maker = maker;
        }

        Result read(RecipeSheet.Found found) {
            RecipeSheet.Making making = found.making();
            if (making.day().isEmpty()) {
                return Result.NONE;
            }
            if (shape.isEmpty()) {
                // Where one day of the column is none, the others still are.
                return asks
                        ? problem("\"" + making.day() + "\" can be two days: say above how days are meant.")
                        : read(found, likeliest(making.day()));
            }
            return read(found, shape);
        }

        private Optional<TimeShape> likeliest(String day) {
            return SheetDays.SHAPES.stream()
                    .filter(s -> SheetDays.read(day, s).isPresent())
                    .findFirst()
                    .filter(s -> SheetDays.shapes(List.of(day)).size() == 1);
        }

        private Result read(RecipeSheet.Found found, Optional<TimeShape> as) {
            RecipeSheet.Making making = found.making();
            Optional<LocalDate> day = as.flatMap(s -> SheetDays.read(making.day(), s));
            if (day.isEmpty()) {
                return problem("\"" + making.day() + "\" is no day that is understood, such as 2024-04-03.");
            }
            Instant noon = day.get().atTime(LocalTime.NOON).atZone(maker.zone()).toInstant();
            Instant now = clock.instant();
            boolean isToCome = day.get().isAfter(LocalDate.ofInstant(now, maker.zone()));
            if (isToCome || !arrivals.canBe(noon)) {
                return problem(day.get() + " is " + (isToCome ? "still to come" : "too long ago for any batch here")
                        + ": is that the day?");
            }
            String bars = making.bars().replaceFirst("[.,]0+$", "");
            if (!bars.isEmpty() && (!bars.matches("\\d{1,5}") || !EntryCheck.BARS.contains(Integer.parseInt(bars)))) {
                return problem("\"" + making.bars() + "\" is no number of bars.");
            }
            // What was made this morning is not made at a noon that is still to come.
            Instant at =
                    noon.isAfter(now) ? day.get().atStartOfDay(maker.zone()).toInstant() : noon;
            return new Result(
                    Optional.of(new Made(
                            day.get(), at, bars.isEmpty() ? null : Integer.valueOf(bars), found.row(), making.notes())),
                    "");
        }

        private static Result problem(String words) {
            return new Result(Optional.empty(), words);
        }
    }

    /**
     * Begins what was made, and keeps account of it. Within a transaction of whoever calls.
     *
     * @param recipes which each was made from
     * @param settled where to tell which batches there are now, also if all of it fails
     * @return how many
     */
    int begin(
            List<SheetFiles.Read> made,
            Map<SheetFiles.Read, RecipeService.Recipe> recipes,
            ArrivalRow from,
            RowStore.Ledger ledger,
            Maker maker,
            List<UUID> settled) {
        for (SheetFiles.Read read : made) {
            Made batch = read.batch().orElseThrow();
            RecipeService.Recipe recipe = recipes.get(read);
            BatchId id = batches.begin(
                    recipe.plan(),
                    recipe.recipe(),
                    recipe.version(),
                    batch.at(),
                    maker.displayName(),
                    maker.zone(),
                    from.id() + "#" + batch.row());
            settled.add(id.value());
            try {
                batches.writeUp(id, lines(batch, from.source()), maker.displayName());
            } catch (UnreadableException e) {
                throw new DocumentFault("Row " + batch.row() + " would be a batch that cannot be worked with: "
                        + e.getMessage() + " Nothing was taken.");
            }
            ledger.noteBatch(id.value());
        }
        return made.size();
    }

    private List<BatchService.Dated> lines(Made batch, String source) {
        List<BatchService.Dated> lines = new ArrayList<>();
        Instant now = clock.instant();
        Instant cut = batch.at().plus(UNTIL_THE_CUT);
        boolean wasCut = cut.isBefore(now);
        String assumed = "From " + source + ", row " + batch.row() + ". The table tells the day alone: "
                + (wasCut ? "noon, and a cut a day later, are" : "the hour is") + " assumed.";
        lines.add(new BatchService.Dated(batch.at(), new Entry.Noted(assumed)));
        batch.notes()
                .forEach(n -> lines.add(new BatchService.Dated(
                        batch.at().plusMillis(lines.size()),
                        new Entry.Noted(n.length() > LONGEST_NOTE ? n.substring(0, LONGEST_NOTE) : n))));
        lines.add(new BatchService.Dated(batch.at().plusMillis(lines.size()), new Entry.Poured(null)));
        if (wasCut) {
            lines.add(new BatchService.Dated(
                    cut, batch.bars() == null ? new Entry.Unmoulded() : new Entry.Cut(batch.bars())));
        }
        // Held from the moment that somebody reads it: nobody held it then.
        batch.burning()
                .ifPresent(n -> lines.add(new BatchService.Dated(
                        now, new Entry.Held("a note of the table it came from speaks of burning"))));
        return lines;
    }

    /** Tells everybody who keeps something of them. */
    void moved(List<UUID> ids) {
        arrivals.moved(ids);
    }
}
