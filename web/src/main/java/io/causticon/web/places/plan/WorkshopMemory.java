package io.causticon.web.places.plan;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.science.making.TraceKnowledge;
import io.causticon.core.workshop.preflight.WorkshopFacts;
import io.causticon.core.workshop.preflight.WorkshopFacts.LastBatch;
import io.causticon.core.workshop.preflight.WorkshopFacts.Tried;
import io.causticon.web.shared.Guard;
import io.causticon.web.shared.MemoryWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.FollowsLogs;
import io.causticon.web.store.batch.LoafMemory;
import io.causticon.web.store.batch.MixMemory;
import io.causticon.web.store.batch.Summaries;
import io.causticon.web.store.shelf.Pantry;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.stereotype.Component;

/** What earlier batches tell of fragrances and moulds. Worked out when a log has changed, not at every key. */
@Component
class WorkshopMemory implements FollowsLogs {

    private final BatchService batches;
    private final Summaries summaries;
    private final MixMemory mixes;
    private final LoafMemory loaves;
    private final WashFindings hands;
    private final Clock clock;

    /** Grows with each line of any log: what was worked out before is of another time, also where that ended later. */
    private final AtomicInteger time = new AtomicInteger();

    private final Map<At, Optional<LastBatch>> lastInMould = new ConcurrentHashMap<>();

    private record At(String mould, int time) {}

    WorkshopMemory(
            BatchService batches,
            Summaries summaries,
            MixMemory mixes,
            LoafMemory loaves,
            WashFindings hands,
            Clock clock) {
        this.batches = batches;
        this.summaries = summaries;
        this.mixes = mixes;
        this.loaves = loaves;
        this.hands = hands;
        this.clock = clock;
    }

    WorkshopFacts facts(BatchPlan plan, Pantry pantry, Maker maker) {
        Mould mould = plan.mould();
        MixMemory.Known known = mixes.known();
        Map<String, Tried> tried = new HashMap<>();
        known.ingredients().forEach((id, m) -> {
            if (m.additive().isFragrance()) {
                tried.put(id, new Tried(m.uses().size(), m.troubled(), MemoryWords.did(m)));
            }
        });
        return new WorkshopFacts(
                maker.room(),
                tried,
                pantry.vessels(),
                mould == null ? null : lastInto(mould.name()).orElse(null),
                pantry.lotsPastUse(LocalDate.ofInstant(clock.instant(), maker.zone())),
                known.trace(),
                loaves.known(maker.room()));
    }

    /** What hands found here of something that is in it. */
    List<String> hands(BatchPlan plan) {
        return hands.about(plan);
    }

    /** How batters come to trace here. */
    TraceKnowledge trace() {
        return mixes.known().trace();
    }

    /** The vessel that lye was dissolved in last and that still stands on the shelf; empty when none does. */
    String lastLyeVessel(Pantry pantry) {
        return lastOf(summaries.lyeVessels(), pantry);
    }

    /** The same for fats. */
    String lastFatsVessel(Pantry pantry) {
        return lastOf(summaries.fatsVessels(), pantry);
    }

    private static String lastOf(List<String> used, Pantry pantry) {
        return used.stream()
                .filter(v -> pantry.vessel(v).isPresent())
                .findFirst()
                .orElse("");
    }

    @Override
    public void logged(BatchId batch) {
        time.incrementAndGet();
        lastInMould.clear();
    }

    private Optional<LastBatch> lastInto(String mould) {
        return lastInMould.computeIfAbsent(
                new At(mould, time.get()),
                at -> summaries
                        .lastInto(at.mould())
                        .flatMap(id -> Guard.of(at.mould(), () -> batches.get(id)))
                        .map(b -> new LastBatch(b.name(), b.plan().allergens())));
    }
}
