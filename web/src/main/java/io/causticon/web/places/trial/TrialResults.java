package io.causticon.web.places.trial;

import io.causticon.core.model.log.SensoryScale;
import io.causticon.core.quantity.Interval;
import io.causticon.core.science.trial.Effect;
import io.causticon.core.science.trial.EffectChange;
import io.causticon.web.shared.Formats;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** Words what grades come to. */
final class TrialResults {

    private static final int MOST_TOLD = 3;

    private TrialResults() {}

    static List<TrialPage.Result> charts(List<Effect> effects) {
        Map<SensoryScale, List<Effect>> scales = new LinkedHashMap<>();
        effects.forEach(
                e -> scales.computeIfAbsent(e.scale(), s -> new ArrayList<>()).add(e));
        return scales.entrySet().stream()
                .map(s -> new TrialPage.Result(
                        s.getKey().question(), EffectChart.of(s.getKey().question(), s.getValue())))
                .toList();
    }

    private static String signed(double value) {
        return (value > 0 ? "+" : "") + Formats.number(value, 1);
    }

    static String interval(Effect e) {
        Interval i = e.interval();
        return i == null ? "one judge once: nothing tells" : signed(i.low()) + " to " + signed(i.high());
    }

    static TrialPage.Row row(Effect e) {
        boolean settled = e.found() || e.interval() == null || e.roundsMissing() == 0;
        return new TrialPage.Row(
                e.scale().word(),
                e.age(),
                e.arm(),
                signed(e.difference()),
                interval(e),
                e.interval() == null ? "" : Formats.probability(e.chanceReal()),
                settled ? "" : e.roundsMissing() + " rounds more");
    }

    /** {@code cream +3.0 (2.1 to 3.9)}. */
    static String told(Effect e) {
        return e.scale().word() + " " + signed(e.difference()) + " (" + interval(e) + ")";
    }

    /** What it comes to, in a sentence. */
    static String sentence(List<Effect> effects, boolean judged, String control) {
        if (!judged) {
            return "Nobody has judged yet.";
        }
        Map<String, List<Effect>> found = effects.stream()
                .filter(Effect::found)
                .sorted(Comparator.comparingDouble((Effect e) -> -Math.abs(e.difference())))
                .collect(Collectors.groupingBy(
                        e -> e.arm() + " at " + e.age(), LinkedHashMap::new, Collectors.toList()));
        if (!found.isEmpty()) {
            return "Against " + control + ": "
                    + found.entrySet().stream()
                            .limit(MOST_TOLD)
                            .map(f -> f.getKey() + " "
                                    + f.getValue().stream()
                                            .limit(MOST_TOLD)
                                            .map(TrialResults::told)
                                            .collect(Collectors.joining(", ")))
                            .collect(Collectors.joining("; "))
                    + (found.size() > MOST_TOLD ? "; and more below." : ".");
        }
        if (effects.isEmpty()) {
            return "What was judged has no " + control + " beside it yet: nothing can be compared.";
        }
        return effects.stream()
                .filter(e -> e.roundsMissing() > 0 && e.interval() != null)
                .min(Comparator.comparingInt(Effect::roundsMissing))
                .map(e -> "Nothing stands out yet. Nearest is " + e.arm() + " in "
                        + e.scale().word() + " at " + e.age() + ": some " + e.roundsMissing()
                        + " rounds more would tell.")
                .orElse("Nothing stands out yet.");
    }

    static List<String> changed(List<Effect> effects) {
        return EffectChange.of(effects).stream()
                .map(c -> c.arm() + ": " + c.scale().word() + " "
                        + signed(c.before().difference()) + " at " + c.before().age() + ", "
                        + signed(c.after().difference()) + " at " + c.after().age())
                .toList();
    }
}
