package io.causticon.core.science.history;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class HistoryTest {

    private static final Instant FIRST = Instant.parse("2026-01-05T10:00:00Z");
    private static final Instant MUCH_LATER = FIRST.plus(Duration.ofDays(900));

    private static Chapter chapter(String recipe, int day, double lye, String... had) {
        Map<String, Long> conditions = new HashMap<>();
        for (String one : had) {
            conditions.put(one, 5L);
        }
        return new Chapter(
                recipe,
                FIRST.plus(Duration.ofDays(day)),
                "oak loaf",
                Map.of(Measure.LYE_CONCENTRATION, lye),
                Map.of("mould kept", "covered"),
                Set.of("Olive oil"),
                Map.of("Olive oil", "OL-1"),
                conditions);
    }

    @Test
    void aChapterIsReadFromPlanAndLog() {
        BatchPlan plan =
                recipe().fat("olive-oil", 700).fat("coconut-oil-76", 300).plan().named("Nettle");
        List<LoggedEntry> lines = new ArrayList<>();
        List<Entry> entries = List.of(
                new Entry.TemperatureRead(MeasurementPoint.ROOM, Temperature.celsius(14)),
                new Entry.LyeIntoFats(),
                new Entry.BlenderBurst(20),
                new Entry.BlenderBurst(25),
                new Entry.StageReached(Stage.LIGHT, null),
                new Entry.Added(Named.called("lavender"), null, null, "LV-4"),
                new Entry.Poured(Temperature.celsius(37)),
                new Entry.Kept(MouldCare.INSULATED, null),
                new Entry.Kept(MouldCare.UNCOVERED, null),
                new Entry.Concluded(new Named("soda-ash", "soda ash"), ""));
        for (int i = 0; i < entries.size(); i++) {
            lines.add(LoggedEntry.first("l" + i, FIRST.plus(Duration.ofMinutes(10L * i)), "Ines", entries.get(i)));
        }
        Chapter chapter = Chapter.of(BatchFacts.of(plan, new BatchLog(FIRST, lines), MUCH_LATER))
                .orElseThrow();
        assertThat(chapter.measures())
                .containsEntry(Measure.ROOM, 14.0)
                .containsEntry(Measure.BLENDED, 45.0)
                .containsEntry(Measure.MIXED_AT, 37.0)
                .containsEntry(Measure.TO_LIGHT_TRACE, 30.0)
                .doesNotContainKey(Measure.LATHER);
        // Towels came off later: while it set it had them.
        assertThat(chapter.ways())
                .containsEntry("mould kept", "insulated")
                .containsEntry("poured at", "light")
                .containsEntry("made", "cold");
        assertThat(chapter.lots()).containsEntry("lavender", "LV-4");
        assertThat(chapter.conditions()).containsExactly(Map.entry("soda ash", 0L));
        assertThat(Chapter.of(BatchFacts.of(plan, new BatchLog(FIRST, lines.subList(0, 3)), MUCH_LATER)))
                .isEmpty();
    }

    @Test
    void everyKindOfChangeIsTold() {
        Chapter before = chapter("Nettle", 0, 0.33);
        Chapter after = new Chapter(
                "Nettle",
                FIRST.plus(Duration.ofDays(9)),
                "slab",
                Map.of(Measure.LYE_CONCENTRATION, 0.28, Measure.CORE_PEAK, 80.0),
                Map.of("mould kept", "uncovered"),
                Set.of("Olive oil", "Lard"),
                Map.of("Olive oil", "OL-2"),
                Map.of());
        assertThat(Change.between(before, after))
                .containsExactly(
                        new Change.Moved(Measure.LYE_CONCENTRATION, 0.33, 0.28),
                        new Change.Switched("mould kept", "covered", "uncovered"),
                        new Change.Switched("mould", "oak loaf", "slab"),
                        new Change.Swapped("Lard", true),
                        new Change.OtherLot("Olive oil", "OL-1", "OL-2"));
        assertThat(Change.between(after, before)).contains(new Change.Swapped("Lard", false));
        assertThat(Change.between(before, chapter("Nettle", 3, 0.335)))
                .as("what a scale does by itself")
                .isEmpty();
    }

    @Test
    void aDefectThatCameOrWentStandsBesideWhatWasChanged() {
        History history = new History(List.of(
                chapter("Nettle", 40, 0.33),
                chapter("Nettle", 0, 0.33),
                chapter("Ferry", 10, 0.33, "soda ash"),
                chapter("Nettle", 20, 0.28, "soda ash")));
        assertThat(history.turns(MUCH_LATER))
                .extracting(
                        History.Turn::condition,
                        History.Turn::came,
                        t -> t.after().begun())
                .containsExactly(
                        tuple("soda ash", false, FIRST.plus(Duration.ofDays(40))),
                        tuple("soda ash", true, FIRST.plus(Duration.ofDays(20))));
        // Four days old it cannot have what the other showed on its fifth.
        assertThat(history.turns(FIRST.plus(Duration.ofDays(44)))).hasSize(1).allMatch(History.Turn::came);
    }

    /** Fisher's test by hand: 4 of 4 weak ones and 0 of 8 others, of 12 with 4: 1 / C(12, 4) = 1 / 495. */
    @Test
    void whatComesTogetherIsCountedExactly() {
        List<Chapter> chapters = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            chapters.add(i < 4 ? chapter("R" + i, i, 0.27, "soda ash") : chapter("R" + i, i, 0.32 + 0.001 * i));
        }
        History.Found found = new History(chapters).links();
        assertThat(found.links()).first().satisfies(link -> {
            assertThat(link.factor().kind()).isEqualTo(History.Factor.Kind.LOW);
            assertThat(link.factor().measure()).isEqualTo(Measure.LYE_CONCENTRATION);
            assertThat(link.had()).isEqualTo(4);
            assertThat(link.with()).isEqualTo(4);
            assertThat(link.hadWithout()).isZero();
            assertThat(link.chance()).isCloseTo(1.0 / 495, within(1e-12));
        });
        assertThat(found.links()).noneMatch(l -> l.factor().what().equals("Olive oil"));
        assertThat(new History(List.of()).links().links()).isEmpty();
        assertThat(new History(List.of(chapter("A", 0, 0.3, "soda ash")))
                        .links()
                        .links())
                .isEmpty();
    }

    /** Where nothing has to do with anything, no more is told than chance brings, and it is said how much that is. */
    @Test
    void whereThereIsNothingChanceIsToldAsChance() {
        Random random = new Random(5);
        int told = 0;
        int compared = 0;
        int surprised = 0;
        for (int workshop = 0; workshop < 200; workshop++) {
            List<Chapter> chapters = new ArrayList<>();
            for (int i = 0; i < 30; i++) {
                Chapter plain = random.nextInt(4) == 0
                        ? chapter("R", i, 0.25 + 0.1 * random.nextDouble(), "soda ash")
                        : chapter("R", i, 0.25 + 0.1 * random.nextDouble());
                chapters.add(new Chapter(
                        plain.recipe(),
                        plain.begun(),
                        random.nextBoolean() ? "slab" : "oak loaf",
                        plain.measures(),
                        Map.of("mould kept", random.nextBoolean() ? "covered" : "uncovered"),
                        random.nextBoolean() ? Set.of("Lard") : Set.of("Tallow"),
                        Map.of(),
                        plain.conditions()));
            }
            History.Found found = new History(chapters).links();
            told += found.links().size();
            surprised += !found.links().isEmpty() && found.expectedByChance() < 0.1 ? 1 : 0;
            compared += found.compared();
        }
        assertThat((double) told / compared).isLessThanOrEqualTo(0.10);
        assertThat(surprised).as("told to be rarer than one in ten by chance").isLessThanOrEqualTo(20);
    }

    @Test
    void seasonsGoByTheWorkshopsDays() {
        Chapter newYear = new Chapter(
                "A", Instant.parse("2026-11-30T23:30:00Z"), "", Map.of(), Map.of(), Set.of(), Map.of(), Map.of());
        History history = new History(List.of(newYear));
        assertThat(history.by(Grouping.SEASON, ZoneOffset.UTC)).containsOnlyKeys("September to November");
        assertThat(history.by(Grouping.SEASON, ZoneId.of("Europe/Oslo"))).containsOnlyKeys("December to February");
        assertThat(history.by(Grouping.MOULD, ZoneOffset.UTC)).isEmpty();
        assertThat(new History(List.of(chapter("A", 0, 0.3))).by(Grouping.INGREDIENT, ZoneOffset.UTC))
                .containsOnlyKeys("Olive oil");
    }
}
