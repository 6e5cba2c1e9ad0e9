package io.causticon.benchmark;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Conditions;
import io.causticon.core.science.diagnosis.network.Knowledge;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;

/** A body of knowledge of a given size, to see what the inference costs when the real one has grown. */
final class SyntheticKnowledge {

    private SyntheticKnowledge() {}

    /** The named findings come first, so that a real log speaks of some of them. */
    static Knowledge of(int conditions, int findings) {
        Random random = new Random(8424);
        Knowledge.Builder k = Knowledge.builder();
        List<Condition> all = new ArrayList<>();
        all.add(Conditions.LYE_HEAVY);
        for (int i = 1; i < conditions; i++) {
            all.add(new Condition("condition-" + i, "condition " + i, i < conditions / 5, false));
        }
        all.forEach(c -> k.condition(c).happensTo(0.01 + 0.05 * random.nextDouble()));
        for (int f = 0; f < findings; f++) {
            Finding finding = f < Findings.ALL.size() ? Findings.ALL.get(f) : finding(f);
            Knowledge.Builder.FindingSentence sentence =
                    k.finding(finding).happensAnyway(0.01 + 0.03 * random.nextDouble());
            Set<Condition> causes = new LinkedHashSet<>();
            boolean measured = finding.equals(Findings.FREE_ALKALI) || finding.equals(Findings.METER_HIGH);
            if (measured) {
                // As in the real one: too much alkali, or a place that holds some.
                causes.add(all.get(0));
                causes.add(all.get(1));
            }
            while (!measured && causes.size() < Math.min(4, conditions)) {
                causes.add(all.get(random.nextInt(conditions)));
            }
            causes.forEach(
                    c -> sentence.points(0.2 + 0.7 * random.nextDouble()).to(c).because("made up"));
        }
        return k.build();
    }

    private static Finding finding(int number) {
        String id = "finding-" + number;
        return new Finding(
                id,
                id,
                "no " + id,
                Finding.Group.SURFACE,
                "Look.",
                1,
                Duration.ZERO,
                Duration.ofDays(1000),
                Duration.ZERO,
                true,
                List.of());
    }
}
