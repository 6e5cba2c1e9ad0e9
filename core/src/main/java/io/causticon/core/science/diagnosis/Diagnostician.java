package io.causticon.core.science.diagnosis;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.science.diagnosis.evidence.Evidence;
import io.causticon.core.science.diagnosis.evidence.EvidenceReader;
import io.causticon.core.science.diagnosis.evidence.LoggingHabit;
import io.causticon.core.science.diagnosis.evidence.Measured;
import io.causticon.core.science.diagnosis.evidence.SignHistory;
import io.causticon.core.science.diagnosis.evidence.Silence;
import io.causticon.core.science.diagnosis.network.Belief;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Conditions;
import io.causticon.core.science.diagnosis.network.FactShift;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.science.diagnosis.network.Network;
import io.causticon.core.science.diagnosis.network.SuperfatLevels;
import io.causticon.core.science.diagnosis.network.Weight;
import io.causticon.core.science.diagnosis.slips.Slip;
import io.causticon.core.science.diagnosis.slips.SlipFinder;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Works out what a batch has. Holds the compiled knowledge; safe for many threads. */
public final class Diagnostician {

    private static final double LEAST_PRIOR = 0.0003;
    private static final double MOST_PRIOR = 0.995;

    /** The error of a scale's step is even: its width is that many standard deviations. */
    private static final double STEPS_A_SIGMA = Math.sqrt(12);

    private static final Phrase UNSAID = Phrase.of("nothing else was said");
    private static final Phrase HABIT = Phrase.of("this workshop tells what is odd");

    private final Knowledge knowledge;
    private final Network network;
    private final Map<Condition, List<FactShift>> shifts;
    private final Silence silence;
    private final double silenceShare;

    public Diagnostician(Knowledge knowledge) {
        this(knowledge, LoggingHabit.UNKNOWN);
    }

    /** @param habit how the workshop logs, for what its silence says */
    public Diagnostician(Knowledge knowledge, LoggingHabit habit) {
        this.knowledge = knowledge;
        this.shifts = knowledge.shifts().stream().collect(Collectors.groupingBy(FactShift::condition));
        this.silence = new Silence(knowledge);
        this.silenceShare = habit.silenceShare();
        this.network = new Network(knowledge);
    }

    /**
     * @param facts plan and log of the batch
     * @param vessels masses of the workshop's jugs and bowls by name, for tares that were not taken
     */
    public Diagnosis examine(BatchFacts facts, KnownVessels vessels) {
        return told(weigh(facts, vessels), facts);
    }

    /**
     * What a batch has, and what must be there before it is released.
     *
     * @param diagnosis of all of it
     * @param parts of each part that had lye of its own, by its name; none where all was one batter
     * @param gate what is asked for before it is given into anybody's hands
     */
    public record Examined(Diagnosis diagnosis, Map<String, Diagnosis> parts, ReleaseGate gate) {

        /** Whether it must be held: it, or a part of it. */
        public Diagnosis worst() {
            return parts.values().stream()
                    .filter(p -> p.verdict().compareTo(diagnosis.verdict()) < 0
                            || p.verdict() == diagnosis.verdict() && p.anyHazard() > diagnosis.anyHazard())
                    .max(Comparator.comparingDouble(Diagnosis::anyHazard))
                    .orElse(diagnosis);
        }
    }

    /** Everything at once: where each part had lye of its own, each by itself. */
    public Examined assess(BatchFacts facts, KnownVessels vessels) {
        return assess(facts, vessels, examine(facts, vessels));
    }

    /** The same for one whose diagnosis is known. */
    public Examined assess(BatchFacts facts, KnownVessels vessels, Diagnosis diagnosis) {
        if (facts.parts().isEmpty() || !facts.wasPoured()) {
            return new Examined(diagnosis, Map.of(), ReleaseGate.of(facts, diagnosis));
        }
        Map<String, Diagnosis> parts = new LinkedHashMap<>();
        Map<String, ReleaseGate> gates = new LinkedHashMap<>();
        for (String part : facts.parts()) {
            BatchFacts of = facts.ofPart(part);
            parts.put(part, examine(of, vessels));
            gates.put(part, ReleaseGate.of(of, parts.get(part)));
        }
        return new Examined(diagnosis, parts, ReleaseGate.ofParts(gates));
    }

    /**
     * What would open the gate if it were calm; of parts with lye of their own each its own, where they do not ask for
     * the same.
     */
    public Road road(BatchFacts facts, KnownVessels vessels, Examined examined) {
        if (examined.gate().isOpen()) {
            return Road.DONE;
        }
        if (examined.parts().isEmpty()) {
            return road(facts, vessels, examined.gate());
        }
        List<Road.Step> steps = new ArrayList<>();
        boolean opens = true;
        for (Map.Entry<String, Diagnosis> part : examined.parts().entrySet()) {
            BatchFacts of = facts.ofPart(part.getKey());
            Road road = road(of, vessels, ReleaseGate.of(of, part.getValue()));
            opens &= road.opens();
            road.steps().forEach(s -> steps.add(facts.isCutAcrossParts() ? s : s.of(part.getKey())));
        }
        return new Road(
                steps.stream()
                        .distinct()
                        .sorted(Comparator.comparing(Road.Step::from))
                        .toList(),
                opens);
    }

    private Road road(BatchFacts facts, KnownVessels vessels, ReleaseGate gate) {
        Weighing weighing = weigh(facts, vessels);
        Road looks = new RoadFinder(network, facts, weighing.evidence, weighing.belief, 0).find(gate);
        return looks.opens()
                ? looks
                : new RoadFinder(network, facts, weighing.evidence, weighing.belief, RoadFinder.MOST_TITRATIONS)
                        .find(gate);
    }

    /**
     * A diagnosis with what it hangs on.
     *
     * @param diagnosis what the batch has
     * @param hinges what would turn it over, and what does not go with the rest
     */
    public record WithHinges(Diagnosis diagnosis, Hinges hinges) {}

    /**
     * The same with what the verdict hangs on: asks everything once more without each finding, for a page, not for a
     * list.
     */
    public WithHinges examineWithHinges(BatchFacts facts, KnownVessels vessels) {
        Weighing weighing = weigh(facts, vessels);
        return new WithHinges(told(weighing, facts), hinges(weighing, facts));
    }

    private Diagnosis told(Weighing weighing, BatchFacts facts) {
        List<ConditionReport> reports = new ArrayList<>();
        for (int c = 0; c < network.conditions().size(); c++) {
            reports.add(report(c, weighing));
        }
        reports.sort(Comparator.comparing((ConditionReport r) -> !r.condition().hazard())
                .thenComparing(
                        Comparator.comparingDouble(ConditionReport::probability).reversed()));
        Belief belief = weighing.belief;
        Set<Finding> known =
                weighing.evidence.stream().map(Evidence::finding).collect(Collectors.toCollection(HashSet::new));
        Duration age = facts.age();
        Looks looks = new Looks(() -> new NextLooks(network, belief)
                .ranked(known, age, SignHistory.calmTest(facts).isPresent()));
        boolean stands = SignHistory.of(facts).stream().anyMatch(SignHistory::stands);
        return new Diagnosis(
                reports,
                weighing.evidence,
                belief.anyHazard(),
                belief.isBounded(),
                stands,
                SuperfatLevels.estimate(belief.superfat()),
                Excess.of(belief.superfat()),
                weighing.slips,
                looks);
    }

    /** What a log says was seen, without weighing it. */
    public Set<Finding> seen(BatchFacts facts) {
        return EvidenceReader.read(facts).stream()
                .filter(e -> e.isPresent() && network.indexOf(e.finding()) >= 0)
                .map(Evidence::finding)
                .collect(Collectors.toSet());
    }

    /**
     * How much alike two batches are by what was seen of them: what both show, of all that either shows, each finding
     * by the surprise that it would be by itself, {@code -ln(leak)}. A weighted Jaccard index.
     *
     * @return 0 for nothing in common to 1 for the same
     */
    public double likenessShare(Set<Finding> one, Set<Finding> other) {
        double both =
                one.stream().filter(other::contains).mapToDouble(this::surprise).sum();
        double either = Stream.concat(one.stream(), other.stream())
                .distinct()
                .mapToDouble(this::surprise)
                .sum();
        return either > 0 ? both / either : 0;
    }

    private double surprise(Finding finding) {
        return -Math.log(network.leak(network.indexOf(finding)));
    }

    /** What came of weighing plan and log: the accounts of each condition, and what is believed at the end. */
    private record Weighing(
            List<Evidence> evidence,
            Belief prior,
            Belief quiet,
            Belief belief,
            List<List<Ledger.Line>> shifts,
            List<List<Ledger.Line>> lines,
            List<Slip> slips) {}

    private Weighing weigh(BatchFacts facts, KnownVessels vessels) {
        SlipFinder slips = SlipFinder.of(facts, vessels);
        List<List<Ledger.Line>> shifts =
                network.conditions().stream().map(c -> factLines(c, facts)).toList();
        Optional<Weighing> before = facts.beforeRebatch().map(b -> weigh(b, vessels));
        double[] superfat = before.map(b -> RebatchedSuperfat.of(facts, b.belief.superfat()))
                .orElseGet(() -> superfat(slips, shifts, facts));
        Belief prior = network.prior(priors(shifts), superfat);
        List<Evidence> evidence = EvidenceReader.read(facts);
        List<List<Ledger.Line>> lines = new ArrayList<>();
        shifts.forEach(s -> lines.add(new ArrayList<>(s)));
        Belief quiet = quiet(prior, facts, evidence);
        for (int c = 0; quiet != prior && c < lines.size(); c++) {
            lines.get(c)
                    .add(new Ledger.Line(UNSAID, Weight.between(prior.of(c), quiet.of(c)), Ledger.Kind.SILENCE, HABIT));
        }
        Belief belief = quiet;
        double[] stood = belief.ofEach();
        Measured measured = new Measured(network, facts);
        for (Evidence item : evidence) {
            Belief after = after(belief, item, measured);
            double[] stands = after == belief ? stood : after.ofEach(belief, stood);
            for (int c = 0; c < lines.size(); c++) {
                lines.get(c).add(line(item, c, facts, Weight.between(stood[c], stands[c])));
            }
            belief = after;
            stood = stands;
        }
        // What slip it was is told by what was seen of the first soap.
        Belief last = belief;
        List<Slip> explained = before.map(b -> b.slips)
                .orElseGet(() -> slips.explain(
                        lift(prior.superfat(), last.superfat()),
                        lift(prior, last, Conditions.FAT_HEAVY),
                        lift(prior, last, Conditions.WRONG_ALKALI)));
        return new Weighing(evidence, prior, quiet, belief, shifts, lines, explained);
    }

    /**
     * Where a workshop tells what is odd, what it did not tell was hardly there; before anything that was, while each
     * condition still stands alone.
     */
    private Belief quiet(Belief prior, BatchFacts facts, List<Evidence> evidence) {
        if (silenceShare <= 0) {
            return prior;
        }
        Belief belief = prior;
        for (Finding finding : silence.about(facts, evidence)) {
            belief = belief.after(network.indexOf(finding), false, silenceShare);
        }
        return belief;
    }

    private double[] priors(List<List<Ledger.Line>> shifts) {
        double[] prior = new double[network.conditions().size()];
        for (int c = 0; c < prior.length; c++) {
            double shift = shifts.get(c).stream()
                    .mapToDouble(l -> l.weight().decibans())
                    .sum();
            double odds = Weight.odds(clamp(knowledge.rate(network.conditions().get(c)))) * new Weight(shift).factor();
            prior[c] = clamp(Weight.probability(odds));
        }
        return prior;
    }

    /** What the weights say, shifted by the facts that speak for or against too much alkali. */
    private double[] superfat(SlipFinder slips, List<List<Ledger.Line>> shifts, BatchFacts facts) {
        double[] levels =
                facts.part().isEmpty() ? slips.superfat() : SuperfatLevels.moved(slips.superfat(), ofPart(facts));
        int excess = lyeHeavy();
        double factor = excess < 0
                ? 1
                : new Weight(shifts.get(excess).stream()
                                .mapToDouble(l -> l.weight().decibans())
                                .sum())
                        .factor();
        for (int level = 0; level < levels.length; level++) {
            levels[level] *= SuperfatLevels.isExcess(level) ? factor : 1;
        }
        return levels;
    }

    /** How a part differs from the whole: as planned, and by the steps of the scale for a lye of its own. */
    private static Estimate ofPart(BatchFacts facts) {
        double lye = facts.shareOfPart() * facts.asWeighed().weights().lye().grams();
        boolean own = facts.plan().pouring().portioning().route() == Portioning.LyeRoute.OWN;
        double step = own && lye > 0 ? facts.plan().scales().lyeStep().grams() / lye / STEPS_A_SIGMA : 0;
        return new Estimate(facts.superfatOfPartBeside(), step);
    }

    private Belief after(Belief belief, Evidence item, Measured measured) {
        int finding = network.indexOf(item.finding());
        if (finding < 0 || !item.counts()) {
            return belief;
        }
        if (item.value().isEmpty()) {
            return belief.after(finding, item.isPresent(), item.times());
        }
        int variable = network.variableOf(lyeHeavy());
        return belief.after(variable, measured.likelihood(finding, variable, item));
    }

    private Hinges hinges(Weighing weighing, BatchFacts facts) {
        Measured measured = new Measured(network, facts);
        return new HingeFinder(network, weighing.evidence, weighing.belief, left -> {
                    Belief belief = weighing.quiet;
                    for (Evidence item : left) {
                        belief = after(belief, item, measured);
                    }
                    return belief;
                })
                .find();
    }

    /**
     * How many times as likely as before a condition is, against its absence; 1 where the knowledge does not speak of
     * it.
     */
    private double lift(Belief before, Belief after, Condition condition) {
        int c = network.conditions().indexOf(condition);
        return c < 0 ? 1 : Weight.odds(clamp(after.of(c))) / Weight.odds(clamp(before.of(c)));
    }

    private static double[] lift(double[] before, double[] after) {
        double[] lift = new double[before.length];
        for (int level = 0; level < lift.length; level++) {
            lift[level] = before[level] > 0 ? after[level] / before[level] : 0;
        }
        return lift;
    }

    private ConditionReport report(int c, Weighing weighing) {
        Condition condition = network.conditions().get(c);
        List<Ledger.Line> shifts = weighing.shifts.get(c);
        double shifted = shifts.stream().mapToDouble(l -> l.weight().decibans()).sum();
        double start = 10 * Math.log10(Weight.odds(weighing.prior.of(c))) - shifted;
        List<Cause> causes = condition.equals(Conditions.LYE_HEAVY)
                ? weighing.slips.stream()
                        .filter(s -> s.excess() > 0.02)
                        .map(s -> new Cause(s.words(), s.arithmetic(), s.check(), OptionalDouble.of(s.probability())))
                        .toList()
                : shifts.stream()
                        .filter(l -> l.weight().decibans() > 0)
                        .map(l -> new Cause(l.words(), l.reason(), Optional.empty(), OptionalDouble.empty()))
                        .toList();
        return new ConditionReport(
                condition,
                weighing.belief.of(c),
                new Ledger(start, weighing.lines.get(c)),
                causes,
                knowledge.remedy(condition));
    }

    private Ledger.Line line(Evidence item, int c, BatchFacts facts, Weight weight) {
        Condition condition = network.conditions().get(c);
        String reason = knowledge.reason(item.finding(), condition).orElse("");
        if (item.settled()) {
            return new Ledger.Line(
                    Phrase.of(item.words()),
                    new Weight(0),
                    Ledger.Kind.DOES_NOT_CLEAR,
                    Phrase.of(reason.isEmpty() ? "" : "settled since, by the faces of several bars and a titration"));
        }
        if (item.early() && !item.isPresent()) {
            long days = Math.max(1, item.finding().from().toDays());
            if (facts.soapSince()
                    .filter(since -> item.at().isAfter(since.plus(item.finding().until())))
                    .isPresent()) {
                String late = reason.isEmpty()
                        ? ""
                        : "too late to say: it is to be seen until day "
                                + Math.max(1, item.finding().until().toDays());
                return new Ledger.Line(
                        Phrase.of(item.words()), new Weight(0), Ledger.Kind.DOES_NOT_CLEAR, Phrase.of(late));
            }
            return new Ledger.Line(
                    Phrase.of(item.words()),
                    new Weight(0),
                    Ledger.Kind.DOES_NOT_CLEAR,
                    Phrase.of(
                            reason.isEmpty()
                                    ? ""
                                    : "too early to say: look again from day " + days
                                            + " after the lye on, out of the mould"));
        }
        if (!item.counts()) {
            boolean concerns = condition.hazard() && !reason.isEmpty();
            return new Ledger.Line(
                    Phrase.of(item.words()),
                    new Weight(0),
                    Ledger.Kind.DOES_NOT_CLEAR,
                    Phrase.of(concerns ? "it can raise a suspicion, never settle one" : ""));
        }
        return new Ledger.Line(
                Phrase.of(item.words()),
                weight,
                item.isPresent() ? Ledger.Kind.SEEN : Ledger.Kind.ABSENT,
                Phrase.of(reason));
    }

    private List<Ledger.Line> factLines(Condition condition, BatchFacts facts) {
        if (facts.plan().isRework()) {
            // They speak of lye, batter and moulds full of it; scraps reacted long ago, and what their batches had is
            // in their superfat.
            return List.of();
        }
        return shifts.getOrDefault(condition, List.of()).stream()
                .flatMap(s -> s.says().apply(facts).stream()
                        .map(words -> new Ledger.Line(words, new Weight(s.weight()), Ledger.Kind.FACT, s.reason())))
                .toList();
    }

    private int lyeHeavy() {
        return network.conditions().indexOf(Conditions.LYE_HEAVY);
    }

    private static double clamp(double probability) {
        return Math.max(LEAST_PRIOR, Math.min(MOST_PRIOR, probability));
    }
}
