package io.causticon.core.science.diagnosis.network;

import io.causticon.core.model.finding.Finding;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Whether what was told is whole. The knowledge is read when the program starts: what is wrong with it is told then,
 * with its name.
 */
record KnowledgeCheck(
        Map<Condition, Double> rates,
        Map<Finding, Double> leaks,
        List<Link> links,
        List<FactShift> shifts,
        List<String> unfinished) {

    static IllegalStateException fault(String words) {
        return new IllegalStateException("The knowledge is not whole: " + words + ".");
    }

    void throwIfAny() {
        sentence()
                .or(this::probability)
                .or(this::link)
                .or(this::shift)
                .or(this::word)
                .ifPresent(words -> {
                    throw fault(words);
                });
    }

    private Optional<String> sentence() {
        return unfinished.stream().findFirst().map(name -> "a sentence about " + name + " does not say why");
    }

    private Optional<String> probability() {
        Optional<String> rate = rates.entrySet().stream()
                .filter(r -> !isProbability(r.getValue()))
                .findFirst()
                .map(r -> r.getKey().name() + " cannot happen to " + r.getValue() + " of all batches");
        return rate.or(() -> leaks.entrySet().stream()
                .filter(l -> !isProbability(l.getValue()))
                .findFirst()
                .map(l -> l.getKey().id() + " cannot be there anyway in " + l.getValue() + " of all batches"));
    }

    /** What happens always or never would leave nothing to weigh. */
    private static boolean isProbability(double p) {
        return p > 0 && p < 1;
    }

    private Optional<String> link() {
        Set<List<String>> told = new HashSet<>();
        for (Link link : links) {
            String name = link.finding().id() + " and " + link.condition().name();
            if (!rates.containsKey(link.condition())) {
                return Optional.of("no rate for " + link.condition().name());
            }
            if (!leaks.containsKey(link.finding())) {
                return Optional.of("how often " + link.finding().id() + " happens anyway is not told");
            }
            if (!told.add(List.of(link.finding().id(), link.condition().id()))) {
                return Optional.of(name + " are told of twice");
            }
            if (!isProbability(link.strength())) {
                return Optional.of(name + " cannot belong together in " + link.strength() + " of all batches");
            }
        }
        return Optional.empty();
    }

    private Optional<String> shift() {
        return shifts.stream()
                .filter(s -> !rates.containsKey(s.condition()))
                .findFirst()
                .map(s -> "no rate for " + s.condition().name() + ", which a fact shifts");
    }

    /** A word of the quick line means one finding. */
    private Optional<String> word() {
        Map<String, String> meanings = new HashMap<>();
        for (Finding finding : leaks.keySet()) {
            for (String word : finding.said()) {
                String other = meanings.put(word, finding.id());
                if (other != null && !other.equals(finding.id())) {
                    return Optional.of("\u201c" + word + "\u201d means " + other + " and " + finding.id());
                }
            }
        }
        return Optional.empty();
    }
}
