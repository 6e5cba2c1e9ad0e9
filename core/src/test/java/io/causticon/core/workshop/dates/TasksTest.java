package io.causticon.core.workshop.dates;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.Process;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.cure.CureDates;
import io.causticon.core.science.cure.Schedule;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class TasksTest {

    private static final Instant BEGUN = Instant.parse("2026-11-03T18:00:00Z");
    private static final BatchPlan PLAIN = recipe().fat("olive-oil", 500)
            .fat("palm-oil", 250)
            .fat("coconut-oil-76", 250)
            .plan();

    private final List<LoggedEntry> lines = new ArrayList<>();

    private BatchLog log() {
        return new BatchLog(BEGUN, lines);
    }

    private TasksTest after(Duration duration, Entry entry) {
        lines.add(LoggedEntry.first("line" + lines.size(), BEGUN.plus(duration), "Ines", entry));
        return this;
    }

    private Tasks.Task task(Tasks.Kind kind) {
        return Tasks.of(PLAIN, log()).stream()
                .filter(t -> t.kind() == kind)
                .findFirst()
                .orElseThrow();
    }

    @Nested
    class Schedules {

        @Test
        void giveAllOliveLonger() {
            Schedule olive = Schedule.of(recipe().fat("olive-oil", 1000).plan());
            Schedule mixed = Schedule.of(PLAIN);
            assertThat(olive.unmould()).isBetween(Duration.ofDays(2), Duration.ofDays(7));
            assertThat(mixed.unmould()).isBetween(Duration.ofHours(12), Duration.ofHours(48));
            assertThat(olive.cure()).isEqualTo(Duration.ofDays(84));
            assertThat(mixed.cure()).isEqualTo(Duration.ofDays(28));
        }

        @Test
        void areLongerWhereTheirMakerWantsThatAndNeverShorter() {
            after(Duration.ofHours(2), new Entry.Poured(null))
                    .after(Duration.ofHours(50), new Entry.Unmoulded())
                    .after(Duration.ofHours(60), new Entry.ToCure(52));
            assertThat(task(Tasks.Kind.RELEASE).due())
                    .isEqualTo(BEGUN.plus(Duration.ofHours(50)).plus(Duration.ofDays(364)));
            after(Duration.ofHours(70), new Entry.ToCure(1));
            assertThat(task(Tasks.Kind.RELEASE).due())
                    .isEqualTo(BEGUN.plus(Duration.ofHours(50)).plus(Duration.ofDays(28)));
        }

        @Test
        void growWithOliveAndCastorWithoutAStep() {
            long before = 0;
            for (int olive = 40; olive <= 100; olive++) {
                long hours = Schedule.of(recipe().fat("olive-oil", 10 * olive)
                                .fat("coconut-oil-76", 1000.01 - 10 * olive)
                                .plan())
                        .cure()
                        .toHours();
                assertThat(hours - Math.max(before, 28 * 24))
                        .as(olive + " % olive")
                        .isBetween(0L, 4 * 24L);
                before = hours;
            }
            assertThat(before).isEqualTo(84 * 24);
            assertThat(cure("castor-oil", 10)).isEqualTo(28 * 24);
            assertThat(cure("castor-oil", 30)).isBetween(29 * 24L, 56 * 24L);
            // Salt makes it hard in hours, however much olive there is.
            assertThat(Schedule.of(recipe().fat("olive-oil", 1000)
                                    .additive("salt-bar", 500)
                                    .plan())
                            .cure()
                            .toDays())
                    .isEqualTo(28);
        }

        private static long cure(String fat, int percent) {
            return Schedule.of(recipe().fat("palm-oil", 10 * (100 - percent))
                            .fat(fat, 10 * percent)
                            .plan())
                    .cure()
                    .toHours();
        }

        @Test
        void giveMoreWaterLonger() {
            Schedule wet = Schedule.of(recipe().fat("olive-oil", 500)
                    .fat("palm-oil", 500)
                    .target(LiquidTarget.concentration(.26))
                    .plan());
            Schedule dry = Schedule.of(recipe().fat("olive-oil", 500)
                    .fat("palm-oil", 500)
                    .target(LiquidTarget.concentration(.38))
                    .plan());
            assertThat(wet.unmould()).isGreaterThan(dry.unmould());
        }

        @Test
        void cutBrineBarsWithinHoursAndCureCookedOnesAWeek() {
            Schedule brine = Schedule.of(
                    recipe().fat("coconut-oil-76", 1000).liquid("brine-25", 100).plan());
            assertThat(brine.unmould()).isLessThan(Duration.ofHours(12));
            assertThat(Schedule.of(recipe().fat("olive-oil", 1000)
                                    .process(Process.HOT)
                                    .plan())
                            .cure())
                    .isEqualTo(Duration.ofDays(7));
        }
    }

    @Test
    void nothingIsDueBeforeThePour() {
        assertThat(Tasks.of(PLAIN, log())).isEmpty();
    }

    @Test
    void afterThePourTheMouldIsDueThenTheCutTheWashAndTheScale() {
        after(Duration.ofHours(2), new Entry.Poured(null));
        assertThat(Tasks.of(PLAIN, log()).stream().map(Tasks.Task::kind))
                .startsWith(Tasks.Kind.UNMOULD, Tasks.Kind.CUT, Tasks.Kind.WASH_TEST, Tasks.Kind.WEIGH)
                .endsWith(Tasks.Kind.RELEASE);
        assertThat(Tasks.of(PLAIN, log())).isSortedAccordingTo((a, b) -> a.due().compareTo(b.due()));
        assertThat(Tasks.of(PLAIN, log())).allMatch(Tasks.Task::isOpen);
    }

    @Test
    void allDatesAtOnceAreThoseThatAreAskedForOneByOne() {
        BatchPlan cooked =
                recipe().fat("olive-oil", 700).fat("coconut-oil-76", 300).plan().with(Process.HOT);
        List<Entry> life = List.of(
                new Entry.Cooked(Cooking.CLEAR),
                new Entry.Poured(null),
                new Entry.Unmoulded(),
                new Entry.Cut(9),
                new Entry.BarWeighed(Mass.grams(104)),
                new Entry.ToCure(9),
                new Entry.BarWeighed(Mass.grams(99)),
                new Entry.Released("calm"));
        for (int many = 0; many <= life.size(); many++) {
            for (BatchPlan plan : List.of(PLAIN, cooked)) {
                Tasks.Milestones dates = Tasks.milestones(plan, log());
                assertThat(dates.poured()).isEqualTo(Tasks.poured(plan, log())).isAfter(BEGUN);
                assertThat(dates.unmoulded())
                        .isEqualTo(Tasks.unmoulded(plan, log()))
                        .isAfter(dates.poured());
                assertThat(dates.ready()).isEqualTo(Tasks.ready(plan, log())).isAfter(dates.unmoulded());
                assertThat(dates.tasks()).isEqualTo(Tasks.of(plan, log()));
                Duration least = Schedule.of(
                                BatchFacts.of(plan, log(), Instant.MAX).planAsMade())
                        .cure();
                Duration wanted = log().last(Entry.ToCure.class)
                        .map(c -> Duration.ofDays(7L * c.entry().weeks()))
                        .orElse(Duration.ZERO);
                assertThat(CureDates.of(plan, log()).oldEnough())
                        .isEqualTo(dates.unmoulded().plus(wanted.compareTo(least) > 0 ? wanted : least));
            }
            if (many < life.size()) {
                after(Duration.ofHours(2 + 40L * many), life.get(many));
            }
        }
    }

    @Test
    void whatWasDoneIsDoneAndMovesWhatFollows() {
        after(Duration.ofHours(2), new Entry.Poured(null)).after(Duration.ofHours(50), new Entry.Unmoulded());
        assertThat(task(Tasks.Kind.UNMOULD).done()).contains(BEGUN.plus(Duration.ofHours(50)));
        assertThat(task(Tasks.Kind.WASH_TEST).due()).isEqualTo(BEGUN.plus(Duration.ofHours(50)));
        assertThat(task(Tasks.Kind.RELEASE).due())
                .isEqualTo(BEGUN.plus(Duration.ofHours(50)).plus(Duration.ofDays(28)));
    }

    @Test
    void aBarThatWasCutHasLeftItsMould() {
        after(Duration.ofHours(2), new Entry.Poured(null)).after(Duration.ofHours(30), new Entry.Cut(10));
        assertThat(task(Tasks.Kind.UNMOULD).isOpen()).isFalse();
        assertThat(task(Tasks.Kind.CUT).isOpen()).isFalse();
    }

    @Test
    void aWeighingCountsForItsOwnWeekAlone() {
        after(Duration.ofHours(2), new Entry.Poured(null))
                .after(Duration.ofDays(1), new Entry.Cut(10))
                .after(Duration.ofDays(9), new Entry.BarWeighed(Mass.grams(101)))
                .after(Duration.ofDays(3), new Entry.WashTested(WashFeel.CALM));
        List<Tasks.Task> weighings = Tasks.of(PLAIN, log()).stream()
                .filter(t -> t.kind() == Tasks.Kind.WEIGH)
                .toList();
        assertThat(weighings).hasSize(3);
        assertThat(weighings.get(0).isOpen()).isFalse();
        assertThat(weighings.get(1).isOpen()).isTrue();
        assertThat(task(Tasks.Kind.WASH_TEST).isOpen()).isFalse();
    }
}
