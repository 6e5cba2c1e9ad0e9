package io.causticon.web.places.rack;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.BatchSummary;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

@Application
class AgeChartTest {

    private static final Assessment.Known KNOWN =
            new Assessment.Known(new Diagnostician(StandardKnowledge.all()), KnownVessels.NONE);

    private static final Instant NOW = Instant.parse("2026-11-24T10:00:00Z");
    private static final Formats METRIC = new Formats(Units.METRIC, ZoneOffset.UTC);

    private Batch like;

    @BeforeEach
    void take(RunningApplication application) {
        like = application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals("Ferry Bar"))
                .findFirst()
                .orElseThrow();
    }

    private BatchSummary batch(Duration age, Entry... entries) {
        Instant begun = NOW.minus(age);
        List<LoggedEntry> lines = new ArrayList<>();
        for (int i = 0; i < entries.length; i++) {
            lines.add(LoggedEntry.first("line" + i, begun.plus(Duration.ofHours(2L + 30L * i)), "Ines", entries[i]));
        }
        Batch batch = new Batch(new BatchId(UUID.randomUUID()), "T-1", like.plan(), 1, new BatchLog(begun, lines));
        return BatchSummary.of(batch, Assessment.of(batch.plan(), batch.log(), KNOWN, NOW), NOW);
    }

    private static double marker(Drawing drawing) {
        return drawing.shapes().stream()
                .filter(s -> s.kind().equals("mark"))
                .mapToDouble(s -> Double.parseDouble(s.x()))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> styles(Drawing drawing) {
        return drawing.shapes().stream().map(Drawing.Shape::style).toList();
    }

    @Test
    void olderBatchesStandFurtherRight() {
        double young = marker(AgeChart.of(List.of(batch(Duration.ofHours(1))), METRIC, NOW));
        double old = marker(AgeChart.of(List.of(batch(Duration.ofDays(20))), METRIC, NOW));
        assertThat(young).isLessThan(old);
    }

    @Test
    void aBatchThatIsNotPouredYetStaysOnTheBenchHoweverLate() {
        Drawing drawing = AgeChart.of(List.of(batch(Duration.ofHours(9))), METRIC, NOW);
        assertThat(styles(drawing)).contains("zone bench").doesNotContain("zone mould", "zone cure");
        assertThat(styles(drawing)).contains("mark-live");
    }

    @Test
    void aPouredBatchIsInItsMouldAndShowsWhatIsDue() {
        Drawing drawing = AgeChart.of(List.of(batch(Duration.ofHours(8), new Entry.Poured(null))), METRIC, NOW);
        assertThat(styles(drawing))
                .contains("zone bench", "zone mould", "notch due")
                .doesNotContain("zone cure");
    }

    @Test
    void aHeldBatchIsRedThroughout() {
        Drawing drawing = AgeChart.of(
                List.of(batch(Duration.ofDays(9), new Entry.Poured(null), new Entry.Cut(12), new Entry.Held("crust"))),
                METRIC,
                NOW);
        assertThat(styles(drawing)).contains("zone cure held", "mark-held", "row-name held");
    }

    @Test
    void aNotchIsFullWhenDoneAndWarmWhenLate() {
        Drawing drawing = AgeChart.of(
                List.of(batch(Duration.ofDays(9), new Entry.Poured(null), new Entry.Unmoulded())), METRIC, NOW);
        // Unmoulded is done; cut and wash test are late.
        assertThat(styles(drawing)).contains("notch", "notch late");
    }

    @Test
    void goesOnToTenYearsWhereOneIsOlderThanAYear() {
        assertThat(marker(AgeChart.of(List.of(batch(Duration.ofDays(364))), METRIC, NOW)))
                .isGreaterThan(860);
        double two = marker(AgeChart.of(List.of(batch(Duration.ofDays(730))), METRIC, NOW));
        double five = marker(AgeChart.of(List.of(batch(Duration.ofDays(1826))), METRIC, NOW));
        assertThat(two).isLessThan(five);
        assertThat(five).isLessThan(860);
    }

    @Test
    void twoHundredRowsFitWithoutTouching() {
        List<BatchSummary> many = IntStream.range(0, 200)
                .mapToObj(i -> batch(Duration.ofDays(i + 1)))
                .toList();
        Drawing drawing = AgeChart.of(many, METRIC, NOW);
        List<Double> names = drawing.shapes().stream()
                .filter(s -> s.style().equals("row-name"))
                .map(s -> Double.parseDouble(s.y()))
                .toList();
        assertThat(names).hasSize(200);
        for (int i = 1; i < names.size(); i++) {
            assertThat(names.get(i) - names.get(i - 1)).isGreaterThan(30);
        }
        assertThat(drawing.height()).isGreaterThan(names.get(199));
    }
}
