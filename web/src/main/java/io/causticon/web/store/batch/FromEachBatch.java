package io.causticon.web.store.batch;

import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.Purpose;
import io.causticon.web.shared.DaemonThreads;
import io.causticon.web.shared.Guard;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Function;

/**
 * Something small that each batch tells, read from its log once and again when that has changed. A few are read when
 * somebody asks; many, as at the first question in a workshop of years, are read in the background, and until then what
 * is known is what was read.
 *
 * @param <T> what a batch tells; equal when it tells the same
 */
public final class FromEachBatch<T> {

    /** So many are read while somebody waits: a tenth of a second. */
    private static final int FEW = 50;

    private final BatchService batches;
    private final Function<Batch, Optional<T>> read;
    private final Map<BatchId, Optional<T>> told = new ConcurrentHashMap<>();
    private final Set<BatchId> changed = ConcurrentHashMap.newKeySet();
    private final AtomicBoolean reading = new AtomicBoolean();
    private final ExecutorService background;
    private volatile boolean listed;
    private volatile Map<BatchId, T> known = Map.of();

    /**
     * @param name of what is read, for its thread
     * @param read what a batch tells, empty for nothing yet; a batch that cannot be worked out tells nothing
     */
    public FromEachBatch(String name, BatchService batches, Function<Batch, Optional<T>> read) {
        this.batches = batches;
        this.read = read;
        this.background = Executors.newSingleThreadExecutor(DaemonThreads.named(name));
    }

    /** What is known now, the same map as long as nothing differs. */
    public Map<BatchId, T> known() {
        Collection<BatchId> unread = unread();
        if (unread.size() > FEW) {
            if (reading.compareAndSet(false, true)) {
                background.execute(() -> {
                    try {
                        read(unread);
                    } finally {
                        reading.set(false);
                    }
                });
            }
        } else if (!unread.isEmpty()) {
            read(unread);
        }
        return known;
    }

    /** Whether many are being read in the background. */
    public boolean isReading() {
        return reading.get();
    }

    /** Whether every batch was read once. */
    public boolean isComplete() {
        return listed && !reading.get();
    }

    /** A log has changed. */
    public void changed(BatchId id) {
        changed.add(id);
    }

    /** Something else that batches are read by has changed: what each tells is read again. */
    public void readAnew() {
        changed.addAll(told.keySet());
    }

    /** What was done for practice need not have happened, nor what was begun by mistake. */
    private static boolean teaches(Batch batch) {
        return batch.purpose() != Purpose.PRACTICE && batch.life() != Life.ABANDONED;
    }

    private Collection<BatchId> unread() {
        if (listed && changed.isEmpty()) {
            return List.of();
        }
        Set<BatchId> unread = new HashSet<>(changed);
        if (!listed) {
            batches.ids().stream().filter(id -> !told.containsKey(id)).forEach(unread::add);
        }
        return unread;
    }

    private synchronized void read(Collection<BatchId> unread) {
        boolean differs = false;
        for (BatchId id : new ArrayList<>(unread)) {
            // Taken away before it is read: what is logged meanwhile marks it again.
            changed.remove(id);
            Optional<T> now = Guard.of("Batch " + id, () -> batches.glance(id))
                    .flatMap(b -> Guard.of(b.code(), () -> teaches(b) ? read.apply(b) : Optional.<T>empty())
                            .flatMap(t -> t));
            Optional<T> before = told.put(id, now);
            differs |= before == null ? now.isPresent() : !before.equals(now);
        }
        listed = true;
        if (differs) {
            Map<BatchId, T> all = new HashMap<>();
            told.forEach((id, t) -> t.ifPresent(x -> all.put(id, x)));
            known = Map.copyOf(all);
        }
    }
}
