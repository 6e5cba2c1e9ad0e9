package io.causticon.core.science.making;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.Stage;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Catalogue;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class TraceKnowledgeTest {

    private static final Additive PEPPERMINT = Catalogue.standard().additive("eo-peppermint");
    private static final Additive CLOVE = Catalogue.standard().additive("eo-clove");

    /** A workshop whose batters follow coefficients that the test knows. */
    private static final class Workshop {

        private final Random random;
        private final Map<Term, Double> truth = new EnumMap<>(Term.class);
        private final double thick;
        private final double peppermint;

        Workshop(long seed) {
            random = new Random(seed);
            for (Term term : Term.values()) {
                truth.put(term, term.mean() + term.deviation() * random.nextGaussian());
            }
            thick = Math.log(1.2) + 0.35 * random.nextGaussian();
            double[] prior = TraceKnowledge.priorOf(PEPPERMINT);
            peppermint = prior[0] + prior[1] * random.nextGaussian();
        }

        Situation situation() {
            Map<Term, Double> x = new EnumMap<>(Term.class);
            x.put(Term.BASE, 1.0);
            x.put(Term.TEMPERATURE, -8 + 20 * random.nextDouble());
            x.put(Term.CONCENTRATION, -0.06 + 0.13 * random.nextDouble());
            x.put(Term.LONG_SATURATED, -0.15 + 0.35 * random.nextDouble());
            x.put(Term.MONO, -0.2 + 0.45 * random.nextDouble());
            x.put(Term.POLY, -0.05 + 0.25 * random.nextDouble());
            x.put(Term.RICINOLEIC, 0.1 * random.nextDouble());
            x.put(Term.SUPERFAT, -0.03 + 0.08 * random.nextDouble());
            x.put(Term.SUGAR, random.nextInt(4) == 0 ? 0.03 * random.nextDouble() : 0);
            x.put(Term.POWDER, random.nextInt(3) == 0 ? 30 * random.nextDouble() : 0);
            x.put(Term.SALT, random.nextInt(6) == 0 ? 200 * random.nextDouble() : 0);
            x.put(Term.BLENDING, -1 + 2 * random.nextDouble());
            x.put(Term.STAND_MIXER, random.nextInt(8) == 0 ? 1.0 : 0);
            x.put(Term.WHISK, random.nextInt(8) == 0 ? 1.0 : 0);
            x.put(Term.HAND, random.nextInt(8) == 0 ? 1.0 : 0);
            x.put(Term.BOTTLE, random.nextInt(12) == 0 ? 1.0 : 0);
            return new Situation(x, List.of(), List.of());
        }

        double light(Situation s) {
            double log = 0;
            for (Term term : Term.values()) {
                log += truth.get(term) * s.values().get(term);
            }
            return Math.exp(log + TraceKnowledge.NOISE * random.nextGaussian());
        }

        /** Every third batch gets peppermint at light trace. */
        MixRecord batch(int number) {
            Situation s = situation();
            double light = light(s);
            double thickAt = light * (1 + Math.exp(thick + 0.3 * random.nextGaussian()));
            List<MixRecord.Addition> additions = new ArrayList<>();
            if (number % 3 == 0) {
                double at = light * 1.02;
                additions.add(new MixRecord.Addition(PEPPERMINT, null, at));
                thickAt = at + Math.max(0.3, thickAt - at) * Math.exp(peppermint);
            }
            List<MixRecord.Seen> stages = new ArrayList<>(List.of(new MixRecord.Seen(Stage.LIGHT, light)));
            if (thickAt > light) {
                stages.add(new MixRecord.Seen(Stage.THICK, thickAt));
            }
            return new MixRecord(s, stages, additions, thickAt + 1);
        }

        List<MixRecord> batches(int count) {
            List<MixRecord> all = new ArrayList<>();
            for (int i = 0; i < count; i++) {
                all.add(batch(i));
            }
            return all;
        }
    }

    private static boolean holds(RobustRegression.Belief belief, double truth) {
        return Math.abs(belief.middle() - truth) <= belief.half(0.9);
    }

    @Test
    void recoversKnownCoefficientsFromSixtyBatches() {
        // 200 workshops with coefficients of their own, 60 batches each; the 90 % intervals hold the truth in 75 to 97
        // % of them, each coefficient.
        int repeats = 200;
        Map<Term, Integer> covered = new EnumMap<>(Term.class);
        Map<Term, Double> narrowed = new EnumMap<>(Term.class);
        int thick = 0;
        int peppermint = 0;
        for (int r = 0; r < repeats; r++) {
            Workshop workshop = new Workshop(5000 + r);
            TraceKnowledge learned = TraceKnowledge.learned(workshop.batches(60));
            for (Term term : Term.values()) {
                covered.merge(term, holds(learned.belief(term.name()), workshop.truth.get(term)) ? 1 : 0, Integer::sum);
                narrowed.merge(
                        term,
                        learned.belief(term.name()).standardDeviation() / term.deviation() / repeats,
                        Double::sum);
            }
            thick += holds(learned.belief(Stage.THICK.name()), workshop.thick) ? 1 : 0;
            peppermint += holds(learned.belief("ingredient eo-peppermint"), workshop.peppermint) ? 1 : 0;
        }
        covered.forEach((term, times) ->
                assertThat(times / (double) repeats).as(term.name()).isBetween(0.75, 0.97));
        assertThat(thick / (double) repeats).as("thick trace").isBetween(0.75, 0.97);
        assertThat(peppermint / (double) repeats).as("peppermint").isBetween(0.75, 0.97);
        // It did learn: what every batch tells of is known much better than before, what few tell of at least somewhat.
        assertThat(narrowed.get(Term.BASE)).isLessThan(0.5);
        assertThat(narrowed.get(Term.TEMPERATURE)).isLessThan(0.8);
        assertThat(narrowed.get(Term.WHISK)).isLessThan(0.6);
        narrowed.values().forEach(n -> assertThat(n).isLessThan(1.06));
    }

    @Test
    void withoutDataIsTheDocumentedPrior() {
        Map<Term, Double> reference = new EnumMap<>(Term.class);
        for (Term term : Term.values()) {
            reference.put(term, term == Term.BASE ? 1.0 : 0.0);
        }
        TraceKnowledge.Known light =
                TraceKnowledge.learned(List.of()).logMinutes(new Situation(reference, List.of(), List.of()));
        assertThat(Math.exp(light.middle())).isCloseTo(12, within(1e-9));
        // Base 0.29 and batch 0.30 together 0.4173; Student t with 20 degrees of freedom holds 80 % within 1.3253
        // scales.
        assertThat((light.high() - light.low()) / 2).isCloseTo(1.3253 * 0.41725, within(1e-4));
        for (Term term : Term.values()) {
            assertThat(TraceKnowledge.PRIOR.coefficient(term).middle())
                    .as(term.name())
                    .isCloseTo(term.mean(), within(1e-9));
        }
        assertThat(TraceKnowledge.PRIOR.effect(CLOVE, null).middle()).isEqualTo(-1.2);
    }

    @Test
    void oneOddBatchDoesNotWreckIt() {
        Workshop workshop = new Workshop(77);
        List<MixRecord> good = workshop.batches(20);
        Situation next = workshop.situation();
        double before = TraceKnowledge.learned(good).logMinutes(next).middle();
        List<MixRecord> withOdd = new ArrayList<>(good);
        Situation s = workshop.situation();
        // Somebody forgot it for half a day: forty times as long as any batch takes.
        withOdd.add(
                10,
                new MixRecord(s, List.of(new MixRecord.Seen(Stage.LIGHT, 40 * workshop.light(s))), List.of(), null));
        TraceKnowledge after = TraceKnowledge.learned(withOdd);
        assertThat(Math.exp(after.logMinutes(next).middle() - before)).isCloseTo(1, within(0.08));
        TraceKnowledge.Known band = after.logMinutes(next);
        assertThat(band.high() - band.low()).isLessThan(1.5);
    }

    @Nested
    class Ingredients {

        private MixRecord batch(Additive additive, String lot, double after) {
            Situation s = Situation.planned(
                    recipe().fat("olive-oil", 600).fat("palm-oil", 400).plan());
            return new MixRecord(
                    s,
                    List.of(new MixRecord.Seen(Stage.LIGHT, 12), new MixRecord.Seen(Stage.THICK, 12.5 + after)),
                    List.of(new MixRecord.Addition(additive, lot, 12.5)),
                    null);
        }

        @Test
        void aResidualAfterAnAdditionIsLaidToItWithItsUncertainty() {
            TraceKnowledge.Known before = TraceKnowledge.PRIOR.effect(PEPPERMINT, null);
            List<MixRecord> four = Collections.nCopies(4, batch(PEPPERMINT, null, 4));
            TraceKnowledge.Known after = TraceKnowledge.learned(four).effect(PEPPERMINT, null);
            // About 14 min were to be expected from 12.5 min on, 4 were seen: a factor near 0.3, held back by the
            // prior.
            assertThat(Math.exp(after.middle())).isBetween(0.25, 0.65);
            assertThat(after.deviation()).isLessThan(0.8 * before.deviation());
            assertThat(after.high()).isLessThan(before.middle());
        }

        @Test
        void aLotThatBehavesDifferentlyIsTold() {
            List<MixRecord> batches = new ArrayList<>();
            for (int i = 0; i < 8; i++) {
                batches.add(batch(PEPPERMINT, i % 2 == 0 ? "LV-1" : "LV-2", i % 2 == 0 ? 13 : 5));
            }
            TraceKnowledge learned = TraceKnowledge.learned(batches);
            assertThat(learned.effect(PEPPERMINT, "LV-2").middle())
                    .isLessThan(learned.effect(PEPPERMINT, "LV-1").middle() - 0.1);
            assertThat(learned.effect(PEPPERMINT, null).middle())
                    .isBetween(
                            learned.effect(PEPPERMINT, "LV-2").middle(),
                            learned.effect(PEPPERMINT, "LV-1").middle());
        }

        @Test
        void hundredsOfLotsDoNotMakeItGrowAndTheYoungestAreKeptApart() {
            List<MixRecord> batches = new ArrayList<>();
            batches.add(batch(PEPPERMINT, "fresh", 5));
            for (int i = 0; i < 3 * TraceKnowledge.MOST_LOTS; i++) {
                batches.add(batch(PEPPERMINT, "old " + i, 13));
            }
            TraceKnowledge learned = TraceKnowledge.learned(batches);
            TraceKnowledge.Known any = learned.effect(PEPPERMINT, null);
            assertThat(learned.effect(PEPPERMINT, "fresh").middle()).isLessThan(any.middle());
            // One that has no column of its own does what its ingredient does, as far as lots differ.
            TraceKnowledge.Known unknown = learned.effect(PEPPERMINT, "old " + (3 * TraceKnowledge.MOST_LOTS - 1));
            assertThat(unknown.middle()).isEqualTo(any.middle());
            assertThat(unknown.deviation()).isGreaterThan(any.deviation());
            // Twice as many lots as that leave the middle where it is.
            batches.addAll(List.copyOf(batches.subList(TraceKnowledge.MOST_LOTS, batches.size())));
            assertThat(TraceKnowledge.learned(batches).effect(PEPPERMINT, null).middle())
                    .isCloseTo(any.middle(), within(0.05));
        }

        @Test
        void anotherIngredientIsNotBlamed() {
            TraceKnowledge learned =
                    TraceKnowledge.learned(List.of(batch(PEPPERMINT, null, 3), batch(PEPPERMINT, null, 3)));
            assertThat(learned.effect(CLOVE, null).middle())
                    .isEqualTo(TraceKnowledge.PRIOR.effect(CLOVE, null).middle());
        }
    }
}
