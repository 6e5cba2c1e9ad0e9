package io.causticon.web.store.casebook;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.FollowsLogs;
import io.causticon.web.store.batch.FromEachBatch;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/**
 * Batches in which somebody settled what they had: what looked like this before. What was only practised is no case.
 */
@Component
public class PastCases implements FollowsLogs {

    /** Less than so much in common is no likeness worth telling (a judgement). */
    private static final double LEAST = 0.3;

    private static final int MOST = 3;

    /**
     * What was concluded of one batch.
     *
     * @param name of the batch
     * @param begun when it was made
     * @param seen what was seen of it
     * @param conclusion the last one
     */
    public record Concluded(String name, Instant begun, Set<Finding> seen, Entry.Concluded conclusion) {}

    /**
     * One that looks like another.
     *
     * @param batch which
     * @param concluded what was concluded of it
     * @param likeness 0 to 1
     * @param shared what both show, in words
     */
    public record Alike(BatchId batch, Concluded concluded, double likeness, List<String> shared) {}

    private final Diagnostician diagnostician;
    private final Clock clock;
    private final FromEachBatch<Concluded> concluded;

    PastCases(WorkshopExperience experience, BatchService batches, Clock clock) {
        // How alike two batches are does not move with what was learned since.
        this.diagnostician = experience.asLastRead().diagnostician();
        this.clock = clock;
        this.concluded = new FromEachBatch<>("reads-cases", batches, this::read);
    }

    @Override
    public void logged(BatchId batch) {
        concluded.changed(batch);
    }

    private Optional<Concluded> read(Batch batch) {
        if (batch.purpose() == Purpose.PRACTICE) {
            return Optional.empty();
        }
        return batch.log()
                .last(Entry.Concluded.class)
                .map(c -> new Concluded(
                        batch.name(),
                        batch.log().begun(),
                        diagnostician.seen(batch.facts(clock.instant())),
                        c.entry()));
    }

    /** Others that look like it, the most alike first. */
    public List<Alike> like(Batch batch) {
        Set<Finding> seen = diagnostician.seen(batch.facts(clock.instant()));
        if (seen.isEmpty()) {
            return List.of();
        }
        return concluded.known().entrySet().stream()
                .filter(e -> !e.getKey().equals(batch.id()))
                .map(e -> alike(seen, e))
                .filter(a -> a.likeness() >= LEAST)
                .sorted(Comparator.comparingDouble(Alike::likeness)
                        .thenComparing(a -> a.concluded().begun())
                        .reversed())
                .limit(MOST)
                .toList();
    }

    private Alike alike(Set<Finding> seen, Map.Entry<BatchId, Concluded> other) {
        Set<Finding> theirs = other.getValue().seen();
        List<String> shared = seen.stream()
                .filter(theirs::contains)
                .map(Finding::words)
                .sorted()
                .toList();
        return new Alike(other.getKey(), other.getValue(), diagnostician.likenessShare(seen, theirs), shared);
    }
}
