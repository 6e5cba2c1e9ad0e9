package io.causticon.evaluation;

import io.causticon.core.workshop.practice.PracticeCase;
import io.causticon.core.workshop.practice.PracticeLevel;
import io.causticon.core.workshop.practice.PracticeReview;
import io.causticon.core.workshop.practice.PracticeSolver;
import java.util.Locale;

/** Prints how often an ideal learner is right: {@code PracticeEvaluation [cases a level]}. */
public final class PracticeEvaluation {

    private PracticeEvaluation() {}

    public static void main(String[] arguments) {
        int cases = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 200;
        System.out.printf(
                "%d cases a level%n%n| level | ideal learner right | looks a case | days | given away with a hazard in"
                        + " it, points |%n|---|---|---|---|---|%n",
                cases);
        for (PracticeLevel level : PracticeLevel.values()) {
            Tally right = new Tally();
            double looks = 0;
            double days = 0;
            int rewarded = 0;
            for (int seed = 0; seed < cases; seed++) {
                PracticeCase practice = PracticeCase.draw(level, seed);
                PracticeSolver.Solved solved = PracticeSolver.solve(practice);
                PracticeReview released = PracticeReview.of(
                        solved.sitting(),
                        new PracticeReview.Conclusion(
                                solved.concluded(),
                                false,
                                solved.concluded().stream().findFirst().orElse(""),
                                1));
                right.add(released.right());
                looks += solved.moves().size();
                days += solved.sitting().day();
                rewarded = Math.max(rewarded, released.releasedHazard() ? released.points() : 0);
            }
            System.out.printf(
                    Locale.ROOT,
                    "| %s | %s | %.1f | %.0f | %d |%n",
                    level.words(),
                    right,
                    looks / cases,
                    days / cases,
                    rewarded);
        }
    }
}
