package io.causticon.core.science.diagnosis.network;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Everything that the diagnosis goes by. It is written as sentences, a line each:
 * {@code finding(CRUST_GROWS).happensAnyway(0.01).points(0.75).to(LYE_HEAVY).because("...")}.
 * The strengths are judgements of how often, to be sharpened by a workshop's own history.
 */
public final class Knowledge {

    /**
     * Excess of alkali that half of those notice who would notice much (a judgement: 1.2 points of superfat below
     * nothing).
     */
    private static final double USUAL_HALF = .012;

    private final Map<Condition, Double> rates;
    private final Map<Finding, Double> leaks;
    private final List<Link> links;
    private final List<Relation> relations;
    private final List<FactShift> shifts;

    /** Reasons by finding and condition. */
    private final Map<String, Map<String, String>> reasons;

    private final Map<Condition, Remedy> remedies;

    private Knowledge(Builder builder) {
        this.rates = new LinkedHashMap<>(builder.rates);
        this.leaks = new LinkedHashMap<>(builder.leaks);
        this.links = List.copyOf(builder.links);
        this.reasons = links.stream()
                .collect(Collectors.groupingBy(
                        l -> l.finding().id(),
                        Collectors.toMap(l -> l.condition().id(), Link::reason, (first, second) -> first)));
        this.relations = List.copyOf(builder.relations);
        this.shifts = List.copyOf(builder.shifts);
        this.remedies = new LinkedHashMap<>(builder.remedies);
    }

    public static Builder builder() {
        return new Builder();
    }

    public List<Condition> conditions() {
        return List.copyOf(rates.keySet());
    }

    public List<Finding> findings() {
        return List.copyOf(leaks.keySet());
    }

    /** How often a batch has it when nothing is known, 0 to 1. */
    public double rate(Condition condition) {
        return rates.getOrDefault(condition, 0.0);
    }

    /** How often a finding is there for none of the reasons known here, 0 to 1. */
    public double leak(Finding finding) {
        return leaks.getOrDefault(finding, 0.0);
    }

    public List<Link> links() {
        return links;
    }

    /** Which conditions exclude, contain or cause one another. */
    List<Relation> relations() {
        return relations;
    }

    public List<FactShift> shifts() {
        return shifts;
    }

    public Remedy remedy(Condition condition) {
        return remedies.getOrDefault(condition, new Remedy("", ""));
    }

    /** Why a finding speaks for a condition. */
    public Optional<String> reason(Finding finding, Condition condition) {
        return Optional.ofNullable(reasons.getOrDefault(finding.id(), Map.of()).get(condition.id()));
    }

    /**
     * What is known, sharpened by what a workshop has counted, never on the dangerous side: a hazard's rate and how
     * surely it shows do not fall below what is known of batches anywhere, for having been lucky is no reason to look
     * less; a sign of a hazard does not become commoner by itself or by what else brings it about, nor does a condition
     * that a burning skin is put down to or that shuts a hazard out; one that leads to a hazard does not become rarer.
     */
    public Knowledge with(WorkshopCounts counts) {
        Builder sharper = new Builder();
        rates.forEach((condition, rate) -> {
            double counted = laidOver(counts.conditions().get(condition.id()), rate);
            boolean mayFall = !condition.hazard() && !leadsToAHazard(condition);
            boolean mayRise = !explainsSkin(condition) && !standsToAHazard(condition, Relation.Kind.EXCLUDES);
            sharper.rates.put(condition, counted < rate ? (mayFall ? counted : rate) : mayRise ? counted : rate);
        });
        leaks.forEach((finding, leak) -> {
            double counted = laidOver(counts.findings().get(finding.id()), leak);
            sharper.leaks.put(finding, pointsToAHazard(finding) ? Math.min(leak, counted) : counted);
        });
        links.forEach(link -> sharper.links.add(link.strengthened(sharpened(link, counts))));
        sharper.relations.addAll(relations);
        sharper.shifts.addAll(shifts);
        sharper.remedies.putAll(remedies);
        return sharper.build();
    }

    /** How often a condition shows a finding, 0 to 1; nothing where it does not bring it about. */
    public double strength(String finding, String condition) {
        return links.stream()
                .filter(l ->
                        l.finding().id().equals(finding) && l.condition().id().equals(condition))
                .mapToDouble(Link::strength)
                .findFirst()
                .orElse(0);
    }

    private double sharpened(Link link, WorkshopCounts counts) {
        double known = link.strength();
        double counted = laidOver(
                counts.links()
                        .get(new WorkshopCounts.Pair(
                                link.finding().id(), link.condition().id())),
                known);
        if (link.condition().hazard()) {
            return Math.max(known, counted);
        }
        return pointsToAHazard(link.finding()) ? Math.min(known, counted) : counted;
    }

    private static double laidOver(WorkshopCounts.@Nullable Count count, double known) {
        return count == null ? known : count.laidOver(known);
    }

    private boolean pointsToAHazard(Finding finding) {
        return links.stream()
                .anyMatch(l -> l.finding().equals(finding) && l.condition().hazard());
    }

    public boolean leadsToAHazard(Condition condition) {
        return standsToAHazard(condition, Relation.Kind.BRINGS_ABOUT);
    }

    private boolean standsToAHazard(Condition condition, Relation.Kind how) {
        return relations.stream()
                .anyMatch(r -> r.kind() == how
                        && (r.first().equals(condition) && r.second().hazard()
                                || how == Relation.Kind.EXCLUDES
                                        && r.second().equals(condition)
                                        && r.first().hazard()));
    }

    private boolean explainsSkin(Condition condition) {
        return !condition.hazard()
                && links.stream()
                        .anyMatch(l -> l.condition().equals(condition)
                                && l.finding().group() == Finding.Group.SKIN
                                && pointsToAHazard(l.finding()));
    }

    /** One family of conditions tells what is known of it. */
    @FunctionalInterface
    public interface Source {
        void tell(Builder knowledge);
    }

    /** Takes the sentences. */
    public static final class Builder {

        private final Map<Condition, Double> rates = new LinkedHashMap<>();
        private final Map<Finding, Double> leaks = new LinkedHashMap<>();
        private final List<Link> links = new ArrayList<>();
        private final List<Relation> relations = new ArrayList<>();
        private final List<FactShift> shifts = new ArrayList<>();
        private final Map<Condition, Remedy> remedies = new LinkedHashMap<>();

        /** Sentences that were begun and have not said why yet. */
        private final List<String> unfinished = new ArrayList<>();

        private Builder() {}

        public Builder include(Source source) {
            source.tell(this);
            return this;
        }

        /** A condition and how often a batch has it when nothing is known. */
        public ConditionSentence condition(Condition condition) {
            return new ConditionSentence(condition);
        }

        public FindingSentence finding(Finding finding) {
            return new FindingSentence(finding);
        }

        /**
         * A finding of the table.
         *
         * @throws IllegalStateException if the table has none of this id
         */
        public FindingSentence finding(String id) {
            return finding(Findings.find(id).orElseThrow(() -> KnowledgeCheck.fault("no finding is called " + id)));
        }

        /** A fact that either holds or not. */
        public FactSentence fact(String words, Predicate<BatchFacts> holds) {
            return new FactSentence(facts -> holds.test(facts) ? Optional.of(Phrase.of(words)) : Optional.empty());
        }

        /** A fact with figures that either holds or not. */
        public FactSentence fact(Phrase words, Predicate<BatchFacts> holds) {
            return new FactSentence(facts -> holds.test(facts) ? Optional.of(words) : Optional.empty());
        }

        /** A fact that says itself with its figures. */
        public FactSentence fact(Function<BatchFacts, Optional<Phrase>> says) {
            return new FactSentence(says);
        }

        /**
         * All of it, if it is whole.
         *
         * @throws IllegalStateException with the name of what is not: a sentence that says nothing or of no condition,
         *     a condition without a rate, a finding that does not say how often it happens anyway, what is told twice,
         *     a word for two findings
         */
        public Knowledge build() {
            new KnowledgeCheck(rates, leaks, links, shifts, unfinished).throwIfAny();
            return new Knowledge(this);
        }

        /** "condition X happens to so many". */
        public final class ConditionSentence {
            private final Condition condition;

            private ConditionSentence(Condition condition) {
                this.condition = condition;
            }

            public ConditionSentence happensTo(double rate) {
                if (rates.put(condition, rate) != null) {
                    throw KnowledgeCheck.fault("the rate of " + condition.name() + " is told twice");
                }
                return this;
            }

            /** Never both. */
            public ConditionSentence excludes(Condition other) {
                relations.add(new Relation(Relation.Kind.EXCLUDES, condition, other, 0));
                return this;
            }

            /** Where this is, the other is. */
            public ConditionSentence isAKindOf(Condition other) {
                relations.add(new Relation(Relation.Kind.IS_A_KIND_OF, condition, other, 0));
                return this;
            }

            /** This can cause the other, so often. */
            public ConditionSentence bringsAbout(Condition other, double strength) {
                relations.add(new Relation(Relation.Kind.BRINGS_ABOUT, condition, other, strength));
                return this;
            }

            public ConditionSentence isMetBy(String now, String nextTime) {
                remedies.put(condition, new Remedy(now, nextTime));
                return this;
            }
        }

        /** "finding F happens anyway so often, points so strongly to X because". */
        public final class FindingSentence {
            private final Finding finding;
            private double strength;
            private double half = USUAL_HALF;
            private @Nullable Condition condition;

            private FindingSentence(Finding finding) {
                this.finding = finding;
            }

            public FindingSentence happensAnyway(double leak) {
                if (leaks.put(finding, leak) != null) {
                    throw KnowledgeCheck.fault("how often " + finding.id() + " happens anyway is told twice");
                }
                return this;
            }

            public FindingSentence points(double howStrongly) {
                this.strength = howStrongly;
                this.half = USUAL_HALF;
                unfinished.add(finding.id());
                return this;
            }

            /** The excess of alkali, as a fraction of what the fats take, at which it does so half as often. */
            public FindingSentence halfAt(double excess) {
                this.half = excess;
                return this;
            }

            public FindingSentence to(Condition to) {
                this.condition = to;
                return this;
            }

            public FindingSentence because(String reason) {
                if (condition == null) {
                    throw KnowledgeCheck.fault(
                            "a sentence about " + finding.id() + " points to no condition: because " + reason);
                }
                links.add(new Link(finding, condition, strength, half, reason));
                unfinished.remove(finding.id());
                condition = null;
                return this;
            }
        }

        /** "fact F shifts X by so many decibans because". */
        public final class FactSentence {
            private final Function<BatchFacts, Optional<Phrase>> says;
            private @Nullable Condition condition;
            private double weight;

            private FactSentence(Function<BatchFacts, Optional<Phrase>> says) {
                this.says = says;
            }

            public FactSentence shifts(Condition to) {
                this.condition = to;
                unfinished.add(to.id());
                return this;
            }

            public FactSentence by(double decibans) {
                this.weight = decibans;
                return this;
            }

            public FactSentence because(String reason) {
                return because(Phrase.of(reason));
            }

            /** For a reason that has figures in it. */
            public FactSentence because(Phrase reason) {
                if (condition == null) {
                    throw KnowledgeCheck.fault("a fact shifts no condition: because " + reason.pattern());
                }
                shifts.add(new FactShift(condition, weight, says, reason));
                unfinished.remove(condition.id());
                condition = null;
                return this;
            }
        }
    }
}
