package io.causticon.core.model.log;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.AsWeighed;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class BatchLogTest {

    private static final Instant BEGUN = Instant.parse("2026-11-03T18:00:00Z");
    private static final BatchPlan PLAN =
            recipe().fat("olive-oil", 700).fat("lard", 300).plan();

    private static BatchLog log(Entry... entries) {
        BatchLog log = new BatchLog(BEGUN, List.of());
        for (int i = 0; i < entries.length; i++) {
            log = log.with(LoggedEntry.first("line" + i, BEGUN.plusSeconds(60L * (i + 1)), "Ines", entries[i]));
        }
        return log;
    }

    private static BatchFacts facts(Entry... entries) {
        return BatchFacts.of(PLAN, log(entries), BEGUN.plus(Duration.ofDays(10)));
    }

    @Nested
    class Lines {

        @Test
        void standInTheOrderInWhichTheyHappened() {
            LoggedEntry late = LoggedEntry.first("b", BEGUN.plusSeconds(90), "Ines", new Entry.Unmoulded());
            LoggedEntry early = LoggedEntry.first("a", BEGUN.plusSeconds(10), "Odd", new Entry.LyeIntoFats());
            assertThat(new BatchLog(BEGUN, List.of(late, early)).entries()).containsExactly(early, late);
        }

        @Test
        void thatWereTakenBackNoLongerCountAndStayReadable() {
            LoggedEntry.Revision back =
                    new LoggedEntry.Revision(2, BEGUN, BEGUN, "Ines", new Entry.LyeIntoFats(), true);
            LoggedEntry line = new LoggedEntry("a", back, List.of());
            BatchLog log = new BatchLog(BEGUN, List.of(line));
            assertThat(log.entries()).isEmpty();
            assertThat(log.all()).containsExactly(line);
            assertThat(log.first(Entry.LyeIntoFats.class)).isEmpty();
        }

        @Test
        void replaceTheirOwnEarlierRevisionAlone() {
            BatchLog log = log(new Entry.BlenderBurst(10), new Entry.BlenderBurst(20));
            LoggedEntry amended = LoggedEntry.first("line0", BEGUN, "Odd", new Entry.BlenderBurst(15));
            assertThat(log.with(amended)
                            .of(Entry.BlenderBurst.class)
                            .map(b -> b.entry().seconds()))
                    .containsExactly(15, 20);
        }

        @Test
        void comeToTheSameOneByOneAsAllAtOnce() {
            Random random = new Random(11);
            List<Entry> kinds = List.of(
                    new Entry.BlenderBurst(5),
                    new Entry.LyeIntoFats(),
                    new Entry.Held("crust"),
                    new Entry.Released("calm"),
                    new Entry.Cut(8));
            for (int round = 0; round < 60; round++) {
                Map<String, LoggedEntry> last = new LinkedHashMap<>();
                BatchLog grown = new BatchLog(BEGUN, List.of());
                for (int i = 0; i < 30; i++) {
                    // Behind the last, at the same moment, before others, and again under an id that is there.
                    LoggedEntry line =
                            line(random, "line" + random.nextInt(25), kinds.get(random.nextInt(kinds.size())), i);
                    boolean isNew = last.remove(line.id()) == null;
                    last.put(line.id(), line);
                    grown = isNew ? grown.withNew(List.of(line)) : grown.with(line);
                }
                BatchLog atOnce = new BatchLog(BEGUN, List.copyOf(last.values()));
                assertThat(grown.all())
                        .isEqualTo(atOnce.all())
                        .isSortedAccordingTo(Comparator.comparing(LoggedEntry::at));
                assertThat(grown.entries()).isEqualTo(atOnce.entries());
                assertThat(Life.of(grown)).isEqualTo(Life.of(atOnce));
                assertThat(Life.isHeld(grown)).isEqualTo(Life.isHeld(atOnce)).isEqualTo(isHeldByReading(grown));
                for (Entry kind : kinds) {
                    assertThat(grown.of(kind.getClass()).toList())
                            .isEqualTo(atOnce.of(kind.getClass()).toList());
                    assertThat(grown.everSaid(kind.getClass())).isEqualTo(atOnce.everSaid(kind.getClass()));
                }
            }
        }

        private static LoggedEntry line(Random random, String id, Entry entry, int number) {
            Instant at = BEGUN.plusSeconds(random.nextBoolean() ? 60 * number : random.nextInt(12));
            return new LoggedEntry(
                    id, new LoggedEntry.Revision(1, at, at, "Ines", entry, random.nextInt(5) == 0), List.of());
        }

        /** The plain way: from the first line to the last. */
        private static boolean isHeldByReading(BatchLog log) {
            boolean held = false;
            for (LoggedEntry line : log.entries()) {
                held = line.entry() instanceof Entry.Held || held && !(line.entry() instanceof Entry.Released);
            }
            return held;
        }

        @Test
        void areRememberedByTheirKindWhenTheyWereAmendedOrTakenBack() {
            LoggedEntry.Revision first =
                    new LoggedEntry.Revision(1, BEGUN, BEGUN, "Ines", new Entry.LyeIntoFats(), false);
            LoggedEntry.Revision now = new LoggedEntry.Revision(2, BEGUN, BEGUN, "Ines", new Entry.Unmoulded(), true);
            BatchLog log = log(new Entry.BlenderBurst(10)).with(new LoggedEntry("a", now, List.of(first)));
            assertThat(log.everSaid(Entry.LyeIntoFats.class)).isTrue();
            assertThat(log.everSaid(Entry.Unmoulded.class)).isTrue();
            assertThat(log.everSaid(Entry.Cut.class)).isFalse();
            assertThat(log.first(Entry.Unmoulded.class)).isEmpty();
        }
    }

    @Nested
    class Lives {

        @Test
        void goFromBenchToReady() {
            assertThat(Life.of(log())).isEqualTo(Life.BENCH);
            assertThat(Life.of(log(new Entry.Poured(null)))).isEqualTo(Life.MOULD);
            assertThat(Life.of(log(new Entry.Poured(null), new Entry.Cut(10)))).isEqualTo(Life.CURE);
            assertThat(Life.of(log(new Entry.Cut(10), new Entry.Released("calm"))))
                    .isEqualTo(Life.READY);
        }

        @Test
        void areHeldUntilReleasedAndHeldAgain() {
            Entry held = new Entry.Held("crust");
            Entry released = new Entry.Released("calm");
            assertThat(Life.isHeld(log(held))).isTrue();
            assertThat(Life.isHeld(log(held, released))).isFalse();
            BatchLog again = log(held, released, held);
            assertThat(Life.isHeld(again)).isTrue();
            assertThat(Life.of(again)).isNotEqualTo(Life.READY);
        }
    }

    @Nested
    class Weights {

        @Test
        void thatWereNotLoggedAreThePlansAndAreNamed() {
            AsWeighed weighed = AsWeighed.of(PLAN, log());
            assertThat(weighed.isComplete()).isFalse();
            assertThat(weighed.notLogged()).contains(Weighable.fat("olive-oil"), Weighable.NAOH);
            assertThat(weighed.superfat().value()).isCloseTo(0.05, within(1e-9));
        }

        @Test
        void ofTheSameThingAddUp() {
            Entry first = new Entry.Weighed(Weighable.fat("olive-oil"), Mass.grams(400), Tare.TAKEN, null);
            Entry second = new Entry.Weighed(Weighable.fat("olive-oil"), Mass.grams(300), Tare.TAKEN, null);
            assertThat(AsWeighed.sums(log(first, second))).containsEntry(Weighable.fat("olive-oil"), Mass.grams(700));
        }

        @Test
        void thatWereNotPlannedCountAsWell() {
            Entry castor = new Entry.Weighed(Weighable.fat("castor-oil"), Mass.grams(50), Tare.TAKEN, null);
            AsWeighed weighed = AsWeighed.of(PLAN, log(castor));
            assertThat(weighed.notPlanned()).containsExactly(Weighable.fat("castor-oil"));
            // 50 g castor (180 mg/g) more fat for the same lye: 1 - 0.95 x 191.8 / 200.8 = 9.3 %.
            assertThat(weighed.superfat().value()).isCloseTo(0.0926, within(0.001));
        }
    }

    @Nested
    class Facts {

        @Test
        void thatWereNotLoggedAreAbsent() {
            BatchFacts facts = facts();
            assertThat(facts.gel()).isEmpty();
            assertThat(facts.pouredAt()).isEmpty();
            assertThat(facts.peak(MeasurementPoint.LYE)).isEmpty();
            assertThat(facts.minutesTo(Stage.LIGHT)).isEmpty();
            assertThat(facts.was(MouldCare.INSULATED)).isFalse();
        }

        @Test
        void takeThePourFromTheLastReadingWhenNoneWasSaid() {
            BatchFacts facts = facts(
                    new Entry.TemperatureRead(MeasurementPoint.FATS, Temperature.celsius(44)),
                    new Entry.TemperatureRead(MeasurementPoint.BATTER, Temperature.celsius(39)),
                    new Entry.Poured(null),
                    new Entry.TemperatureRead(MeasurementPoint.BATTER, Temperature.celsius(60)));
            assertThat(facts.pouredAt()).contains(Temperature.celsius(39));
        }

        @Test
        void countTheMinutesToAStageOrBeyondIt() {
            BatchFacts facts = facts(
                    new Entry.LyeIntoFats(),
                    new Entry.StageReached(Stage.EMULSION, null),
                    new Entry.StageReached(Stage.MEDIUM, null));
            assertThat(facts.minutesTo(Stage.LIGHT)).contains(2.0);
            assertThat(facts.minutesTo(Stage.MASH)).isEmpty();
        }

        @Test
        void blameWhatWentInJustBefore() {
            BatchFacts facts = facts(
                    new Entry.Added("kaolin", null),
                    new Entry.Added("clove", null),
                    new Entry.StageReached(Stage.MASH, null));
            assertThat(facts.addedJustBefore(Stage.THICK, Duration.ofMinutes(2)))
                    .contains("clove");
            assertThat(facts.addedJustBefore(Stage.THICK, Duration.ofSeconds(20)))
                    .isEmpty();
        }
    }

    @Test
    void rungsAreComparedAndSideRungsAreNot() {
        assertThat(Stage.MEDIUM.isAtLeast(Stage.LIGHT)).isTrue();
        assertThat(Stage.THIN.isAtLeast(Stage.LIGHT)).isFalse();
        assertThat(Stage.RICED.isAtLeast(Stage.THIN)).isFalse();
    }
}
