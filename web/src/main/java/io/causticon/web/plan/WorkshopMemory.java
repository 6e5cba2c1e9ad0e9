package io.causticon.web.plan;

import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.Vessel;
import io.causticon.core.making.TraceKnowledge;
import io.causticon.core.mould.Mould;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.preflight.WorkshopFacts;
import io.causticon.core.preflight.WorkshopFacts.LastBatch;
import io.causticon.core.preflight.WorkshopFacts.Tried;
import io.causticon.web.account.Maker;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchLogged;
import io.causticon.web.batch.BatchService;
import io.causticon.web.batch.MixMemory;
import io.causticon.web.shared.MemoryWords;
import io.causticon.web.shelf.Pantry;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** What earlier batches tell of fragrances and moulds. Worked out when a log has changed, not at every key. */
@Component
class WorkshopMemory {

    private final BatchService batches;
    private final MixMemory mixes;
    private final Clock clock;
    private final AtomicReference<@Nullable Memory> memory = new AtomicReference<>();

    WorkshopMemory(BatchService batches, MixMemory mixes, Clock clock) {
        this.batches = batches;
        this.mixes = mixes;
        this.clock = clock;
    }

    private record Memory(Map<String, LastBatch> lastInMould) {}

    WorkshopFacts facts(BatchPlan plan, Pantry pantry, Maker maker) {
        Memory now = memory.get();
        if (now == null) {
            now = remember();
            memory.set(now);
        }
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
                mould == null ? null : now.lastInMould().get(mould.name()),
                pantry.lotsPastUse(LocalDate.ofInstant(clock.instant(), maker.zone())),
                known.trace());
    }

    /** How batters come to trace here. */
    TraceKnowledge trace() {
        return mixes.known().trace();
    }

    /** Name of the vessel that the youngest batch used which named one and which still stands on the shelf; empty when none did. */
    String lastUsed(Function<BatchPlan, @Nullable Vessel> use, Pantry pantry) {
        return batches.all().stream()
                .map(b -> use.apply(b.plan()))
                .filter(v -> v != null && pantry.vessel(v.name()).isPresent())
                .findFirst()
                .map(Vessel::name)
                .orElse("");
    }

    @EventListener
    void forget(BatchLogged event) {
        memory.set(null);
    }

    private Memory remember() {
        Map<String, LastBatch> last = new HashMap<>();
        List<Batch> youngestFirst = batches.all();
        for (Batch batch : youngestFirst) {
            BatchFacts facts = batch.facts(clock.instant());
            Mould mould = batch.plan().mould();
            if (mould != null && facts.wasPoured()) {
                last.putIfAbsent(mould.name(), new LastBatch(batch.name(), batch.plan().formula().allergens()));
            }
        }
        return new Memory(last);
    }
}
