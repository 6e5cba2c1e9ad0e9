package io.causticon.core.workshop.practice;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.science.diagnosis.ConditionReport;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.NextLook;
import io.causticon.core.science.diagnosis.evidence.Evidence;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Knowledge;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What an ideal learner does: first what is worth its effort for the batch, the best before all; then, since here
 * everything is to be named, the look that tells most of what is left in doubt.
 */
public final class PracticeSolver {

    private static final int MOST_LOOKS = 60;

    /** Between these a condition is in doubt. */
    private static final double RULED_OUT = .04;

    private static final double SETTLED = .96;

    /** A look that is there less often than this tells little of what it would come from. */
    private static final double TELLING = .2;

    private static final int LONGEST_WAIT_DAYS = 200;
    private static final int MOST_DAYS_AT_ONCE = 60;
    private static final int MOST_IN_DOUBT = 8;

    private PracticeSolver() {}

    /**
     * What was done, and what is concluded.
     *
     * @param moves in their order
     * @param sitting after them
     * @param diagnosis at the end
     * @param concluded ids of the conditions that are likelier than not
     */
    public record Solved(
            List<PracticeMove> moves, PracticeSitting sitting, Diagnosis diagnosis, Set<String> concluded) {}

    public static Solved solve(PracticeCase practice) {
        List<PracticeMove> moves = new ArrayList<>();
        PracticeSitting sitting = PracticeSitting.of(practice, moves);
        Diagnosis diagnosis = sitting.diagnosis();
        for (int n = 0; n < MOST_LOOKS; n++) {
            List<PracticeMove> step = step(sitting, diagnosis);
            if (step.isEmpty()) {
                break;
            }
            moves.addAll(step);
            sitting = PracticeSitting.of(practice, moves);
            diagnosis = sitting.diagnosis();
        }
        return new Solved(List.copyOf(moves), sitting, diagnosis, concluded(diagnosis));
    }

    /**
     * The same without what was not needed for it: moves are left out, the last first, as long as what is concluded
     * stays as it is and a test was there.
     */
    public static Solved shortest(PracticeCase practice) {
        Solved solved = solve(practice);
        List<PracticeMove> moves = new ArrayList<>(solved.moves());
        for (int i = moves.size() - 1; i >= 0; i--) {
            List<PracticeMove> fewer = new ArrayList<>(moves);
            PracticeMove left = fewer.remove(i);
            PracticeSitting sitting = PracticeSitting.of(practice, fewer);
            boolean tested =
                    left.kind() != PracticeMove.Kind.TITRATE || fewer.contains(PracticeMove.of(PracticeMove.Kind.WASH));
            if (tested
                    && sitting.done().size() == fewer.size()
                    && concluded(sitting.diagnosis()).equals(solved.concluded())) {
                moves = fewer;
            }
        }
        PracticeSitting sitting = PracticeSitting.of(practice, moves);
        return new Solved(List.copyOf(moves), sitting, sitting.diagnosis(), solved.concluded());
    }

    /** The best look of those that can be taken, with the waiting that it wants. */
    private static List<PracticeMove> step(PracticeSitting sitting, Diagnosis diagnosis) {
        for (NextLook next : diagnosis.next()) {
            Optional<PracticeMove> move = move(next.finding());
            if (move.isEmpty()) {
                continue;
            }
            int wait = days(sitting, next.finding());
            List<PracticeMove> step = after(wait, move.get());
            PracticeSitting after = PracticeSitting.of(sitting.of(), plus(sitting, step));
            if (after.done().size() == sitting.done().size() + step.size()) {
                return step;
            }
        }
        return doubt(sitting, diagnosis);
    }

    /** The look that tells most of the likeliest condition that is in doubt. */
    private static List<PracticeMove> doubt(PracticeSitting sitting, Diagnosis diagnosis) {
        Knowledge knowledge = StandardKnowledge.all();
        List<String> inDoubt = diagnosis.reports().stream()
                .filter(r -> r.probability() > RULED_OUT && r.probability() < SETTLED)
                .sorted(Comparator.comparingDouble(ConditionReport::probability).reversed())
                .limit(MOST_IN_DOUBT)
                .map(r -> r.condition().id())
                .toList();
        if (inDoubt.isEmpty()) {
            return List.of();
        }
        for (String condition : Stream.concat(inDoubt.stream(), rivals(diagnosis, knowledge))
                .distinct()
                .toList()) {
            List<Finding> telling = Findings.ALL.stream()
                    .filter(f -> move(f).isPresent() && knowledge.strength(f.id(), condition) >= TELLING)
                    .sorted(Comparator.comparingDouble((Finding f) -> -knowledge.strength(f.id(), condition)))
                    .toList();
            for (Finding finding : telling) {
                PracticeMove move = move(finding).orElseThrow();
                int wait = days(sitting, finding);
                boolean again = move.kind() != PracticeMove.Kind.LOOK
                        && sitting.done().stream().anyMatch(d -> d.move().equals(move));
                List<PracticeMove> step = after(wait, move);
                if (!again
                        && wait <= LONGEST_WAIT_DAYS
                        && PracticeSitting.of(sitting.of(), plus(sitting, step))
                                        .done()
                                        .size()
                                == sitting.done().size() + step.size()) {
                    return step;
                }
            }
        }
        return List.of();
    }

    /** What else brings about something that is seen: ruled out, it leaves the more to what is in doubt. */
    private static Stream<String> rivals(Diagnosis diagnosis, Knowledge knowledge) {
        List<String> seen = diagnosis.evidence().stream()
                .filter(Evidence::isPresent)
                .map(e -> e.finding().id())
                .toList();
        return diagnosis.reports().stream()
                .filter(r -> r.probability() < Diagnosis.LEADS_FROM)
                .sorted(Comparator.comparingDouble(ConditionReport::probability).reversed())
                .map(r -> r.condition().id())
                .filter(id -> seen.stream().anyMatch(f -> knowledge.strength(f, id) >= TELLING));
    }

    private static List<PracticeMove> plus(PracticeSitting sitting, List<PracticeMove> step) {
        List<PracticeMove> all = new ArrayList<>(
                sitting.done().stream().map(PracticeSitting.Done::move).toList());
        all.addAll(step);
        return all;
    }

    /** A move, and the waiting before it. */
    private static List<PracticeMove> after(int days, PracticeMove move) {
        List<PracticeMove> step = new ArrayList<>();
        for (int left = days; left > 0; left -= MOST_DAYS_AT_ONCE) {
            step.add(PracticeMove.days(Math.min(left, MOST_DAYS_AT_ONCE)));
        }
        step.add(move);
        return step;
    }

    private static int days(PracticeSitting sitting, Finding finding) {
        double from = Math.max(
                finding.from().toMinutes() / (double) Duration.ofDays(1).toMinutes(),
                PracticeCase.isLook(finding.id()) ? PracticeCase.dayOf(finding.id()) : 0);
        return (int) Math.ceil(Math.max(0, from - sitting.day()));
    }

    /** How something is found out here; empty for what cannot be. */
    static Optional<PracticeMove> move(Finding finding) {
        if (finding.equals(Findings.WASH_BURNS)) {
            return Optional.of(PracticeMove.of(PracticeMove.Kind.WASH));
        } else if (finding.equals(Findings.FREE_ALKALI)) {
            return Optional.of(PracticeMove.of(PracticeMove.Kind.TITRATE));
        }
        return PracticeCase.isLook(finding.id()) ? Optional.of(PracticeMove.look(finding.id())) : Optional.empty();
    }

    static Set<String> concluded(Diagnosis diagnosis) {
        return diagnosis.reports().stream()
                .filter(r -> r.probability() >= Diagnosis.LEADS_FROM)
                .map((ConditionReport r) -> r.condition().id())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** Whether one who looked at everything, and washed and titrated, would be right. */
    static boolean canBeTold(PracticeCase practice) {
        List<PracticeMove> all =
                new ArrayList<>(List.of(PracticeMove.days(60), PracticeMove.days(60), PracticeMove.days(60)));
        all.add(PracticeMove.of(PracticeMove.Kind.TITRATE));
        all.add(PracticeMove.of(PracticeMove.Kind.WASH));
        PracticeSitting sitting = PracticeSitting.of(practice, all);
        for (int round = 0; round < 3; round++) {
            List<PracticeMove> open =
                    sitting.open().stream().map(f -> PracticeMove.look(f.id())).toList();
            all.addAll(open);
            sitting = PracticeSitting.everything(practice, all);
        }
        return PracticeReview.isRight(practice, concluded(sitting.diagnosis()));
    }
}
