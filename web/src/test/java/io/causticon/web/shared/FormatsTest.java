package io.causticon.web.shared;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.said.notation.Units;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FormatsTest {

    private static final Formats METRIC = new Formats(Units.METRIC, ZoneOffset.UTC);
    private static final Formats US = new Formats(Units.US, ZoneOffset.UTC);

    @Test
    void valuesAreWrittenInTheMakersUnits() {
        assertThat(METRIC.mass(Mass.grams(1204))).isEqualTo("1,204.0 g");
        assertThat(US.mass(Mass.grams(504))).isEqualTo("17.78 oz");
        assertThat(METRIC.temperature(Temperature.celsius(-3.25))).isEqualTo("\u22123.3 \u00b0C");
        assertThat(US.temperature(Temperature.celsius(43.5))).isEqualTo("110.3 \u00b0F");
        assertThat(METRIC.roughMass(Mass.grams(1200))).isEqualTo("1.2 kg");
        assertThat(US.roughMass(Mass.grams(1204))).isEqualTo("42.5 oz");
    }

    @Test
    void axesAreMarkedAtRoundNumbersOfTheMakersDegrees() {
        assertThat(METRIC.marks(20, 100))
                .extracting(Temperature::celsius)
                .containsExactly(20.0, 40.0, 60.0, 80.0, 100.0);
        assertThat(US.marks(20, 100))
                .extracting(t -> Math.rint(t.inFahrenheit()))
                .containsExactly(100.0, 150.0, 200.0);
        assertThat(US.marks(-6, 55))
                .extracting(t -> Math.rint(t.inFahrenheit()))
                .containsExactly(40.0, 60.0, 80.0, 100.0, 120.0);
        assertThat(METRIC.marks(25, 25)).hasSize(1);
        assertThat(METRIC.marks(25, 24)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0.00004, under 0.1 %", "0.004, 0.4 %", "0.034, 3 %", "0.941, 94 %", "0.9991, over 99 %"})
    void probabilitiesHaveNoFalsePrecision(double p, String words) {
        assertThat(Formats.probability(p)).isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource({"41, 41 min", "170, 2 h 50 min", "1980, 1 d 9 h", "30240, 21 days", "120, 2 h"})
    void durationsAreShort(long minutes, String words) {
        assertThat(Formats.duration(Duration.ofMinutes(minutes))).isEqualTo(words);
    }

    @Test
    void numbersAreThoseOfThePlatform() {
        Random random = new Random(8424);
        for (int i = 0; i < 20_000; i++) {
            double value = (random.nextDouble() - 0.5) * Math.pow(10, random.nextInt(9) - 3);
            int digits = random.nextInt(5);
            String platform = String.format(Locale.ROOT, "%,." + digits + "f", value)
                    .replace('-', '\u2212')
                    .replaceFirst("^\u2212(?=[0.,]*$)", "");
            assertThat(Formats.number(value, digits))
                    .as(value + " to " + digits)
                    .isEqualTo(platform);
        }
        assertThat(Formats.number(Double.POSITIVE_INFINITY, 1)).isEqualTo("\u221e");
        assertThat(Formats.number(Double.NaN, 1)).isEqualTo("?");
    }

    @Test
    void nothingIsMinusZero() {
        assertThat(Formats.number(-0.0001, 1)).isEqualTo("0.0");
        assertThat(Formats.signed(0.04, 1)).isEqualTo("0.0");
        assertThat(Formats.signed(2.26, 1)).isEqualTo("+2.3");
    }

    @Nested
    class Drawings {

        @Test
        void placeAgesOnALogarithmicAxis() {
            LogTimeAxis axis = new LogTimeAxis(1, 10_000, 100, 500);
            assertThat(axis.x(1)).isEqualTo(100);
            assertThat(axis.x(100)).isCloseTo(300, within(1e-9));
            assertThat(axis.minutesAt(axis.x(77))).isCloseTo(77, within(1e-9));
            assertThat(axis.x(0.01)).isEqualTo(100);
            assertThat(axis.x(1e9)).isEqualTo(500);
        }

        @Test
        void holdValuesInsideTheirLane() {
            LinearAxis axis = new LinearAxis(100, 0, 20, 220);
            assertThat(axis.at(100)).isEqualTo(20);
            assertThat(axis.at(0)).isEqualTo(220);
            assertThat(axis.at(140)).isEqualTo(20);
        }

        @Test
        void escapeTheMakersWords() {
            Drawing drawing = Drawing.sized(10, 10, "test")
                    .text(1, 2, "<script>alert(1)</script> & co", "note")
                    .link(1, 2, "name", "row-name", "/batch/1?a=\"b\"")
                    .done();
            assertThat(drawing.markup())
                    .contains("&lt;script&gt;alert(1)&lt;/script&gt; &amp; co")
                    .doesNotContain("<script")
                    .contains("href=\"/batch/1?a=&quot;b&quot;\"");
        }

        @Test
        void paintEveryKindOfShape() {
            Drawing drawing = Drawing.sized(10, 20, "test")
                    .line(0, 0, 5, 5, "rule")
                    .rect(1, 2, -3, 4, "zone")
                    .mark("lye", 3, 4)
                    .textEnd(9, 9, "9", "figure")
                    .done();
            assertThat(drawing.viewBox()).isEqualTo("0 0 10.0 20.0");
            assertThat(drawing.markup())
                    .isEqualTo("<path class=\"rule\" d=\"M0.0 0.0L5.0 5.0\"/><rect class=\"zone\" x=\"1.0\" y=\"2.0\""
                            + " width=\"0.0\" height=\"4.0\"/><svg class=\"mark-lye\" x=\"3.0\" y=\"4.0\""
                            + " width=\"1\" height=\"1\" overflow=\"visible\"><use href=\"#mark-lye\" x=\"-9\""
                            + " y=\"-9\" width=\"18\" height=\"18\"/></svg><text class=\"figure\" x=\"9.0\""
                            + " y=\"9.0\" text-anchor=\"end\">9</text>");
        }

        @Test
        void neverPutOneLabelOverAnother() {
            LabelRows rows = new LabelRows(2, 400);
            LabelRows.Place first = rows.take(10, "unmoulded");
            LabelRows.Place second = rows.take(12, "cut into 12 bars");
            LabelRows.Place third = rows.take(14, "no room left here");
            assertThat(first.row()).isZero();
            assertThat(second.row()).isEqualTo(1);
            assertThat(third.row()).isEqualTo(-1);
            assertThat(rows.take(380, "a label at the edge").x()).isLessThan(300);
        }
    }

    @Test
    void aDifferenceOfTemperaturesIsInTheMakersDegrees() {
        assertThat(METRIC.difference(6)).isEqualTo("6 \u00b0C");
        assertThat(US.difference(6)).isEqualTo("11 \u00b0F");
    }

    @Test
    void aSentenceHasItsFullStopOnceAndAQuestionNone() {
        assertThat(METRIC.sentence(Phrase.of("{} went in", Mass.grams(12)))).isEqualTo("12.0 g went in.");
        assertThat(METRIC.sentence(Phrase.of("is it {}?", Mass.grams(12)))).isEqualTo("is it 12.0 g?");
    }
}
