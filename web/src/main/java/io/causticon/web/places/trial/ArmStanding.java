package io.causticon.web.places.trial;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.science.diagnosis.KeptFromHands;
import io.causticon.core.science.trial.ArmPlan;
import io.causticon.core.science.trial.PanelAge;
import io.causticon.core.science.trial.Sitting;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.trial.Trials;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * An arm as it stands.
 *
 * @param arm which
 * @param batch empty before it is begun, and where it cannot be read
 */
record ArmStanding(Trials.Arm arm, Optional<Batch> batch) {

    /** From when its bars count their age. */
    Optional<Instant> cut() {
        return batch.flatMap(b -> KeptFromHands.takenOut(b.log()));
    }

    /** How old its bars are, in the words of a panel; empty before the cut. */
    String ageAt(Instant moment) {
        return cut().map(c -> PanelAge.wordsFor(Duration.between(c, moment))).orElse("");
    }

    /** What it is made by, its own part alone. */
    Optional<BatchPlan> plan() {
        return batch.map(Batch::plan).or(arm::plan).flatMap(p -> ArmPlan.of(p, arm.portion()));
    }

    /** What was graded of it since the cut. */
    Stream<BatchLog.Timed<Entry.Judged>> judged() {
        Instant from = cut().orElse(Instant.MAX);
        return batch.stream()
                .flatMap(b -> b.log().of(Entry.Judged.class))
                .filter(j -> isMeantBy(j.entry()) && !j.at().isBefore(from));
    }

    private boolean isMeantBy(Entry.Judged judged) {
        Bars on = judged.on();
        return arm.portion().isEmpty()
                || on != null && on.portion() != null && on.portion().isCalled(arm.portion());
    }

    /** Of one judge at one age the last grades count. */
    List<Sitting> sittings() {
        Map<String, List<Sitting>> last = new LinkedHashMap<>();
        judged().forEach(j -> {
            String age = ageAt(j.at());
            last.put(
                    j.entry().judge() + "\u0000" + age,
                    j.entry().grades().stream()
                            .map(g -> new Sitting(
                                    arm.name(),
                                    j.entry().judge(),
                                    age,
                                    j.entry().place(),
                                    g.scale(),
                                    g.grade()))
                            .toList());
        });
        return last.values().stream().flatMap(List::stream).toList();
    }

    /** Whether it is out of the question until somebody says otherwise. */
    boolean isOut() {
        return batch.filter(b -> KeptFromHands.isOut(b.log(), arm.portion())).isPresent();
    }

    boolean isJudgedBy(String judge, String age) {
        return sittings().stream()
                .anyMatch(s -> s.judge().equals(judge) && s.age().equals(age));
    }
}
