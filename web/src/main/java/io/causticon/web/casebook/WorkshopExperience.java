package io.causticon.web.casebook;

import io.causticon.core.diagnosis.Diagnostician;
import io.causticon.core.diagnosis.Knowledge;
import io.causticon.core.diagnosis.SettledCase;
import io.causticon.core.diagnosis.WorkshopCounts;
import io.causticon.core.diagnosis.knowledge.StandardKnowledge;
import io.causticon.web.batch.BatchId;
import io.causticon.web.batch.BatchLogged;
import io.causticon.web.batch.BatchService;
import io.causticon.web.batch.FromEachBatch;
import java.time.Clock;
import java.util.Map;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** What is known of soap anywhere, sharpened by the cases that this workshop settled. Taking a conclusion back takes back what it taught. */
@Component
class WorkshopExperience {

    private final Knowledge anywhere = StandardKnowledge.all();
    private final FromEachBatch<SettledCase> cases;
    private volatile Experience latest;

    /**
     * What was learned of some cases.
     *
     * @param cases those, by their batches
     * @param counts what they counted up to
     * @param here what is known with them
     * @param diagnostician who goes by that
     */
    record Experience(Map<BatchId, SettledCase> cases, WorkshopCounts counts, Knowledge here, Diagnostician diagnostician) {

        static Experience of(Map<BatchId, SettledCase> cases, Knowledge anywhere) {
            WorkshopCounts counts = SettledCase.count(cases.values(), anywhere);
            Knowledge here = anywhere.with(counts);
            return new Experience(cases, counts, here, new Diagnostician(here));
        }
    }

    WorkshopExperience(BatchService batches, Clock clock) {
        this.cases = new FromEachBatch<>("reads-settled-cases", batches, batch -> SettledCase.of(batch.facts(clock.instant())));
        this.latest = Experience.of(Map.of(), anywhere);
    }

    @EventListener
    void logged(BatchLogged event) {
        cases.changed(event.batch());
    }

    @EventListener(ApplicationReadyEvent.class)
    void ready() {
        now();
    }

    /** With all that is settled now. */
    Experience now() {
        Map<BatchId, SettledCase> settled = cases.known();
        Experience before = latest;
        // The same map as long as nothing differs.
        if (before.cases() == settled || before.cases().equals(settled)) {
            return before;
        }
        Experience after = Experience.of(settled, anywhere);
        latest = after;
        return after;
    }

    /** As it was last asked for: nothing is read for it, which a line that is being written has to wait for. */
    Experience asLastAsked() {
        return latest;
    }

    Knowledge anywhere() {
        return anywhere;
    }
}
