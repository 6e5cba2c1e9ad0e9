package io.causticon.core.model.log;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.Titration.Acid;
import io.causticon.core.model.said.entry.EntryCheck;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.quantity.Mass;
import org.junit.jupiter.api.Test;

/** Titrations, by hand. */
class TitrationTest {

    @Test
    void millilitresOfAStandardSolution() {
        // 2.5 ml of 0.1 mol/l are 0.25 mmol, 9.999 mg of NaOH; of 5 g that is 0.2 %.
        Titration by = new Titration(Acid.STANDARD, 2.5, 0.1, Mass.grams(5));
        assertThat(by.freeAlkaliPercent().value()).isCloseTo(0.19999, within(1e-5));
        // Two drops on two and a half millilitres, and the scale, are some four per cent of it.
        assertThat(by.freeAlkaliPercent().standardDeviation()).isBetween(0.006, 0.012);
    }

    @Test
    void gramsOfCitricAcidFromTheKitchen() {
        // 10 g of 1 % hold 0.1 g; / 192.124 x 3 = 1.5615 mmol; x 39.997 = 62.45 mg of NaOH; of 20 g 0.312 %.
        assertThat(new Titration(Acid.CITRIC, 10, 1, Mass.grams(20))
                        .freeAlkaliPercent()
                        .value())
                .isCloseTo(0.31227, within(1e-4));
        // With its water of crystallisation there is less acid in a gram.
        assertThat(new Titration(Acid.CITRIC_MONOHYDRATE, 10, 1, Mass.grams(20))
                        .freeAlkaliPercent()
                        .value())
                .isCloseTo(0.31227 * 192.124 / 210.14, within(1e-4));
        // At home the error is larger than at a burette.
        assertThat(new Titration(Acid.CITRIC, 10, 1, Mass.grams(20))
                                .freeAlkaliPercent()
                                .standardDeviation()
                        / 0.312)
                .isBetween(0.04, 0.08);
    }

    @Test
    void noColourToBeginWithIsNoFreeAlkaliToAFewDrops() {
        Titration none = new Titration(Acid.STANDARD, 0, 0.1, Mass.grams(5));
        assertThat(none.freeAlkaliPercent().value()).isZero();
        assertThat(none.freeAlkaliPercent().standardDeviation()).isPositive();
    }

    @Test
    void whatCannotBeIsTold() {
        assertThat(problems(new Titration(Acid.STANDARD, -1, 0.1, Mass.grams(5))))
                .contains(ProblemKey.TOO_LOW);
        assertThat(problems(new Titration(Acid.STANDARD, 2, 12, Mass.grams(5)))).contains(ProblemKey.TOO_HIGH);
        assertThat(problems(new Titration(Acid.CITRIC, 2, 80, Mass.grams(5)))).contains(ProblemKey.TOO_HIGH);
        assertThat(problems(new Titration(Acid.CITRIC, 500, 25, Mass.grams(0.2))))
                .contains(ProblemKey.TOO_HIGH);
        // A row that was written to by hand.
        assertThat(EntryCheck.isSound(
                        new Entry.Titrated(0, null, new Titration(Acid.STANDARD, 2.5, 0.1, Mass.grams(5)))))
                .isFalse();
    }

    private static java.util.List<ProblemKey> problems(Titration by) {
        return EntryCheck.of(Entry.Titrated.of(by, null)).all().stream()
                .map(Problem::key)
                .toList();
    }
}
