package io.causticon.web.store.batch;

import io.causticon.core.model.log.Entry;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.UnreadableException;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;

/**
 * Batches that come whole from elsewhere, or go again: what is looked at before, and what follows from their logs here.
 */
@Service
public class BatchArrivals {

    /** Clocks differ. */
    private static final Duration ASIDE = Duration.ofDays(1);

    private final BatchService batches;
    private final EntryCodec entries;
    private final PlanCodec plans;
    private final BatchStore store;
    private final JdbcTemplate jdbc;
    private final EntityManager rows;
    private final LogFollowers followers;
    private final Clock clock;

    BatchArrivals(
            BatchService batches,
            EntryCodec entries,
            PlanCodec plans,
            BatchStore store,
            JdbcTemplate jdbc,
            EntityManager rows,
            LogFollowers followers,
            Clock clock) {
        this.batches = batches;
        this.entries = entries;
        this.plans = plans;
        this.store = store;
        this.jdbc = jdbc;
        this.rows = rows;
        this.followers = followers;
        this.clock = clock;
    }

    /** Why a plan cannot be worked with here; empty if it can. */
    public Optional<String> faultOfPlan(String kept) {
        try {
            plans.read(kept);
            return Optional.empty();
        } catch (ProblemsException e) {
            return Optional.of("holds what no plan can: " + e.problems().get(0).field());
        } catch (PlanCodec.UnknownField e) {
            return Optional.of(e.getMessage());
        } catch (RuntimeException e) {
            // Whatever is wrong with the text.
            return Optional.of("cannot be understood");
        }
    }

    /** Whether a moment can be one of a batch. */
    public boolean canBe(Instant at) {
        return at.isAfter(Instant.EPOCH) && at.isBefore(clock.instant().plus(ASIDE));
    }

    /** How a line stands here. */
    public enum Line {
        UNDERSTOOD,
        /** It counts for nothing, as it did where it comes from. */
        DAMAGED,
        /** It says what only a newer program knows: to leave it out could let go what is held. */
        FROM_THE_FUTURE
    }

    public Line line(String kept) {
        if (EntryCodec.isFromTheFuture(kept)) {
            return Line.FROM_THE_FUTURE;
        }
        return entries.read(kept) instanceof Entry.Unreadable ? Line.DAMAGED : Line.UNDERSTOOD;
    }

    /** A line as its row keeps it. */
    public String kept(Entry entry) {
        return entries.write(entry);
    }

    /** What the kind of a line is called in its row; empty where it is not understood. */
    public Optional<String> kind(String kept) {
        Entry entry = entries.read(kept);
        return entry instanceof Entry.Unreadable
                ? Optional.empty()
                : Optional.of(entry.getClass().getSimpleName());
    }

    /** Whether this is a picture such as are kept here. */
    public boolean isPicture(byte[] file) {
        return PhotoService.isKept(file);
    }

    /**
     * Works out what follows from the log of a batch whose rows were just written: its summary, its scraps, and that it
     * is held where the log speaks for a hazard. Within the transaction that wrote them.
     *
     * @return the lines that were added to its log, as that it is held
     * @throws UnreadableException if it cannot be worked with
     */
    public List<UUID> settle(Object id) {
        List<UUID> added = batches.settle(new BatchId((UUID) id));
        // Thousands may arrive in one go.
        rows.flush();
        rows.clear();
        return added;
    }

    /** Lets go what followed from the log of a batch that is taken away. Within the transaction that does so. */
    public void unsettle(Object id) {
        jdbc.update("delete from batch_summary where batch_id = ?", id);
        jdbc.update("delete from scrap_use where batch_id = ?", id);
        jdbc.update("delete from scrap where batch_id = ?", id);
    }

    /** A batch that took of the soap of another. */
    public record Taker(UUID id, String name) {}

    /** Which other batches took of the soap of one. */
    public List<Taker> takenBy(Object id) {
        return jdbc.query(
                "select distinct batch_id, name from scrap_use where source = ? and batch_id <> ?",
                (found, i) -> new Taker(found.getObject(1, UUID.class), found.getString(2)),
                id.toString(),
                id);
    }

    /** Tells everybody who keeps something of them; once it is on disk, or once it is certain that it will not be. */
    public void moved(Collection<?> ids) {
        List<UUID> all = new ArrayList<>();
        ids.forEach(id -> all.add((UUID) id));
        all.forEach(store::forget);
        all.forEach(id -> followers.tell(new BatchId(id)));
    }
}
