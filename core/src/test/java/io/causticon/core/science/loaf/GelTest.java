package io.causticon.core.science.loaf;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.loaf.LoafHistory.Extent;
import java.time.Duration;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What makes a loaf gel more and what less, and how sure that is. */
class GelTest {

    private static final Mould WOOD = new Mould("wood", MouldKind.WOODEN_LOAF, 240, 85, 70, 1);
    private static final Mould CAVITY = new Mould("cavity", MouldKind.CAVITIES, 60, 60, 30, 6);
    private static final Batter PLAIN = Batter.of(3.475, 0.05, 0.33, 0, 1);

    private static Temperature at(double celsius) {
        return Temperature.celsius(celsius);
    }

    private static Batter lye(double concentration) {
        return Batter.of(3.475, .05, concentration, 0, 1);
    }

    private static double share(Batter batter, LoafSetup.Wrap wrap, double poured, double room) {
        return LoafHeat.run(LoafSetup.in(WOOD, 68, batter, wrap, at(poured), at(room)), 24)
                .gelShare();
    }

    private static double share(Batter batter, double oven, int minutes) {
        Programme programme = Programme.oven(at(oven), Duration.ofMinutes(minutes), true, at(20));
        return LoafHeat.run(LoafSetup.in(CAVITY, 30, batter, LoafSetup.Wrap.OPEN, at(38), programme), 24)
                .gelShare();
    }

    @Test
    void goesFartherWithMoreWaterAlsoWithVeryMuch() {
        double before = 0;
        for (double lye : new double[] {.45, .40, .36, .33, .30, .28, .25, .22, .20}) {
            double gel = share(lye(lye), LoafSetup.Wrap.INSULATED, 33, 20);
            assertThat(gel).as("%s lye", lye).isGreaterThanOrEqualTo(before - 0.01);
            before = gel;
        }
        assertThat(before).isGreaterThan(0.95);
        // In an oven as well.
        assertThat(share(lye(.22), 65, 50)).isGreaterThanOrEqualTo(share(lye(.33), 65, 50));
        assertThat(share(lye(.33), 65, 50)).isGreaterThan(share(lye(.42), 65, 50));
    }

    @Test
    void isReachedByStrongLyeThatGetsHot() {
        LoafHistory strong =
                LoafHeat.run(LoafSetup.in(WOOD, 68, lye(.50), LoafSetup.Wrap.INSULATED, at(43), at(20)), 24);
        assertThat(strong.peak()).isGreaterThan(95);
        assertThat(strong.extent()).isEqualTo(Extent.FULL);
    }

    @Test
    void goesFartherWithWarmthWrapsAndSugarAndSofterFats() {
        double covered = share(PLAIN, LoafSetup.Wrap.COVERED, 38, 20);
        assertThat(covered).isBetween(0.05, 0.9);
        assertThat(share(PLAIN, LoafSetup.Wrap.OPEN, 38, 20)).isLessThan(covered);
        assertThat(share(PLAIN, LoafSetup.Wrap.INSULATED, 38, 20)).isGreaterThan(covered);
        assertThat(share(PLAIN, LoafSetup.Wrap.COVERED, 38, 14)).isLessThan(covered);
        assertThat(share(PLAIN, LoafSetup.Wrap.COVERED, 45, 20)).isGreaterThan(covered);
        assertThat(share(Batter.of(3.475, .05, .33, .03, 1.15), LoafSetup.Wrap.COVERED, 38, 20))
                .isGreaterThan(covered);
        Batter soft = Batter.of(recipe().fat("coconut-oil-76", 300)
                .fat("olive-oil", 500)
                .fat("castor-oil", 200)
                .formula());
        Batter hard = Batter.of(recipe().fat("coconut-oil-76", 300)
                .fat("olive-oil", 300)
                .fat("tallow-beef", 400)
                .formula());
        assertThat(soft.gelPoint()).isLessThan(hard.gelPoint());
    }

    @Test
    void ofCavitiesWantsAnOven() {
        LoafEnsemble room =
                LoafEnsemble.toThePeak(LoafSetup.in(CAVITY, 30, PLAIN, LoafSetup.Wrap.OPEN, at(38), at(20)), 12);
        LoafEnsemble oven = LoafEnsemble.toThePeak(
                LoafSetup.in(
                        CAVITY,
                        30,
                        PLAIN,
                        LoafSetup.Wrap.OPEN,
                        at(38),
                        Programme.oven(at(70), Duration.ofHours(1), true, at(20))),
                12);
        assertThat(room.probabilityOf(Extent.NONE)).isEqualTo(1);
        // Of three hundred draws of another program 91 % were full.
        assertThat(oven.probabilityOf(Extent.FULL)).isGreaterThan(0.85);
        assertThat(share(PLAIN, 70, 30)).isLessThanOrEqualTo(share(PLAIN, 70, 90));
        Programme cold = Programme.oven(at(70), Duration.ofHours(1), false, at(20));
        assertThat(cold.celsiusAt(0)).isEqualTo(20);
        assertThat(cold.celsiusAt(5 * 60)).isCloseTo(70 - 50 * Math.exp(-1), within(0.1));
        // Switched off, two thirds of what it is above the room are gone after forty minutes.
        assertThat(cold.celsiusAt(3600 + 40 * 60)).isCloseTo(20 + 50 * Math.exp(-1), within(0.1));
    }

    @Test
    void isToldWithTheSameChancesAsByFiveTimesAsManyDrawsAtRandom() {
        LoafSetup setup = LoafSetup.in(WOOD, 68, PLAIN, LoafSetup.Wrap.COVERED, at(41), at(20));
        LoafEnsemble ensemble = LoafEnsemble.toThePeak(setup, 12);
        Random random = new Random(8424);
        int full = 0;
        int none = 0;
        int draws = 1000;
        for (int i = 0; i < draws; i++) {
            double[] normal =
                    random.doubles(6, 0, 1).map(u -> random.nextGaussian()).toArray();
            Extent extent = LoafHistory.extent(LoafEnsemble.draw(setup, LoafHeat.Span.untilPeaked(12), normal)
                    .gelShare());
            full += extent == Extent.FULL ? 1 : 0;
            none += extent == Extent.NONE ? 1 : 0;
        }
        // Three standard errors of a thousand draws are 4 to 5 %.
        assertThat(ensemble.probabilityOf(Extent.FULL)).isCloseTo((double) full / draws, within(0.05));
        assertThat(ensemble.probabilityOf(Extent.NONE)).isCloseTo((double) none / draws, within(0.05));
        assertThat(LoafEnsemble.standardErrorShare(0.5)).isCloseTo(0.035, within(0.001));
    }

    @Test
    void isANumberWhateverComesIn() {
        Random random = new Random(15);
        MouldKind[] kinds = {
            MouldKind.WOODEN_LOAF, MouldKind.SILICONE_LOAF, MouldKind.SLAB, MouldKind.TUBE, MouldKind.CAVITIES
        };
        for (int i = 0; i < 10_000; i++) {
            double side = 20 + 230 * random.nextDouble();
            Mould mould = new Mould(
                    "it",
                    kinds[i % kinds.length],
                    side * (1 + 3 * random.nextDouble()),
                    side,
                    10 + 290 * random.nextDouble(),
                    1);
            Batter batter = Batter.of(
                    2.3 + 2.7 * random.nextDouble(),
                    -0.05 + 0.3 * random.nextDouble(),
                    0.15 + 0.37 * random.nextDouble(),
                    0.15 * random.nextDouble() * random.nextDouble(),
                    0.3 + 3 * random.nextDouble());
            Temperature room = at(-5 + 45 * random.nextDouble());
            Programme around = switch (i % 4) {
                case 0 ->
                    Programme.oven(
                            at(40 + 160 * random.nextDouble()),
                            Duration.ofMinutes(random.nextInt(300)),
                            random.nextBoolean(),
                            room);
                case 1 -> Programme.cold(at(-30 + 40 * random.nextDouble()), room);
                default -> Programme.at(room);
            };
            LoafSetup setup = LoafSetup.in(
                    mould,
                    mould.height() * random.nextDouble(),
                    batter,
                    LoafSetup.Wrap.values()[random.nextInt(3)],
                    at(5 + 85 * random.nextDouble()),
                    around);
            LoafHeat.Resolution few = new LoafHeat.Resolution(0.05, 3, 4, 3, 4, 120);
            LoafDraw draw = LoafHeat.draw(setup, LoafHeat.Span.untilPeaked(3), LoafHeat.Parameters.USUAL, few);
            assertThat(draw.peak()).as("%s", setup).isBetween(-40.0, 100.0);
            assertThat(draw.gelShare()).as("%s", setup).isBetween(0.0, 1.0);
            for (double celsius : draw.core()) {
                assertThat(celsius).as("%s", setup).isBetween(-40.0, 100.0);
            }
        }
    }
}
