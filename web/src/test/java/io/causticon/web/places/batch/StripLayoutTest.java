package io.causticon.web.places.batch;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LogTimeAxis;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchService;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is drawn is what the log says, where it says it. */
@Application
class StripLayoutTest {

    private static final Instant BEGUN = Instant.parse("2026-11-03T18:00:00Z");
    private static final Instant NOW = BEGUN.plus(Duration.ofDays(20));
    private static final Formats METRIC = new Formats(Units.METRIC, ZoneOffset.UTC);

    private final List<LoggedEntry> lines = new ArrayList<>();
    private Batch like;

    @BeforeEach
    void take(RunningApplication application) {
        like = application.bean(BatchService.class).all().stream()
                .filter(b -> b.name().equals("Ferry Bar"))
                .findFirst()
                .orElseThrow();
    }

    private StripLayoutTest at(Duration after, Entry entry) {
        lines.add(LoggedEntry.first(UUID.randomUUID().toString(), BEGUN.plus(after), "Ines", entry));
        return this;
    }

    private Drawing draw(Formats formats) {
        Batch batch = new Batch(like.id(), "T-1", like.plan(), 1, new BatchLog(BEGUN, lines));
        return StripLayout.of(batch, formats, NOW, Optional.empty());
    }

    private static List<Drawing.Shape> of(Drawing drawing, String data) {
        return drawing.shapes().stream().filter(s -> s.data().equals(data)).toList();
    }

    @Test
    void anEmptyLogDrawsTheLanesAndNow() {
        Drawing drawing = draw(METRIC);
        assertThat(of(drawing, "now")).hasSize(1);
        assertThat(of(drawing, "bench")).hasSize(1);
        assertThat(drawing.shapes()).noneMatch(s -> s.kind().equals("mark"));
    }

    @Test
    void aReadingStandsAtItsMomentWithItsOwnMark() {
        Drawing drawing = at(
                        Duration.ofHours(1), new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(60)))
                .draw(METRIC);
        Drawing.Shape mark = of(drawing, "mark-lye").get(0);
        LogTimeAxis axis =
                StripLayout.axisOf(new Batch(like.id(), "T", like.plan(), 1, new BatchLog(BEGUN, lines)), NOW);
        assertThat(Double.parseDouble(mark.x())).isCloseTo(axis.x(60), within(0.06));
    }

    @Test
    void hotterStandsHigher() {
        Drawing drawing = at(
                        Duration.ofHours(1), new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(80)))
                .at(Duration.ofHours(2), new Entry.TemperatureRead(MeasurementPoint.LYE, Temperature.celsius(40)))
                .draw(METRIC);
        List<Drawing.Shape> marks = of(drawing, "mark-lye");
        assertThat(Double.parseDouble(marks.get(0).y()))
                .isLessThan(Double.parseDouble(marks.get(1).y()));
    }

    @Test
    void theScaleIsWrittenInTheMakersDegrees() {
        assertThat(of(draw(METRIC), "40")).hasSize(1);
        assertThat(of(draw(new Formats(Units.US, ZoneOffset.UTC)), "100")).hasSize(1);
    }

    @Test
    void theLadderRisesRungByRungAndTellsItsMinutes() {
        Drawing drawing = at(Duration.ofMinutes(60), new Entry.LyeIntoFats())
                .at(Duration.ofMinutes(64), new Entry.StageReached(Stage.EMULSION, null))
                .at(Duration.ofMinutes(71), new Entry.StageReached(Stage.LIGHT, null))
                .draw(METRIC);
        List<Drawing.Shape> rungs = of(drawing, "mark-batter");
        assertThat(rungs).hasSize(2);
        assertThat(Double.parseDouble(rungs.get(1).y()))
                .isLessThan(Double.parseDouble(rungs.get(0).y()));
        assertThat(of(drawing, "light trace in 11 min")).hasSize(1);
    }

    @Test
    void troubleInThePotIsNamed() {
        Drawing drawing = at(Duration.ofMinutes(60), new Entry.StageReached(Stage.RICED, Named.called("lavender")))
                .draw(METRIC);
        assertThat(of(drawing, "mark-trouble")).hasSize(1);
        assertThat(of(drawing, "riced")).hasSize(1);
    }

    @Test
    void testsCarryTheirVerdictAsAMark() {
        Drawing drawing = at(Duration.ofDays(3), new Entry.WashTested(WashFeel.CALM))
                .at(Duration.ofDays(9), new Entry.WashTested(WashFeel.BURNING))
                .at(Duration.ofDays(10), new Entry.Held("lye-heavy stood at 94 %"))
                .draw(METRIC);
        assertThat(of(drawing, "mark-calm")).hasSize(1);
        assertThat(of(drawing, "mark-alarm")).hasSize(1);
        assertThat(of(drawing, "mark-held")).hasSize(1);
    }

    @Test
    void manyTestsOnOneDayKeepTheirMarksAndNoWordCoversAnother() {
        for (int i = 0; i < 9; i++) {
            at(Duration.ofDays(9).plusMinutes(i), new Entry.WashTested(WashFeel.CALM));
        }
        Drawing drawing = draw(METRIC);
        assertThat(of(drawing, "mark-calm")).hasSize(9);
        List<String> rows =
                of(drawing, "wash test: calm").stream().map(Drawing.Shape::y).toList();
        assertThat(rows).doesNotHaveDuplicates().hasSizeLessThanOrEqualTo(3);
    }

    @Test
    void barsTellWhatTheyLost() {
        Drawing drawing = at(Duration.ofDays(2), new Entry.BarWeighed(Mass.grams(100)))
                .at(Duration.ofDays(16), new Entry.BarWeighed(Mass.grams(92)))
                .draw(METRIC);
        assertThat(of(drawing, "92.0 g, 8.0 % lost")).hasSize(1);
        assertThat(of(drawing, "mark-dot")).hasSize(2);
    }

    @Test
    void heatIsPaintedInStepsFromPaleToEmber() {
        assertThat(LoafSection.step(10)).isZero();
        assertThat(LoafSection.step(60)).isEqualTo(8);
        assertThat(LoafSection.step(200)).isEqualTo(LoafSection.STEPS - 1);
    }
}
