package io.causticon.core.science.diagnosis.evidence;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What would have been told if it were there: looks of which a workshop that tells what is odd said nothing, though the
 * soap was in its hands when they mean something. Of hazards, and of what leads to them, silence never says anything.
 */
public final class Silence {

    private final Knowledge knowledge;
    private final Set<Finding> mayBeSilent;

    public Silence(Knowledge knowledge) {
        this.knowledge = knowledge;
        this.mayBeSilent = knowledge.findings().stream()
                .filter(f -> f.absenceClears() && !concernsAHazard(f))
                .collect(Collectors.toSet());
    }

    private boolean concernsAHazard(Finding finding) {
        return finding.group() == Finding.Group.SKIN
                || knowledge.links().stream()
                        .anyMatch(l -> l.finding().equals(finding)
                                && (l.condition().hazard() || knowledge.leadsToAHazard(l.condition())));
    }

    /** Of one batch. */
    public List<Finding> about(BatchFacts facts, List<Evidence> evidence) {
        Instant begun = facts.soapSince().orElse(facts.log().begun());
        List<Duration> held = facts.log().entries().stream()
                .filter(line -> isInHand(line.entry()) && !line.at().isBefore(begun))
                .map(LoggedEntry::at)
                .map(at -> Duration.between(begun, at))
                .toList();
        Set<Finding> told = evidence.stream().map(Evidence::finding).collect(Collectors.toSet());
        return knowledge.findings().stream()
                .filter(f -> mayBeSilent.contains(f) && !told.contains(f))
                .filter(f ->
                        held.stream().anyMatch(age -> age.compareTo(f.from()) >= 0 && age.compareTo(f.until()) <= 0))
                .toList();
    }

    /** Whoever logs one of these has the soap before her. */
    private static boolean isInHand(Entry entry) {
        return entry instanceof Entry.Observed
                || entry instanceof Entry.TouchTested
                || entry instanceof Entry.WashTested
                || entry instanceof Entry.Cut
                || entry instanceof Entry.Unmoulded
                || entry instanceof Entry.BarWeighed
                || entry instanceof Entry.StageReached;
    }
}
