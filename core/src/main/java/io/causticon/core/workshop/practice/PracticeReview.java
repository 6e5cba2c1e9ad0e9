package io.causticon.core.workshop.practice;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Condition;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * What a learner's conclusion was worth.
 *
 * @param right whether all that it has for certain was named, and nothing that it has not
 * @param missed what it has for certain and was not named, by ids; hazards that came by chance as well
 * @param falseAlarms what was named and is not there
 * @param releasedHazard whether it was given into hands with a hazard in it: nothing makes up for that
 * @param releasedUntested whether it was given away before a wash or a titration was calm
 * @param heldInVain whether it was held though nothing in it can hurt
 * @param needless moves that could change no decision when they were made
 * @param remedyRight whether the remedy is that of something it has
 * @param points 0 to 100
 */
public record PracticeReview(
        boolean right,
        Set<String> missed,
        Set<String> falseAlarms,
        boolean releasedHazard,
        boolean releasedUntested,
        boolean heldInVain,
        List<PracticeMove> needless,
        boolean remedyRight,
        int points) {

    private static final int FOR_MISSING = 30;
    private static final int FOR_A_FALSE_ALARM = 15;
    private static final int FOR_NO_TEST = 30;
    private static final int FOR_HOLDING_IN_VAIN = 15;
    private static final int FOR_A_NEEDLESS_LOOK = 2;
    private static final int FOR_SKIN = 15;
    private static final int FOR_THE_WRONG_REMEDY = 10;
    private static final int FULL = 100;

    public PracticeReview {
        missed = Set.copyOf(missed);
        falseAlarms = Set.copyOf(falseAlarms);
        needless = List.copyOf(needless);
    }

    /**
     * What a learner says.
     *
     * @param conditions that it has, by ids
     * @param hold whether it is kept back
     * @param remedy condition whose remedy is chosen, by its id; empty for none
     * @param certainty of the conditions, 0 to 1
     */
    public record Conclusion(Set<String> conditions, boolean hold, String remedy, double certainty) {

        public Conclusion {
            conditions = Set.copyOf(conditions);
        }
    }

    public static PracticeReview of(PracticeSitting sitting, Conclusion said) {
        PracticeCase practice = sitting.of();
        Set<String> there = practice.conditions();
        Set<String> missed = new TreeSet<>(wanted(practice));
        missed.removeAll(said.conditions());
        Set<String> alarms = new TreeSet<>(said.conditions());
        alarms.removeAll(there);
        boolean hazard = there.stream().anyMatch(PracticeReview::isHazard);
        boolean untested = !said.hold() && sitting.done().stream().noneMatch(PracticeReview::isCalm);
        List<PracticeMove> needless = needless(sitting);
        boolean remedy = there.contains(said.remedy());
        int lost = FOR_MISSING * missed.size()
                + FOR_A_FALSE_ALARM * alarms.size()
                + (untested ? FOR_NO_TEST : 0)
                + (said.hold() && !hazard ? FOR_HOLDING_IN_VAIN : 0)
                + FOR_A_NEEDLESS_LOOK * needless.size()
                + FOR_SKIN * sitting.burnt()
                + (remedy ? 0 : FOR_THE_WRONG_REMEDY);
        boolean released = hazard && !said.hold();
        return new PracticeReview(
                isRight(practice, said.conditions()),
                missed,
                alarms,
                released,
                untested,
                said.hold() && !hazard,
                needless,
                remedy,
                released ? 0 : Math.max(0, FULL - lost));
    }

    /** Whether all that matters was named, and nothing that is not there. */
    static boolean isRight(PracticeCase practice, Set<String> named) {
        return named.containsAll(wanted(practice)) && practice.conditions().containsAll(named);
    }

    /** What is to be found: what it has for certain, and whatever can hurt. */
    private static Set<String> wanted(PracticeCase practice) {
        Set<String> wanted = new TreeSet<>(practice.drawn().certain());
        practice.conditions().stream().filter(PracticeReview::isHazard).forEach(wanted::add);
        return wanted;
    }

    static boolean isHazard(String id) {
        return StandardKnowledge.all().conditions().stream()
                .filter(c -> c.id().equals(id))
                .anyMatch(Condition::hazard);
    }

    private static boolean isCalm(PracticeSitting.Done done) {
        return done.entry()
                .filter(e -> e instanceof Entry.WashTested w && w.feel() == WashFeel.CALM
                        || e instanceof Entry.Titrated t && t.freeAlkaliPercent() == 0)
                .isPresent();
    }

    /**
     * What was looked at though it was not among what was worth it then. The first calm test never is needless: nothing
     * goes without one.
     */
    private static List<PracticeMove> needless(PracticeSitting sitting) {
        List<PracticeMove> needless = new ArrayList<>();
        List<PracticeMove> before = new ArrayList<>();
        for (PracticeSitting.Done done : sitting.done()) {
            boolean firstTest = done.move().kind() != PracticeMove.Kind.LOOK
                    && before.stream()
                            .noneMatch(
                                    m -> m.kind() == PracticeMove.Kind.WASH || m.kind() == PracticeMove.Kind.TITRATE);
            if (done.move().kind() != PracticeMove.Kind.WAIT && !firstTest) {
                Diagnosis then = PracticeSitting.of(sitting.of(), before).diagnosis();
                Set<PracticeMove> worth = then.next().stream()
                        .flatMap(n -> PracticeSolver.move(n.finding()).stream())
                        .collect(Collectors.toSet());
                if (!worth.contains(done.move())) {
                    needless.add(done.move());
                }
            }
            before.add(done.move());
        }
        return needless;
    }
}
