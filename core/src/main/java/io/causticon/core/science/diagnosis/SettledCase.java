package io.causticon.core.science.diagnosis;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.log.Entry;
import io.causticon.core.science.diagnosis.evidence.Evidence;
import io.causticon.core.science.diagnosis.evidence.EvidenceReader;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.science.diagnosis.network.Link;
import io.causticon.core.science.diagnosis.network.WorkshopCounts;
import io.causticon.core.science.facts.BatchFacts;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What one batch teaches: somebody settled what it had, or looked and found nothing. A batch that shows something which
 * nobody settled, and one that nobody looked at, teach nothing.
 *
 * @param conditions ids of what it was settled to have; empty where nothing was found
 * @param seen ids of what was seen of it
 * @param absent ids of what was looked for and not there
 */
public record SettledCase(Set<String> conditions, Set<String> seen, Set<String> absent) {

    public SettledCase {
        conditions = Set.copyOf(conditions);
        seen = Set.copyOf(seen);
        absent = Set.copyOf(absent);
    }

    /** What a batch teaches; empty for nothing. */
    public static Optional<SettledCase> of(BatchFacts facts) {
        Set<String> conditions = facts.log()
                .of(Entry.Concluded.class)
                // What was settled of the soap before it was melted down is not what is looked at since.
                .filter(c -> facts.rebatchedAt().isEmpty()
                        || c.at().isAfter(facts.rebatchedAt().get()))
                .map(c -> c.entry().condition().id())
                .filter(id -> id != null && !id.isEmpty())
                .collect(Collectors.toSet());
        List<Evidence> evidence = EvidenceReader.read(facts).stream()
                .filter(e -> e.isPresent() || e.counts())
                .toList();
        Set<String> seen = ids(evidence, true);
        Set<String> absent = ids(evidence, false);
        boolean settled = !conditions.isEmpty() || seen.isEmpty() && !absent.isEmpty();
        return settled ? Optional.of(new SettledCase(conditions, seen, absent)) : Optional.empty();
    }

    private static Set<String> ids(List<Evidence> evidence, boolean present) {
        return evidence.stream()
                .filter(e -> e.isPresent() == present)
                .map(e -> e.finding().id())
                .collect(Collectors.toSet());
    }

    /** What many batches teach together. */
    public static WorkshopCounts count(Collection<SettledCase> cases, Knowledge knowledge) {
        Map<String, Tally> conditions = new HashMap<>();
        Map<String, Tally> findings = new HashMap<>();
        Map<WorkshopCounts.Pair, Tally> links = new HashMap<>();
        Map<Finding, List<Link>> byFinding = knowledge.links().stream().collect(Collectors.groupingBy(Link::finding));
        for (SettledCase one : cases) {
            knowledge.conditions().forEach(c -> tally(conditions, c.id()).add(one.conditions.contains(c.id())));
            for (Finding finding : knowledge.findings()) {
                if (one.seen.contains(finding.id()) || one.absent.contains(finding.id())) {
                    one.count(finding, byFinding.getOrDefault(finding, List.of()), findings, links);
                }
            }
        }
        return new WorkshopCounts(counts(conditions), counts(findings), counts(links));
    }

    /**
     * Where one condition of several that were settled brings a finding about, it is that one's; where none does, it
     * came by itself.
     */
    private void count(
            Finding finding, List<Link> all, Map<String, Tally> findings, Map<WorkshopCounts.Pair, Tally> links) {
        List<Link> may = all.stream()
                .filter(l -> conditions.contains(l.condition().id()))
                .toList();
        boolean there = seen.contains(finding.id());
        if (may.isEmpty()) {
            tally(findings, finding.id()).add(there);
        } else if (may.size() == 1) {
            tally(
                            links,
                            new WorkshopCounts.Pair(
                                    finding.id(), may.get(0).condition().id()))
                    .add(there);
        }
    }

    private static <K> Tally tally(Map<K, Tally> of, K key) {
        return of.computeIfAbsent(key, k -> new Tally());
    }

    private static <K> Map<K, WorkshopCounts.Count> counts(Map<K, Tally> tallies) {
        return tallies.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, e -> new WorkshopCounts.Count(e.getValue().times, e.getValue().of)));
    }

    /** So many of so many, while they are counted. */
    private static final class Tally {
        private int times;
        private int of;

        void add(boolean there) {
            of++;
            times += there ? 1 : 0;
        }
    }
}
