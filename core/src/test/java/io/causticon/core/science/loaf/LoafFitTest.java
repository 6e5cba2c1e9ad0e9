package io.causticon.core.science.loaf;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.loaf.LoafFit.Reading;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

/** What is read in the middle of a loaf tells how its mould keeps the heat and how fast its batter reacts. */
class LoafFitTest {

    private static final Mould WOOD = new Mould("oak", MouldKind.WOODEN_LOAF, 240, 85, 70, 1);
    private static final Formula PLAIN =
            recipe().fat("olive-oil", 700).fat("coconut-oil-76", 300).plan().formula();
    private static final double[] HOURS = {0.5, 1, 1.8, 2.6, 3.5, 5, 8, 12};

    private final LoafSetup setup = LoafSetup.in(
            WOOD, 65, Batter.of(PLAIN), LoafSetup.Wrap.COVERED, Temperature.celsius(40), Temperature.celsius(20));

    /** By the fine model and a thermometer that is off by 0.7 K. */
    private List<Reading> readings(double loss, double rate, long seed) {
        LoafHistory truth = LoafHeat.run(setup.with(setup.batter().with(1, 0, rate), loss), 24);
        Random noise = new Random(seed);
        return DoubleStream.of(HOURS)
                .mapToObj(h -> new Reading(h, truth.coreCelsiusAt(h) + 0.7 * noise.nextGaussian()))
                .toList();
    }

    @Test
    void findsAKnownLossWithinFifteenPerCentOfEightNoisyReadings() {
        for (double loss : new double[] {0.65, 0.85, 1.2, 1.6}) {
            for (double rate : new double[] {0.75, 1.35}) {
                for (long seed = 1; seed <= 3; seed++) {
                    LoafExpectation found = LoafFit.of(setup, readings(loss, rate, seed))
                            .orElseThrow()
                            .expected();
                    assertThat(found.lossFactor() / loss)
                            .as("%s %s", loss, rate)
                            .isCloseTo(1, within(0.15));
                    assertThat(found.rateFactor() / rate)
                            .as("%s %s", loss, rate)
                            .isCloseTo(1, within(0.30));
                    assertThat(found.lossSpread()).isLessThan(LoafExpectation.USUAL.lossSpread() / 2);
                }
            }
        }
    }

    @Test
    void saysHowSureItIs() {
        // In its own two standard deviations and a little for the coarse section, most of the time.
        int within = 0;
        for (long seed = 1; seed <= 30; seed++) {
            LoafExpectation found =
                    LoafFit.of(setup, readings(1.3, 1, seed)).orElseThrow().expected();
            within += Math.abs(found.logLoss() - Math.log(1.3)) < 2 * found.lossSpread() ? 1 : 0;
        }
        assertThat(within).isGreaterThanOrEqualTo(27);
    }

    @Test
    void doesNotFollowAProbeThatSlippedOut() {
        List<Reading> slipped = new ArrayList<>(readings(1, 1, 4));
        slipped.set(4, new Reading(HOURS[4], 24));
        LoafExpectation found = LoafFit.of(setup, slipped).orElse(setup).expected();
        assertThat(found.lossFactor()).isCloseTo(1, within(0.2));
        // Lying on the table all the time it tells nothing of the loaf.
        List<Reading> table =
                DoubleStream.of(HOURS).mapToObj(h -> new Reading(h, 21)).toList();
        assertThat(LoafFit.of(setup, table)).isEmpty();
    }

    @Test
    void tellsABatterThatWasPouredThickFromOneThatIsFast() {
        LoafHistory truth = LoafHeat.run(setup.pouredAt(0.12), 24);
        List<Reading> readings = DoubleStream.of(HOURS)
                .mapToObj(h -> new Reading(h, truth.coreCelsiusAt(h)))
                .toList();
        LoafSetup found = LoafFit.of(setup, readings).orElseThrow();
        assertThat(found.converted()).isCloseTo(0.12, within(0.03));
        assertThat(found.expected().rateFactor()).isCloseTo(1, within(0.12));
    }

    @Test
    void needsMoreThanALook() {
        assertThat(LoafFit.of(setup, readings(1.3, 1, 5).subList(0, LoafFit.FEWEST - 1)))
                .isEmpty();
        assertThat(LoafFit.of(setup, readings(1.3, 1, 5).subList(0, LoafFit.FEWEST)))
                .isPresent();
    }

    @Test
    void narrowsWhatIsForecast() {
        LoafEnsemble before = LoafEnsemble.of(setup, 24);
        LoafEnsemble after = LoafEnsemble.of(
                LoafFit.of(setup, readings(1.3, 1.2, 6).subList(0, 4)).orElseThrow(), 24);
        assertThat(width(after)).isLessThan(0.8 * width(before));
        assertThat(after.middle().peak())
                .isBetween(before.peakBand().low(), before.peakBand().high());
    }

    private static double width(LoafEnsemble ensemble) {
        return ensemble.coreBand(6).high() - ensemble.coreBand(6).low();
    }

    @Test
    void isKeptWithTheMouldAndWithTheFats() {
        LoafExpectation fitted =
                LoafFit.of(setup, readings(1.4, 0.8, 7)).orElseThrow().expected();
        LoafKnowledge.Told told = LoafKnowledge.Told.of(WOOD, PLAIN, fitted);
        LoafKnowledge known = new LoafKnowledge(List.of(told, told));
        LoafExpectation again = known.of(WOOD, PLAIN);
        assertThat(again.lossFactor()).isCloseTo(1.4, within(0.15));
        assertThat(again.rateFactor()).isBetween(0.75, 0.98);
        assertThat(again.lossSpread()).isLessThan(LoafExpectation.USUAL.lossSpread());

        Mould other = new Mould("pine", MouldKind.WOODEN_LOAF, 240, 85, 70, 1);
        Formula tallow = recipe().fat("tallow-beef", 1000).plan().formula();
        assertThat(known.of(other, PLAIN).lossFactor()).isEqualTo(1);
        assertThat(known.of(WOOD, tallow).rateFactor()).isEqualTo(1);
        assertThat(known.of(WOOD, tallow).lossFactor()).isEqualTo(again.lossFactor());
        assertThat(LoafKnowledge.NONE.of(WOOD, PLAIN)).isEqualTo(LoafExpectation.USUAL);
        assertThat(known.batchesIn(WOOD)).isEqualTo(2);
    }
}
