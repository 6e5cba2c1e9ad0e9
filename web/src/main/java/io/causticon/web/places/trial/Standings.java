package io.causticon.web.places.trial;

import io.causticon.core.science.diagnosis.KeptFromHands;
import io.causticon.core.science.diagnosis.NextTest;
import io.causticon.core.science.trial.PanelPlan;
import io.causticon.core.science.trial.Sitting;
import io.causticon.core.wording.Phrase;
import io.causticon.web.shared.Guard;
import io.causticon.web.store.batch.Assessments;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.trial.Trials;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** Reads how the arms of a trial stand: their batches, what was graded, who may be washed with. */
@Component
class Standings {

    private final BatchService batches;
    private final Assessments assessments;

    Standings(BatchService batches, Assessments assessments) {
        this.batches = batches;
        this.assessments = assessments;
    }

    /** Arms in their order, the control first. */
    List<ArmStanding> of(Trials.Trial trial) {
        return trial.arms().stream()
                .map(a -> new ArmStanding(a, a.batch().flatMap(id -> Guard.of("Batch " + id, () -> batches.get(id)))))
                .toList();
    }

    /** All that was graded. */
    static List<Sitting> sittings(List<ArmStanding> standing) {
        return standing.stream().flatMap(s -> s.sittings().stream()).toList();
    }

    /**
     * When they are to be judged, by the cuts of those that are cut; what is out of the question keeps no panel open.
     */
    static List<PanelPlan> panels(List<ArmStanding> standing, Instant now) {
        Map<String, Instant> cuts = new LinkedHashMap<>();
        standing.stream()
                .filter(s -> !s.isOut())
                .forEach(s -> s.cut().ifPresent(c -> cuts.put(s.arm().name(), c)));
        Map<String, Set<String>> judged = new HashMap<>();
        sittings(standing)
                .forEach(s ->
                        judged.computeIfAbsent(s.age(), a -> new HashSet<>()).add(s.arm()));
        return PanelPlan.of(cuts, judged, now);
    }

    /** Says of each arm why nobody washes with it now. A batch of several arms is worked out once. */
    final class Hands {

        private final Map<BatchId, NextTest> tests = new HashMap<>();
        private final Instant now;

        Hands(Instant now) {
            this.now = now;
        }

        /** Empty where it may be washed with. */
        Optional<Phrase> keepFrom(ArmStanding s) {
            if (s.batch().isEmpty()) {
                return Optional.of(
                        Phrase.of(s.arm().batch().isPresent() ? "its batch cannot be read" : "not made yet"));
            }
            Batch batch = s.batch().get();
            return KeptFromHands.of(
                    batch.log(), s.arm().portion(), () -> tests.computeIfAbsent(batch.id(), id -> next(batch)));
        }

        private NextTest next(Batch batch) {
            return assessments
                    .of(batch)
                    .examined()
                    .map(e -> NextTest.of(batch.facts(now), e.worst(), e.gate()))
                    .orElseGet(() -> NextTest.none(Phrase.of("it cannot be judged")));
        }
    }

    Hands hands(Instant now) {
        return new Hands(now);
    }
}
