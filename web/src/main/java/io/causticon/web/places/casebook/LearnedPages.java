package io.causticon.web.places.casebook;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.science.diagnosis.SettledCase;
import io.causticon.core.science.diagnosis.evidence.LoggingHabit;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.science.diagnosis.network.WorkshopCounts;
import io.causticon.core.science.diagnosis.network.WorkshopCounts.Count;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.Guard;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.casebook.WorkshopExperience;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Words what a workshop's cases taught, beside what is known anywhere. */
@Service
class LearnedPages {

    private static final double SAME = 1e-9;
    private static final int MOST_CASES = 60;

    private final WorkshopExperience experience;
    private final BatchService batches;

    LearnedPages(WorkshopExperience experience, BatchService batches) {
        this.experience = experience;
        this.batches = batches;
    }

    LearnedPage page() {
        WorkshopExperience.Experience now = experience.now();
        Knowledge anywhere = experience.anywhere();
        Map<String, Condition> conditions =
                anywhere.conditions().stream().collect(Collectors.toMap(Condition::id, Function.identity()));
        Map<String, Finding> findings =
                anywhere.findings().stream().collect(Collectors.toMap(Finding::id, Function.identity()));
        WorkshopCounts counts = now.counts();
        List<LearnedPage.Row> met = rows(
                counts.conditions(),
                c -> conditions.get(c).name(),
                c -> anywhere.rate(conditions.get(c)),
                c -> now.here().rate(conditions.get(c)),
                true);
        return new LearnedPage(
                cases(now.cases(), conditions),
                met,
                rows(
                        counts.links(),
                        p -> findings.get(p.finding()).words() + ", with "
                                + conditions.get(p.condition()).name(),
                        p -> anywhere.strength(p.finding(), p.condition()),
                        p -> now.here().strength(p.finding(), p.condition()),
                        false),
                rows(
                        counts.findings(),
                        f -> findings.get(f).words(),
                        f -> anywhere.leak(findings.get(f)),
                        f -> now.here().leak(findings.get(f)),
                        true),
                (int) counts.conditions().values().stream()
                        .filter(c -> c.times() == 0)
                        .count(),
                habit(now.habit()));
    }

    private static String habit(LoggingHabit habit) {
        String told = "Of " + (habit.seen() + habit.absent()) + " looks that were told, " + habit.seen()
                + " found something.";
        return habit.silenceShare() > 0
                ? told + " This workshop tells what is odd: what it does not say of a bar that it had in hand weighs "
                        + Math.round(100 * habit.silenceShare())
                        + " % of a look that found nothing. Of hazards silence says nothing."
                : told + " Silence says nothing here: what is not told was not looked at.";
    }

    private List<LearnedPage.Case> cases(Map<BatchId, SettledCase> settled, Map<String, Condition> conditions) {
        return settled.entrySet().stream()
                .filter(e -> !e.getValue().conditions().isEmpty())
                .flatMap(e -> Guard.of("Batch " + e.getKey(), () -> batches.glance(e.getKey())).stream()
                        .map(b ->
                                new LearnedPage.Case(e.getKey().toString(), b.name(), names(e.getValue(), conditions))))
                .sorted(Comparator.comparing(LearnedPage.Case::name))
                .limit(MOST_CASES)
                .toList();
    }

    /** What was settled long ago may be known by another name, or no more. */
    private static String names(SettledCase settled, Map<String, Condition> conditions) {
        return settled.conditions().stream()
                .map(id -> conditions.containsKey(id) ? conditions.get(id).name() : id)
                .sorted()
                .collect(Collectors.joining(", "));
    }

    private static <K> List<LearnedPage.Row> rows(
            Map<K, Count> counts,
            Function<K, String> words,
            Function<K, Double> anywhere,
            Function<K, Double> here,
            boolean onlyMet) {
        return counts.entrySet().stream()
                .filter(e -> !onlyMet || e.getValue().times() > 0)
                .sorted(Comparator.comparing(
                                (Map.Entry<K, Count> e) -> -e.getValue().times())
                        .thenComparing(e -> words.apply(e.getKey())))
                .map(e ->
                        row(words.apply(e.getKey()), e.getValue(), anywhere.apply(e.getKey()), here.apply(e.getKey())))
                .toList();
    }

    private static LearnedPage.Row row(String words, Count count, double anywhere, double here) {
        boolean kept = Math.abs(anywhere - here) < SAME && Math.abs(count.times() - anywhere * count.of()) > SAME;
        return new LearnedPage.Row(
                words,
                count.times() + " of " + count.of(),
                Formats.probability(anywhere),
                Formats.probability(here),
                kept ? "kept on the safe side: it concerns a hazard" : "");
    }
}
