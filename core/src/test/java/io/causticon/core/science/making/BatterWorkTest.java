package io.causticon.core.science.making;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Behaviour;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MixMethod;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.mould.Line;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.plan.VesselMaterial;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.formula.Portions;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** What goes in when, which portion waits too long, how the mould fills, and what is remembered of it. */
class BatterWorkTest {

    private static final Instant BEGUN = Instant.parse("2026-11-02T09:00:00Z");
    private static final Instant IN = BEGUN.plusSeconds(3600);
    private static final Catalogue TABLES = Catalogue.standard();
    private static final Mould LOAF = new Mould("oak loaf", MouldKind.WOODEN_LOAF, 300, 85, 75, 1);

    private final List<LoggedEntry> lines = new ArrayList<>();

    /** Minutes from lye-in. */
    private BatterWorkTest at(double minute, Entry entry) {
        lines.add(LoggedEntry.first("l" + lines.size(), IN.plusMillis(Math.round(60_000 * minute)), "ines", entry));
        return this;
    }

    private BatchLog log() {
        return new BatchLog(BEGUN, lines);
    }

    private static BatchPlan plain() {
        return recipe().fat("olive-oil", 600)
                .fat("palm-oil", 400)
                .additive("eo-clove", 8)
                .additive("eo-lavender", 20)
                .additive("kaolin", 20)
                .plan()
                .with(LOAF);
    }

    private static BatchPlan swirl(BatchPlan plan) {
        List<Portion> cups = List.of(
                Portion.sharing("white", Share.percent(60))
                        .with(TABLES.additive("titanium-dioxide"), Dose.ofFats(Share.percent(1))),
                Portion.sharing("black", Share.percent(40))
                        .with(TABLES.additive("activated-charcoal"), Dose.ofFats(Share.percent(1))));
        return plan.with(plan.pouring()
                .divided(new Portioning(
                        Portioning.Way.SHARES,
                        cups,
                        Share.percent(3),
                        new Vessel("pot", VesselMaterial.STAINLESS_STEEL, Mass.grams(640)),
                        Portioning.LyeRoute.TOGETHER)));
    }

    private List<BatterStep> steps(BatchPlan plan) {
        return BatterSteps.of(plan, log(), TraceKnowledge.PRIOR);
    }

    private static List<String> words(List<BatterStep> steps) {
        return steps.stream().map(s -> s.kind() + " " + s.name()).toList();
    }

    @Nested
    class Order {

        @Test
        void powdersBeforeScentsAndWhatHurriesLast() {
            assertThat(words(steps(plain())))
                    .containsExactly(
                            "ADD Kaolin (white clay)",
                            "ADD Essential oil: lavender",
                            "ADD Essential oil: clove (bud or leaf)");
        }

        @Test
        void onePortionAfterTheOther() {
            assertThat(words(steps(swirl(recipe().fat("olive-oil", 1000).plan()))))
                    .containsExactly(
                            "TAKE white",
                            "ADD Titanium dioxide",
                            "TAKE black",
                            "ADD Activated charcoal",
                            "POUR white",
                            "POUR black");
        }

        @Test
        void layersArePouredAsTheyAreReady() {
            BatchPlan plan = recipe().fat("olive-oil", 1000).plan().with(LOAF);
            BatchPlan layered = plan.with(plan.pouring()
                    .divided(new Portioning(
                            Portioning.Way.LAYERS,
                            List.of(Portion.layer("sand", Line.flat(20)), Portion.layer("sea", Line.flat(40))),
                            Share.percent(3))));
            assertThat(words(steps(layered))).containsExactly("TAKE sand", "POUR sand", "TAKE sea", "POUR sea");
        }

        @Test
        void aFastEndingOnPurposeGoesInLastAndSaysSo() {
            BatchPlan plan = swirl(
                    recipe().fat("olive-oil", 1000).additive("eo-clove", 5).plan());
            AdditivePortion clove = plan.formula().additives().get(0).joining(AdditionStage.LAST);
            List<BatterStep> steps = steps(plan.with(plan.formula().withAdditives(List.of(clove))));
            assertThat(words(steps).indexOf("ADD Essential oil: clove (bud or leaf)"))
                    .isEqualTo(words(steps).indexOf("POUR white") - 1);
            BatterStep ending = steps.get(words(steps).indexOf("ADD Essential oil: clove (bud or leaf)"));
            assertThat(ending.heeds().get(0).pattern()).contains("On purpose");
        }

        @Test
        void powdersAreWettedAndADividedBatterIsTold() {
            List<BatterStep> steps = steps(swirl(plain()));
            assertThat(steps.get(0).heeds().get(0).values()).contains(Mass.grams(50));
            assertThat(steps.stream()
                            .filter(s -> s.name().contains("lavender"))
                            .findFirst()
                            .orElseThrow()
                            .heeds()
                            .toString())
                    .contains("into the fats before the lye");
        }

        @Test
        void theScaleThatKeepsTheBowlShowsWhatIsLeftInIt() {
            BatterStep first =
                    steps(swirl(recipe().fat("olive-oil", 1000).plan())).get(0);
            Mass whole =
                    Portions.of(swirl(recipe().fat("olive-oil", 1000).plan())).whole();
            assertThat(first.scaleAfter().grams())
                    .isCloseTo(whole.minus(first.mass()).grams() + 640, within(1e-6));
        }

        @Test
        void whatIsLoggedIsDoneWhereItBelongs() {
            at(0, new Entry.LyeIntoFats())
                    .at(5, new Entry.PortionTaken("White", null))
                    .at(
                            6,
                            new Entry.Added(
                                    Named.called("titanium dioxide"), Mass.grams(6), Named.called("white"), null));
            List<BatterStep> steps = steps(swirl(recipe().fat("olive-oil", 1000).plan()));
            assertThat(steps.stream().filter(BatterStep::isDone).map(BatterStep::name))
                    .containsExactly("white", "Titanium dioxide");
            assertThat(steps.get(0).doneAt()).contains(5.0);
        }
    }

    @Nested
    class Vessels {

        private final BatchPlan plan =
                swirl(recipe().fat("olive-oil", 600).fat("palm-oil", 400).plan());

        private List<VesselWatch> watch(double now) {
            MixRecord record = MixRecord.of(
                            BatchFacts.of(plan, log(), IN.plusSeconds(86_400)), IN.plusMillis(Math.round(60_000 * now)))
                    .orElseThrow();
            return VesselWatch.of(
                    steps(plan), TraceKnowledge.PRIOR, record, LiveTrace.of(TraceKnowledge.PRIOR, record, now), now);
        }

        @Test
        void aPortionThatWaitsPastItsShareIsToldWithTheReason() {
            at(0, new Entry.LyeIntoFats())
                    .at(4, new Entry.StageReached(Stage.EMULSION, null))
                    .at(6, new Entry.PortionTaken("white", null));
            assertThat(watch(7)).hasSize(1);
            assertThat(watch(7).get(0).late()).isFalse();
            VesselWatch later = watch(26).get(0);
            assertThat(later.late()).isTrue();
            assertThat(later.reason().pattern()).isNotBlank();
        }

        @Test
        void aPouredPortionWaitsNoMore() {
            at(0, new Entry.LyeIntoFats())
                    .at(6, new Entry.PortionTaken("white", null))
                    .at(8, new Entry.LayerPoured("white", null));
            assertThat(watch(30)).isEmpty();
        }
    }

    @Nested
    class Pour {

        private final BatchPlan layered =
                layered(recipe().fat("olive-oil", 1000).plan().with(LOAF));

        private static BatchPlan layered(BatchPlan plan) {
            return plan.with(plan.pouring()
                    .divided(new Portioning(
                            Portioning.Way.LAYERS,
                            List.of(Portion.layer("sand", Line.flat(20)), Portion.layer("sea", Line.flat(40))),
                            Share.percent(3))));
        }

        @Test
        void theNextLayerWaitsUntilTheFirstHolds() {
            at(0, new Entry.LyeIntoFats())
                    .at(10, new Entry.StageReached(Stage.LIGHT, null))
                    .at(11, new Entry.LayerPoured("sand", null));
            MixRecord record = MixRecord.of(BatchFacts.of(layered, log(), IN.plusSeconds(720)), IN.plusSeconds(720))
                    .orElseThrow();
            PourPlan plan = PourPlan.of(layered, log(), Optional.of(LiveTrace.of(TraceKnowledge.PRIOR, record, 12)));
            assertThat(plan.next().orElseThrow().name()).isEqualTo("sea");
            // Medium trace comes about half as long again after lye-in as light trace.
            assertThat(plan.holds().orElseThrow().median()).isBetween(1.0, 6.0);
            assertThat(plan.parts().get(0).poured()).isTrue();
        }

        @Test
        void nothingIsWaitedForBeforeTheFirstLayerOrInASwirl() {
            at(0, new Entry.LyeIntoFats());
            assertThat(PourPlan.of(layered, log(), Optional.empty()).holds()).isEmpty();
            assertThat(PourPlan.of(swirl(plain()), log(), Optional.empty()).holds())
                    .isEmpty();
        }

        @Test
        void whatDoesNotFitGoesToTheSpareCavity() {
            Mould small = new Mould("small", MouldKind.WOODEN_LOAF, 100, 60, 50, 1);
            Mould cup = new Mould("cup", MouldKind.CAVITIES, 80, 55, 30, 12);
            BatchPlan plan = recipe().fat("olive-oil", 500)
                    .plan()
                    .with(small)
                    .with(new Pouring(Pouring.SizedBy.WEIGHTS, null, Share.NONE, cup, 25, Portioning.WHOLE));
            PourPlan pour = PourPlan.of(plan, log(), Optional.empty());
            assertThat(pour.overflow().grams()).isBetween(350.0, 480.0);
            assertThat(pour.spareFill()).isBetween(0.2, 0.35);
        }

        @Test
        void afterThePourAllIsIn() {
            at(0, new Entry.LyeIntoFats()).at(20, new Entry.Poured(null));
            assertThat(PourPlan.of(layered, log(), Optional.empty()).next()).isEmpty();
        }
    }

    @Nested
    class Memory {

        private IngredientMemory.Made made(String name) {
            return IngredientMemory.Made.of(name, BatchFacts.of(plain(), log(), IN.plusSeconds(86_400)));
        }

        private IngredientMemory lavender(TraceKnowledge knowledge) {
            return IngredientMemory.of(List.of(made("one")), knowledge).get("eo-lavender");
        }

        @Test
        void tellsInWhichCircumstancesItRiced() {
            at(0, new Entry.LyeIntoFats())
                    .at(8, new Entry.StageReached(Stage.LIGHT, null))
                    .at(8.5, new Entry.TemperatureRead(MeasurementPoint.BATTER, Temperature.celsius(36)))
                    .at(9, new Entry.Added(Named.called("lavender"), Mass.grams(20), null, "LV-4"))
                    .at(10, new Entry.StageReached(Stage.RICED, null))
                    .at(20, new Entry.Poured(null));
            IngredientMemory.Use use = lavender(TraceKnowledge.PRIOR).uses().get(0);
            assertThat(use.did()).containsExactly(Behaviour.RICED);
            assertThat(use.dose()).isCloseTo(20, within(1e-9));
            assertThat(use.lot()).isEqualTo("LV-4");
            assertThat(use.at()).contains(Stage.LIGHT);
            assertThat(use.batter()).contains(Temperature.celsius(36));
            assertThat(use.after().orElseThrow().minute()).isCloseTo(1, within(1e-3));
            assertThat(lavender(TraceKnowledge.PRIOR).lots()).containsOnlyKeys("LV-4");
        }

        @Test
        void aNamedCulpritIsBelievedAndAnotherIsNot() {
            at(0, new Entry.LyeIntoFats())
                    .at(9, new Entry.Added("lavender", null))
                    .at(10, new Entry.StageReached(Stage.MASH, Named.called("clove")));
            assertThat(lavender(TraceKnowledge.PRIOR).troubled()).isZero();
            assertThat(IngredientMemory.of(List.of(made("one")), TraceKnowledge.PRIOR)
                            .get("eo-clove")
                            .counts())
                    .containsEntry(Behaviour.SEIZED, 1);
        }

        @Test
        void whatTheBarShowsLaterCountsToo() {
            at(0, new Entry.LyeIntoFats()).at(60 * 24 * 30, new Entry.Behaved("lavender", Behaviour.FADED));
            assertThat(lavender(TraceKnowledge.PRIOR).counts()).containsEntry(Behaviour.FADED, 1);
            assertThat(lavender(TraceKnowledge.PRIOR).troubled()).isZero();
        }
    }

    @Test
    void aBatterIsReadAsItWasMade() {
        at(-1, new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(34)))
                .at(-1, new Entry.TemperatureRead(MeasurementPoint.FATS, Temperature.celsius(46)))
                .at(0, new Entry.LyeIntoFats())
                .at(1, new Entry.MixedWith(MixMethod.WHISK))
                .at(3, new Entry.BlenderBurst(60));
        Situation made = Situation.asMade(BatchFacts.of(plain(), log(), IN.plusSeconds(600)));
        // The fats carry about two thirds of the heat.
        assertThat(made.values().get(Term.TEMPERATURE)).isBetween(0.0, 3.5);
        assertThat(made.values().get(Term.WHISK)).isEqualTo(1);
        assertThat(made.values().get(Term.BLENDING)).isBetween(0.2, 0.8);
        assertThat(WorkingTime.forecast(made, TraceKnowledge.PRIOR).minutes())
                .isGreaterThan(2.5 * WorkingTime.forecast(plain()).minutes());
    }

    @Test
    void aBatterUnderWayIsNotHeldSlowForBurstsThatAreStillToCome() {
        at(0, new Entry.LyeIntoFats()).at(0.5, new Entry.BlenderBurst(5));
        assertThat(Situation.asMade(BatchFacts.of(plain(), log(), IN.plusSeconds(60)))
                        .values()
                        .get(Term.BLENDING))
                .isZero();
        at(9, new Entry.StageReached(Stage.LIGHT, null));
        assertThat(Situation.asMade(BatchFacts.of(plain(), log(), IN.plusSeconds(600)))
                        .values()
                        .get(Term.BLENDING))
                .isLessThan(-1.0);
    }
}
