package io.causticon.core.workshop.assessment;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.science.diagnosis.ConditionReport;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.ReleaseGate;
import io.causticon.core.science.diagnosis.Road;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.workshop.dates.Tasks;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What is to be said of a batch at one moment. It follows from plan, log and what the workshop knows, and whoever tells
 * anything of the batch tells it from here: two pages cannot say two things.
 *
 * @param life where in its life it is
 * @param state the one word for it
 * @param hold why it may not be used; empty where it may, or where nobody could yet
 * @param examined what it has, by parts where each had lye of its own, and what a release wants; empty on the bench,
 *     and where it cannot be judged
 * @param doubts what was kept without its question being answered
 * @param dates the dates that it is known by
 */
public record Assessment(
        Life life,
        State state,
        Optional<Hold> hold,
        Optional<Diagnostician.Examined> examined,
        List<Doubts.Open> doubts,
        Tasks.Milestones dates) {

    public Assessment {
        doubts = List.copyOf(doubts);
    }

    /**
     * What is known beside plan and log.
     *
     * @param diagnostician who judges, by what is known of soap and what this workshop learned
     * @param vessels masses of the workshop's jugs and bowls
     */
    public record Known(Diagnostician diagnostician, KnownVessels vessels) {}

    /** Judges a batch. What cannot be judged is held as that. */
    public static Assessment of(BatchPlan plan, BatchLog log, Known known, Instant now) {
        BatchFacts facts = BatchFacts.of(plan, log, now);
        Life life = Life.of(log);
        List<Doubts.Open> doubts = Doubts.open(plan, log);
        Tasks.Milestones dates = Tasks.milestones(plan, log);
        if (life == Life.BENCH || life == Life.ABANDONED) {
            Optional<Hold> byHand = Hold.logged(log);
            return new Assessment(life, State.of(life, byHand, null), byHand, Optional.empty(), doubts, dates);
        }
        Diagnostician.Examined examined = known.diagnostician().assess(facts, known.vessels());
        Diagnostician.Examined gated = new Diagnostician.Examined(
                examined.diagnosis(), examined.parts(), examined.gate().withDoubts(doubts.size()));
        Optional<Hold> hold = Hold.of(log, gated, now);
        return new Assessment(life, State.of(life, hold, gated), hold, Optional.of(gated), doubts, dates);
    }

    /**
     * Of a batch that cannot be worked out: held, as nobody can say that it is safe.
     *
     * @param why what went wrong, in words
     */
    public static Assessment notJudged(BatchPlan plan, BatchLog log, String why, Instant now) {
        Life life = Life.of(log);
        boolean made = life != Life.BENCH && life != Life.ABANDONED;
        Optional<Hold> logged = Hold.logged(log);
        Optional<Hold> hold = made
                ? Optional.of(logged.orElseGet(
                        () -> new Hold(Hold.Kind.NOT_JUDGED, now, "it cannot be judged: " + why, false)))
                : logged;
        return new Assessment(
                life, State.of(life, hold, null), hold, Optional.empty(), List.of(), Tasks.milestones(plan, log));
    }

    /** Whether it may not be used or sold until it is released. */
    public boolean isHeld() {
        return hold.isPresent();
    }

    /** The line that has to hold it where none does yet: what speaks against it came by another door than its log. */
    public Optional<Entry.Held> arises() {
        return hold.filter(h -> !h.isLogged()).map(h -> new Entry.Held(h.because()));
    }

    /** What a release wants; empty while there is nothing to release, or where it cannot be judged. */
    public Optional<ReleaseGate> gate() {
        return examined.map(Diagnostician.Examined::gate);
    }

    /** Whether it may be released: it is judged, and nothing is missing. */
    public boolean mayBeReleased() {
        return gate().filter(ReleaseGate::isOpen).isPresent();
    }

    /** The likeliest of what could hurt somebody, of the batch or of a part. */
    public Optional<ConditionReport> worstHazard() {
        return examined.map(e -> worst(e.worst()));
    }

    private static ConditionReport worst(Diagnosis diagnosis) {
        return diagnosis.reports().stream()
                .filter(r -> r.condition().hazard())
                .max(Comparator.comparingDouble(ConditionReport::probability))
                .orElseThrow(() -> new IllegalStateException("Impossible state: nothing is known of hazards"));
    }

    /** What would open the gate were it calm: for a page, as it takes as long as judging does. */
    public static Road road(BatchPlan plan, BatchLog log, Known known, Diagnostician.Examined examined, Instant now) {
        return known.diagnostician().road(BatchFacts.of(plan, log, now), known.vessels(), examined);
    }

    /** The one word for a batch, on each page, label, list and in each answer. */
    public enum State {
        BENCH("on the bench"),
        MOULD("in the mould"),
        CURE("in cure"),
        /** Released, and nothing speaks against it since. */
        RELEASED("released"),
        HELD("held: do not use or sell"),
        UNFIT("not for use or sale"),
        NOT_JUDGED("held: cannot be judged"),
        ABANDONED("given up");

        private final String words;

        State(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        public boolean isHeld() {
            return this == HELD || this == UNFIT || this == NOT_JUDGED;
        }

        static State of(Life life, Optional<Hold> hold, Diagnostician.@Nullable Examined examined) {
            if (hold.isPresent()) {
                return switch (hold.get().kind()) {
                    case UNFIT -> UNFIT;
                    case NOT_JUDGED -> NOT_JUDGED;
                    case HAZARD, SIGN, BY_HAND -> examined != null && isUnfitAlone(examined) ? UNFIT : HELD;
                };
            }
            return switch (life) {
                case BENCH -> BENCH;
                case MOULD -> MOULD;
                case CURE -> CURE;
                case READY -> RELEASED;
                case ABANDONED -> ABANDONED;
            };
        }

        private static boolean isUnfitAlone(Diagnostician.Examined examined) {
            Diagnosis worst = examined.worst();
            return worst.unfit().isPresent() && worst.anyHazard() < Diagnosis.HOLD_FROM && !worst.signStands();
        }
    }
}
