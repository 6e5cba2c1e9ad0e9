package io.causticon.core.science.diagnosis.evidence;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.science.diagnosis.network.Condition;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What makes a bar unfit for use or sale though no caustic hazard: it rots, or its fats went stale. */
public final class Unfit {

    /** What was seen to rot is not looked away within a week: mould that was wiped off comes back (a judgement). */
    static final Duration LOOK_AGAIN_AFTER = Duration.ofDays(7);

    private static final Set<String> SIGNS = Set.of("mouldy", "sour-smell", "orange-dots", "crayon-smell");

    /** What is enough by itself, and what it is a sign of. */
    private static final Map<String, String> PLAIN =
            Map.of("mouldy", "spoiled-addition", "orange-dots", "stale-spots", "crayon-smell", "stale-spots");

    private Unfit() {}

    static boolean isSign(Finding finding) {
        return SIGNS.contains(finding.id());
    }

    /** Whether something that was seen makes it plain, whatever else it might be: nobody washes with what is mouldy. */
    public static boolean isPlain(Condition condition, List<Evidence> evidence) {
        return evidence.stream()
                .anyMatch(e -> e.isPresent()
                        && condition.id().equals(PLAIN.get(e.finding().id())));
    }
}
