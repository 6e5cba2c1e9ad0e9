package io.causticon.web.plan;

import io.causticon.core.formula.AdditivePortion;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.mould.Mould;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.Stage;
import io.causticon.core.preflight.WorkshopFacts;
import io.causticon.core.preflight.WorkshopFacts.LastBatch;
import io.causticon.core.preflight.WorkshopFacts.Tried;
import io.causticon.core.substance.Additive;
import io.causticon.core.substance.Catalogue;
import io.causticon.web.account.Maker;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchLogged;
import io.causticon.web.batch.BatchService;
import io.causticon.web.shelf.Pantry;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** What earlier batches tell of fragrances and moulds. Worked out when a log has changed, not at every key. */
@Component
class WorkshopMemory {

    private static final Duration AT_ONCE = Duration.ofMinutes(3);

    private final BatchService batches;
    private final Clock clock;
    private final AtomicReference<@Nullable Memory> memory = new AtomicReference<>();

    WorkshopMemory(BatchService batches, Clock clock) {
        this.batches = batches;
        this.clock = clock;
    }

    private record Memory(Map<String, Tried> tried, Map<String, LastBatch> lastInMould) {}

    WorkshopFacts facts(BatchPlan plan, Pantry pantry, Maker maker) {
        Memory now = memory.get();
        if (now == null) {
            now = remember();
            memory.set(now);
        }
        Mould mould = plan.mould();
        return new WorkshopFacts(
                maker.room(),
                now.tried(),
                pantry.vessels(),
                mould == null ? null : now.lastInMould().get(mould.name()),
                pantry.lotsPastUse(LocalDate.ofInstant(clock.instant(), maker.zone())));
    }

    @EventListener
    void forget(BatchLogged event) {
        memory.set(null);
    }

    private Memory remember() {
        Map<String, Tried> tried = new HashMap<>();
        Map<String, LastBatch> last = new HashMap<>();
        List<Batch> youngestFirst = batches.all();
        for (Batch batch : youngestFirst) {
            BatchFacts facts = batch.facts(clock.instant());
            Mould mould = batch.plan().mould();
            if (mould != null && facts.wasPoured()) {
                last.putIfAbsent(mould.name(), new LastBatch(batch.name(), batch.plan().formula().allergens()));
            }
            for (AdditivePortion portion : batch.plan().formula().additives()) {
                if (portion.additive().isFragrance() && facts.wasPoured()) {
                    Tried once = new Tried(1, troubled(portion.additive(), facts) ? 1 : 0);
                    tried.merge(portion.additive().id(), once, WorkshopMemory::sum);
                }
            }
        }
        return new Memory(tried, last);
    }

    private static Tried sum(Tried a, Tried b) {
        return new Tried(a.batches() + b.batches(), a.troubled() + b.troubled());
    }

    /** Whether the batter thickened, riced or curdled within minutes of it. */
    private static boolean troubled(Additive fragrance, BatchFacts facts) {
        boolean thickened = facts.addedJustBefore(Stage.THICK, AT_ONCE)
                .filter(what -> answers(fragrance, what))
                .isPresent();
        return thickened
                || facts.log().has(
                        Entry.StageReached.class,
                        s -> s.after() != null
                                && answers(fragrance, s.after())
                                && (s.stage() == Stage.RICED || s.stage() == Stage.CURDLED || s.stage() == Stage.MASH));
    }

    private static boolean answers(Additive fragrance, String called) {
        return Catalogue.answersTo(fragrance.id(), fragrance.name(), called);
    }
}
