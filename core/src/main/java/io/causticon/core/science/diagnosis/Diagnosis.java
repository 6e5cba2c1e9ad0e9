package io.causticon.core.science.diagnosis;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.science.diagnosis.evidence.Evidence;
import io.causticon.core.science.diagnosis.evidence.Unfit;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Conditions;
import io.causticon.core.science.diagnosis.slips.Slip;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The whole report, in a stable order: hazards first, then by probability.
 *
 * @param reports every condition, also those ruled out
 * @param evidence what was looked at, in the order in which it came
 * @param anyHazard probability of at least one hazard, 0 to 1
 * @param atMost whether more hangs together than can be weighed at once, so that hazards are given by an upper bound
 * @param signStands whether a test burned, stung or found alkali and was not repeated since: then it is held, however
 *     unlikely its hazards are
 * @param superfat what its superfat is, a fraction, by weights and tests together
 * @param excess how much alkali is too much, if any is
 * @param slips what slip at the scale would explain it, likeliest first
 * @param looks what to look at next
 */
public record Diagnosis(
        List<ConditionReport> reports,
        List<Evidence> evidence,
        double anyHazard,
        boolean atMost,
        boolean signStands,
        Estimate superfat,
        Excess excess,
        List<Slip> slips,
        Looks looks) {

    /** From here on a batch is held until the hazard is ruled out. */
    public static final double HOLD_FROM = 0.10;

    /**
     * Where the question is what the bar most likely has: below this a hazard counts as ruled out, and a cosmetic
     * verdict may be given. That nobody is hurt is another question, and has a limit of its own:
     * {@link ReleaseGate#RELEASED_BELOW}.
     */
    public static final double NAMED_BELOW = 0.02;

    static final Set<Finding> TESTS = Set.of(Findings.WASH_BURNS, Findings.FREE_ALKALI, Findings.METER_HIGH);

    /** From here on a condition may be called what the bar has. */
    public static final double LEADS_FROM = 0.5;

    /** Above this neither a wash nor a tongue is proposed. */
    public static final double CALM_ENOUGH_TO_TOUCH = 0.05;

    public Diagnosis {
        if (!(anyHazard >= 0 && anyHazard <= 1)) {
            throw new IllegalArgumentException("Impossible state: a hazard of " + anyHazard);
        }
        reports = List.copyOf(reports);
        evidence = List.copyOf(evidence);
        slips = List.copyOf(slips);
    }

    /** What to look at next, most telling first. */
    public List<NextLook> next() {
        return looks.next();
    }

    /** Whether there is one look that could let it go, as far as its hazards are concerned. */
    public boolean lookCouldFree() {
        return !signStands && looks.oneCouldFree();
    }

    /** What the report comes to. */
    public enum Verdict {
        HOLD,
        NOT_RULED_OUT,
        CALM
    }

    public Verdict verdict() {
        if (anyHazard >= HOLD_FROM || signStands || unfit().isPresent()) {
            return Verdict.HOLD;
        }
        return isOpen() || !isTested() ? Verdict.NOT_RULED_OUT : Verdict.CALM;
    }

    /** Whether a hazard is likely enough to be looked into before anything else. */
    public boolean isOpen() {
        return anyHazard >= NAMED_BELOW;
    }

    /**
     * Its superfat as whoever melts it down reckons with it: where alkali is likely, that there is too much, and how
     * much that may be at the most (nineteen times out of twenty); else as weights and tests tell it.
     */
    public Estimate superfatToRework() {
        if (of(Conditions.LYE_HEAVY).probability() < HOLD_FROM) {
            return superfat;
        }
        double middle = excess.middle().fraction();
        return new Estimate(-middle, Math.max(0, excess.band().high() - middle) / Rework.WORST_SIGMAS);
    }

    /** Whether a wash or a measurement was calm: without that nothing is called so. */
    public boolean isTested() {
        return evidence.stream().anyMatch(e -> !e.isPresent() && TESTS.contains(e.finding()));
    }

    /**
     * What makes it unfit for use or sale, though it burns nobody, where that is likelier than not, or plain to see.
     */
    public Optional<ConditionReport> unfit() {
        return reports.stream()
                .filter(r -> r.condition().unfit()
                        && (r.probability() >= LEADS_FROM || Unfit.isPlain(r.condition(), evidence)))
                .max(Comparator.comparingDouble(ConditionReport::probability));
    }

    /** The likeliest condition, if any is likelier than not. */
    public Optional<ConditionReport> leading() {
        return reports.stream()
                .filter(r -> r.probability() >= LEADS_FROM)
                .max(Comparator.comparingDouble(ConditionReport::probability));
    }

    public ConditionReport of(Condition condition) {
        return reports.stream()
                .filter(r -> r.condition().equals(condition))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "Impossible state: the report has nothing on " + condition.name()));
    }
}
