package io.causticon.core.science.diagnosis;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Presence;
import io.causticon.core.science.diagnosis.evidence.CalmWashes;
import io.causticon.core.science.diagnosis.evidence.ClosedIn;
import io.causticon.core.science.diagnosis.evidence.Evidence;
import io.causticon.core.science.diagnosis.evidence.FreeAlkali;
import io.causticon.core.science.diagnosis.evidence.Measured;
import io.causticon.core.science.diagnosis.network.Belief;
import io.causticon.core.science.diagnosis.network.Conditions;
import io.causticon.core.science.diagnosis.network.Network;
import io.causticon.core.science.diagnosis.network.Weight;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.wording.Exactly;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * Looks for the {@link Road}: what the gate asks for by itself first, then, one after the other, the look whose calm
 * outcome lowers the likeliest hazard most for its effort, until all lie below the limit. It is sought without a
 * burette first; with one only where looks alone lead nowhere.
 */
final class RoadFinder {

    /** More than these nobody does; a batch that wants more is melted down. */
    private static final int MOST_STEPS = 9;

    /** A look lowers the odds of what blocks at least by so many decibans, or it is none. */
    private static final double LEAST_GAIN = .4;

    /** Minutes that setting up a titration costs whoever has no burette (a judgement). */
    private static final double BURETTE = 90;

    /** Bars that one road asks to be titrated: who would want more melts the batch down. */
    static final int MOST_TITRATIONS = 4;

    private static final double DAY_OF_WAITING = 20;
    private static final double NOT_ALONE = 3;
    private static final int MORE_FACES = 3;
    private static final Duration AGAIN_AFTER = Duration.ofDays(3);
    private static final Duration WEEK = Duration.ofDays(7);

    private final Network network;
    private final BatchFacts facts;
    private final Measured measured;
    private final int mostTitrations;
    private final List<Evidence> evidence;
    private final Set<Finding> known = new HashSet<>();
    private final List<Road.Step> steps = new ArrayList<>();
    private Belief belief;
    private boolean cut;
    private int titrations;

    /** @param mostTitrations beside those that the gate asks for itself: none for whoever has no burette */
    RoadFinder(Network network, BatchFacts facts, List<Evidence> evidence, Belief belief, int mostTitrations) {
        this.mostTitrations = mostTitrations;
        this.network = network;
        this.facts = facts;
        this.measured = new Measured(network, facts);
        this.evidence = evidence;
        this.belief = belief;
        evidence.stream()
                .filter(e -> e.isPresent() || e.counts())
                .map(Evidence::finding)
                .forEach(known::add);
    }

    Road find(ReleaseGate gate) {
        if (gate.isOpen()) {
            return Road.DONE;
        }
        if (has(gate, ReleaseGate.Kind.MADE)
                || has(gate, ReleaseGate.Kind.MEANT_FOR_USE)
                || has(gate, ReleaseGate.Kind.FIT_FOR_USE)) {
            return Road.NOWHERE;
        }
        asked(gate);
        while (worst() >= 0 && steps.size() < MOST_STEPS) {
            if (!lower()) {
                break;
            }
        }
        if (has(gate, ReleaseGate.Kind.AGE)) {
            facts.soapSince()
                    .ifPresent(since -> steps.add(
                            step(Road.Kind.WAIT, "", Phrase.of("wait until it is a week old"), since.plus(WEEK))));
        }
        steps.sort(Comparator.comparing(Road.Step::from));
        return new Road(steps, worst() < 0);
    }

    private static boolean has(ReleaseGate gate, ReleaseGate.Kind kind) {
        return gate.missing().stream().anyMatch(r -> r.kind() == kind);
    }

    /** What the gate wants whatever the probabilities are. */
    private void asked(ReleaseGate gate) {
        ClosedIn closed = ClosedIn.of(facts);
        if (has(gate, ReleaseGate.Kind.CUTS)) {
            cut(closed.kind().faces - closed.cleanBars());
        }
        boolean stands = has(gate, ReleaseGate.Kind.NO_STANDING_SIGN);
        boolean tooLikely = belief.anyHazard() > Diagnosis.CALM_ENOUGH_TO_TOUCH;
        boolean untested = has(gate, ReleaseGate.Kind.TEST);
        if (has(gate, ReleaseGate.Kind.MEASURED) || stands || untested && tooLikely) {
            int samples = Math.max(1, closed.sign().isPresent() ? closed.kind().samples - closed.titratedBars() : 1);
            titrate(samples, stands ? lastSign().plus(AGAIN_AFTER) : facts.now());
        }
        if (stands) {
            wash(
                    Phrase.of("when that is calm, wash your own hands with another bar"),
                    lastSign().plus(AGAIN_AFTER));
        } else if (untested && titrations == 0) {
            washTwice();
        }
    }

    private Instant lastSign() {
        return evidence.stream()
                .filter(e -> e.isPresent() && e.finding().group() == Finding.Group.SKIN)
                .map(Evidence::at)
                .max(Comparator.naturalOrder())
                .orElse(facts.now());
    }

    private void cut(int faces) {
        int more = Math.max(1, faces);
        cut = true;
        steps.add(step(
                Road.Kind.CUT,
                Findings.WHITE_SPOTS.id(),
                more == 1
                        ? Phrase.of("cut one bar from another place, look at the fresh face, and say which")
                        : Phrase.of(
                                "cut {} bars from different places, look at the fresh faces, and say which",
                                new Exactly(more, 0)),
                from(Findings.WHITE_SPOTS)));
        belief = belief.after(
                network.indexOf(Findings.WHITE_SPOTS), false, clean(more).times());
    }

    private Evidence clean(int bars) {
        return new Evidence(
                Findings.WHITE_SPOTS,
                Presence.LOOKED_AND_ABSENT,
                facts.now(),
                Evidence.Source.MAKER,
                "",
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                bars,
                false,
                false);
    }

    private void titrate(int samples, Instant from) {
        boolean another = titrations > 0;
        titrations += samples;
        Instant at = later(from, from(Findings.FREE_ALKALI));
        steps.add(step(
                Road.Kind.TITRATE,
                Findings.FREE_ALKALI.id(),
                samples == 1
                        ? Phrase.of("titrate shavings from the core of {} bar", another ? "another" : "a")
                        : Phrase.of("titrate {} bars, and say which", new Exactly(samples, 0)),
                at));
        for (int i = 0; i < samples; i++) {
            belief = afterNil(belief, at);
        }
        known.add(Findings.FREE_ALKALI);
    }

    private Belief afterNil(Belief before, Instant at) {
        Evidence nil = new Evidence(
                Findings.FREE_ALKALI,
                Presence.LOOKED_AND_ABSENT,
                at,
                Evidence.Source.LOG,
                "",
                OptionalDouble.of(0),
                OptionalDouble.of(FreeAlkali.LIMIT_PERCENT),
                1,
                false,
                false);
        int variable = network.variableOf(network.conditions().indexOf(Conditions.LYE_HEAVY));
        return before.after(variable, measured.likelihood(network.indexOf(Findings.FREE_ALKALI), variable, nil));
    }

    private void wash(Phrase words, Instant from) {
        steps.add(step(Road.Kind.WASH, Findings.WASH_BURNS.id(), words, later(from, from(Findings.WASH_BURNS))));
        // After one that burned, a calm one is what the burn is weighed against.
        Finding calm = known.add(Findings.WASH_BURNS) ? Findings.WASH_BURNS : Findings.BURNS_AGAIN;
        if (calm.equals(Findings.WASH_BURNS) || known.add(Findings.BURNS_AGAIN)) {
            belief = belief.after(network.indexOf(calm), false);
        }
    }

    /** Where nobody titrates; the second only, where one was calm already. */
    private void washTwice() {
        Optional<Instant> second = CalmWashes.secondFrom(facts);
        if (second.isEmpty()) {
            wash(Phrase.of("wash your own hands with it once"), facts.now());
        }
        Instant first = second.isPresent() ? facts.now() : later(facts.now(), from(Findings.WASH_BURNS));
        steps.add(step(
                Road.Kind.WASH,
                Findings.WASH_BURNS.id(),
                Phrase.of("when that was calm, wash with another bar, and say which"),
                later(facts.now(), second.orElse(first.plus(Duration.ofDays(CalmWashes.daysApart(facts)))))));
        belief = belief.after(network.indexOf(Findings.WASH_BURNS), false, Evidence.NEIGHBOUR);
    }

    /** Number of the likeliest hazard that is not below the limit yet; -1 where all are. */
    private int worst() {
        int worst = -1;
        for (int c = 0; c < network.conditions().size(); c++) {
            if (network.conditions().get(c).hazard()
                    && belief.of(c) >= ReleaseGate.RELEASED_BELOW
                    && (worst < 0 || belief.of(c) > belief.of(worst))) {
                worst = c;
            }
        }
        return worst;
    }

    /** Takes the best look more; says whether there was one. */
    private boolean lower() {
        int worst = worst();
        int best = -1;
        double most = 0;
        for (int f = 0; f < network.findings().size(); f++) {
            Finding finding = network.findings().get(f);
            if (isPossible(finding) && network.canBringAbout(worst, f)) {
                double gain = gain(worst, belief.after(f, false));
                double worth = gain / (finding.minutes() + NOT_ALONE + waiting(finding));
                if (gain >= LEAST_GAIN && worth > most) {
                    most = worth;
                    best = f;
                }
            }
        }
        double faces = cut
                ? 0
                : gain(
                        worst,
                        belief.after(
                                network.indexOf(Findings.WHITE_SPOTS),
                                false,
                                clean(MORE_FACES).times()));
        if (faces >= LEAST_GAIN && faces / (MORE_FACES + NOT_ALONE) > most) {
            cut(MORE_FACES);
            return true;
        }
        double nil = titrations >= mostTitrations ? 0 : gain(worst, afterNil(belief, facts.now()));
        if (nil >= LEAST_GAIN && nil / BURETTE > most) {
            titrate(1, facts.now());
            return true;
        }
        if (best < 0) {
            return false;
        }
        look(network.findings().get(best), best);
        return true;
    }

    private void look(Finding finding, int number) {
        known.add(finding);
        belief = belief.after(number, false);
        steps.add(step(
                finding.equals(Findings.WASH_BURNS) ? Road.Kind.WASH : Road.Kind.LOOK,
                finding.id(),
                Phrase.of(finding.look()),
                from(finding)));
    }

    /** In decibans. */
    private double gain(int condition, Belief after) {
        return 10 * Math.log10(Weight.odds(belief.of(condition)) / Weight.odds(after.of(condition)));
    }

    private double waiting(Finding finding) {
        return DAY_OF_WAITING
                * (Duration.between(facts.now(), from(finding)).toHours() / 24.
                        + finding.takes().toDays());
    }

    /** Not in a pot that is long empty, not on a tongue, and not what was looked at already. */
    private boolean isPossible(Finding finding) {
        boolean inTime = facts.age().compareTo(finding.until()) <= 0;
        boolean special = finding.equals(Findings.ZAP)
                || finding.isMeasured()
                || finding.equals(Findings.WHITE_SPOTS)
                || finding.equals(Findings.BURNS_AGAIN);
        return !known.contains(finding)
                && finding.absenceClears()
                && inTime
                && finding.group() != Finding.Group.POT
                && !special;
    }

    private Instant from(Finding finding) {
        Instant since = facts.soapSince().orElse(facts.now());
        boolean onSkin =
                finding.group() == Finding.Group.SKIN && !finding.isMeasured() || finding.group() == Finding.Group.USE;
        Instant meant = onSkin ? facts.skinFrom().orElse(since) : since.plus(finding.from());
        return later(meant, facts.now());
    }

    private static Instant later(Instant one, Instant other) {
        return one.isAfter(other) ? one : other;
    }

    private static Road.Step step(Road.Kind kind, String finding, Phrase words, Instant from) {
        return new Road.Step(kind, finding, words, from, "");
    }
}
