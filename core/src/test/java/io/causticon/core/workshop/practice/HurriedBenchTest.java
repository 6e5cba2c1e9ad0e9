package io.causticon.core.workshop.practice;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Stage;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.science.formula.ScorchLimit;
import io.causticon.core.workshop.practice.HurriedBench.Deed;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is done badly shows, and what is done well is sound, whatever is drawn. */
class HurriedBenchTest {

    private static List<String> faults(long seed, List<Deed> deeds) {
        return HurriedBench.of(seed, deeds).faults().stream()
                .map(HurriedBench.Fault::what)
                .toList();
    }

    /** By the book: cold and slow where it can scorch, matched, blended to a thin batter, scented, poured. */
    private static List<Deed> byTheBook(long seed) {
        List<Deed> deeds = new ArrayList<>(List.of(Deed.ICE_BATH));
        boolean scorches = ScorchLimit.of(
                        Weights.planned(HurriedBench.of(seed, List.of()).plan().formula()), AdditionStage.LYE)
                .isPresent();
        for (int n = 0; n < 6; n++) {
            deeds.addAll(
                    scorches ? List.of(Deed.FEED_PORTION, Deed.WAIT_TWO, Deed.WAIT_TWO) : List.of(Deed.FEED_PORTION));
        }
        deeds.add(Deed.STRAIN);
        HurriedBench bench = HurriedBench.of(seed, deeds);
        if (bench.lye().celsius() < bench.plan().mixAt().celsius() + 5) {
            deeds.add(Deed.OUT_OF_BATH);
        }
        for (int n = 0; n < 30; n++) {
            bench = HurriedBench.of(seed, deeds);
            double apart = bench.lye().celsius() - bench.fats().celsius();
            if (Math.abs(apart) <= 11 && bench.minute() < 70) {
                break;
            }
            deeds.add(Deed.WAIT_TWO);
        }
        deeds.add(Deed.MEET);
        for (int n = 0; n < 60 && !isThin(HurriedBench.of(seed, deeds).looks()); n++) {
            deeds.add(Deed.BURST);
        }
        deeds.addAll(List.of(Deed.SCENT, Deed.POUR));
        return deeds;
    }

    private static boolean isOfMilk(HurriedBench bench) {
        return bench.plan().formula().liquidParts().stream()
                .anyMatch(l -> l.liquid().id().contains("milk"));
    }

    /** What looks thick at once is fat that sets: blended on, it comes to trace. */
    private static boolean isThin(Stage looks) {
        return looks == Stage.THIN || looks == Stage.LIGHT || looks == Stage.MEDIUM;
    }

    @Test
    void whatIsRushedGoesWrongAndSaysWhy() {
        for (long seed = 0; seed < 6; seed++) {
            List<String> rushed =
                    faults(seed, List.of(Deed.FEED_ALL, Deed.WAIT_TWO, Deed.WAIT_TWO, Deed.MEET, Deed.POUR));
            assertThat(rushed).as("seed " + seed).contains("lye pockets", "separation");
            HurriedBench bench = HurriedBench.of(seed, List.of(Deed.FEED_ALL, Deed.MEET, Deed.POUR));
            assertThat(bench.isOver()).isTrue();
            assertThat(bench.open()).isEmpty();
            if (isOfMilk(bench)) {
                assertThat(rushed).contains("scorched liquor");
            }
            List<Deed> late = new ArrayList<>(List.of(Deed.FEED_ALL, Deed.STRAIN, Deed.MEET));
            late.addAll(Collections.nCopies(60, Deed.BURST));
            late.add(Deed.POUR);
            assertThat(faults(seed, late))
                    .as("blended to a mash " + seed)
                    .contains("seized")
                    .doesNotContain("separation", "lye pockets");
        }
    }

    @Test
    void byTheBookItIsMostlySound() {
        int sound = 0;
        StringBuilder wrong = new StringBuilder();
        for (long seed = 0; seed < 5; seed++) {
            List<String> faults = faults(seed, byTheBook(seed));
            assertThat(faults).as("seed " + seed).doesNotContain("lye pockets", "separation", "no scent");
            assertThat(faults).as("seed " + seed).doesNotContain("scorched liquor");
            sound += faults.isEmpty() ? 1 : 0;
            wrong.append(faults);
        }
        assertThat(sound).as(wrong.toString()).isGreaterThanOrEqualTo(2);
    }

    @Test
    void whatCannotBeDoneIsLeftOutAndWhatIsNoDeedToo() {
        HurriedBench bench = HurriedBench.of(3, List.of(Deed.POUR, Deed.BURST, Deed.MEET, Deed.SCENT, Deed.STRAIN));
        assertThat(bench.isMet()).isFalse();
        assertThat(bench.minute()).isLessThan(1);
        assertThat(bench.open())
                .contains(Deed.FEED_ALL, Deed.FEED_PORTION, Deed.ICE_BATH, Deed.WARM_FATS)
                .doesNotContain(Deed.MEET, Deed.POUR);
        HurriedBench waited = HurriedBench.of(3, Collections.nCopies(200, Deed.WAIT_TEN));
        assertThat(waited.isGivenUp()).isTrue();
        assertThat(waited.open()).isEmpty();
        assertThat(waited.faults()).extracting(HurriedBench.Fault::what).containsExactly("given up");
        assertThat(HurriedBench.read(List.of("MEET", "RUN", "", "pour"))).containsExactly(Deed.MEET);
        assertThat(HurriedBench.of(3, List.of(Deed.ICE_BATH, Deed.ICE_BATH)).open())
                .contains(Deed.OUT_OF_BATH)
                .doesNotContain(Deed.ICE_BATH);
    }
}
