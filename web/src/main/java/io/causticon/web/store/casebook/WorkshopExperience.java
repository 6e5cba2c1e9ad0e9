package io.causticon.web.store.casebook;

import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.SettledCase;
import io.causticon.core.science.diagnosis.evidence.LoggingHabit;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.science.diagnosis.network.WorkshopCounts;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.FollowsLogs;
import io.causticon.web.store.batch.FromEachBatch;
import java.time.Clock;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * What is known of soap anywhere, sharpened by the cases that this workshop settled. Taking a conclusion back takes
 * back what it taught.
 */
@Component
public class WorkshopExperience implements FollowsLogs {

    /** A share of silence that differs by less than a hundredth judges no batch otherwise. */
    private static final double NAMED_TO = 100;

    private final Knowledge anywhere = StandardKnowledge.all();
    private final FromEachBatch<Taught> batches;
    private volatile Experience latest;

    /** What one batch teaches: what it was settled to have, and how it was logged. */
    private record Taught(Optional<SettledCase> settled, LoggingHabit habit) {

        static Optional<Taught> of(BatchFacts facts) {
            Taught taught = new Taught(SettledCase.of(facts), LoggingHabit.of(facts));
            return taught.settled.isEmpty() && taught.habit.equals(LoggingHabit.UNKNOWN)
                    ? Optional.empty()
                    : Optional.of(taught);
        }
    }

    /**
     * What was learned of some cases.
     *
     * @param read what it was learned from
     * @param cases those, by their batches
     * @param counts what they counted up to
     * @param habit how the workshop logs
     * @param here what is known with them
     * @param diagnostician who goes by that
     */
    public record Experience(
            Map<BatchId, Taught> read,
            Map<BatchId, SettledCase> cases,
            WorkshopCounts counts,
            LoggingHabit habit,
            Knowledge here,
            Diagnostician diagnostician) {

        public static Experience of(Map<BatchId, Taught> read, Knowledge anywhere) {
            Map<BatchId, SettledCase> cases = new HashMap<>();
            read.forEach((id, taught) -> taught.settled().ifPresent(s -> cases.put(id, s)));
            WorkshopCounts counts = SettledCase.count(cases.values(), anywhere);
            Knowledge here = anywhere.with(counts);
            LoggingHabit habit =
                    read.values().stream().map(Taught::habit).reduce(LoggingHabit.UNKNOWN, LoggingHabit::plus);
            return new Experience(read, Map.copyOf(cases), counts, habit, here, new Diagnostician(here, habit));
        }

        /** The same for what teaches the same. */
        public String name() {
            return counts.name() + " " + Math.round(NAMED_TO * habit.silenceShare());
        }
    }

    WorkshopExperience(BatchService batches, Clock clock) {
        this.batches =
                new FromEachBatch<>("reads-settled-cases", batches, batch -> Taught.of(batch.facts(clock.instant())));
        this.latest = Experience.of(Map.of(), anywhere);
    }

    @Override
    public void logged(BatchId batch) {
        batches.changed(batch);
    }

    @EventListener(ApplicationReadyEvent.class)
    void ready() {
        now();
    }

    /** With all that is settled now. */
    public Experience now() {
        Map<BatchId, Taught> read = batches.known();
        Experience before = latest;
        // The same map as long as nothing differs.
        if (before.read() == read || before.read().equals(read)) {
            return before;
        }
        Experience after = Experience.of(read, anywhere);
        latest = after;
        return after;
    }

    /** Who judges one batch: what was concluded of it itself is no evidence of it. */
    public Diagnostician of(BatchId batch, Experience by) {
        if (!by.cases().containsKey(batch)) {
            return by.diagnostician();
        }
        Map<BatchId, Taught> others = new HashMap<>(by.read());
        others.remove(batch);
        return Experience.of(others, anywhere).diagnostician();
    }

    /** As it was last asked for: nothing is read for it, which a line that is being written has to wait for. */
    public Experience asLastRead() {
        return latest;
    }

    /** Names what was learned; empty until every case was read once. */
    public String name() {
        return batches.isComplete() ? latest.name() : "";
    }

    public Knowledge anywhere() {
        return anywhere;
    }
}
