package io.causticon.core.model.said.intake;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.said.intake.LoggerShape.Reading;
import io.causticon.core.quantity.Temperature;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LoggerGuessTest {

    private static final ZoneId BERLIN = ZoneId.of("Europe/Berlin");
    private static final Instant BEGUN = Instant.parse("2026-04-03T06:00:00Z");
    private static final LoggerGuess.Known KNOWN =
            new LoggerGuess.Known(BEGUN, BEGUN.plusSeconds(3 * 86_400), BERLIN, false);

    private static List<List<String>> cut(List<String> lines, char delimiter) {
        return lines.stream()
                .map(l -> Arrays.asList(l.split(java.util.regex.Pattern.quote("" + delimiter), -1)))
                .toList();
    }

    private static LoggerShape guessed(LoggerGuess.Known known, String... lines) {
        List<String> all = List.of(lines);
        char delimiter = LoggerGuess.delimiter(all, d -> cut(all, d));
        return LoggerGuess.of(delimiter, cut(all, delimiter), known).orElseThrow();
    }

    private static Optional<Reading> read(LoggerShape shape, String line) {
        return shape.read(cut(List.of(line), shape.delimiter()).get(0)).reading();
    }

    @Test
    void readsADecimalCommaBesideSemicolonsUnderAPreamble() {
        LoggerShape shape = guessed(
                KNOWN,
                "Ger\u00e4t: K2;Seriennummer 4711",
                "",
                "Nr.;Datum;Uhrzeit;F\u00fchler Kern (\u00b0C);Luftfeuchte (%)",
                "1;03.04.2026;10:00:00;41,2;55,0",
                "2;03.04.2026;10:00:30;41,9;55,1",
                "3;03.04.2026;10:01:00;42,6;55,1");
        assertThat(shape.delimiter()).isEqualTo(';');
        assertThat(shape.heading()).isEqualTo(2);
        assertThat(shape.shape()).isEqualTo(TimeShape.DAY_FIRST);
        assertThat(shape.spot()).isEqualTo(MeasurementPoint.CORE);
        assertThat(read(shape, "2;03.04.2026;10:00:30;41,9;55,1"))
                .contains(new Reading(Instant.parse("2026-04-03T08:00:30Z"), Temperature.celsius(41.9)));
    }

    /** 4/3/2026 is a day of the batch in one country and a month away in the other. */
    @Test
    void takesTheDayThatLiesInTheBatch() {
        LoggerShape american = guessed(
                KNOWN,
                "Date/Time,Batter Temp (F)",
                "4/3/2026 2:05 PM,110.5",
                "4/3/2026 2:06 PM,111.0",
                "4/3/2026 2:07 PM,111.4");
        assertThat(american.shape()).isEqualTo(TimeShape.MONTH_FIRST);
        assertThat(american.spot()).isEqualTo(MeasurementPoint.BATTER);
        Reading reading = read(american, "4/3/2026 2:05 PM,110.5").orElseThrow();
        assertThat(reading.at()).isEqualTo(Instant.parse("2026-04-03T12:05:00Z"));
        assertThat(reading.temperature().inFahrenheit()).isCloseTo(110.5, within(1e-9));
    }

    @Test
    void readsIsoWithItsOwnOffsetEpochsAndWhatCounts() {
        LoggerShape iso = guessed(
                KNOWN,
                "ts,probe",
                "2026-04-03T08:00:00+02:00,31",
                "2026-04-03T08:01:00+02:00,32",
                "2026-04-03T08:02:00+02:00,33");
        assertThat(read(iso, "2026-04-03T08:01:00+02:00,32").orElseThrow().at())
                .isEqualTo(Instant.parse("2026-04-03T06:01:00Z"));
        LoggerShape epoch = guessed(KNOWN, "t\ttemp_c", "1775196000\t40", "1775196060\t41", "1775196120\t42");
        assertThat(epoch.shape()).isEqualTo(TimeShape.EPOCH_SECONDS);
        LoggerShape counts = guessed(KNOWN, "elapsed (min),loaf C", "0,40", "5,44", "10,48");
        assertThat(counts.shape()).isEqualTo(TimeShape.MINUTES);
        assertThat(read(counts, "10,48").orElseThrow().at()).isEqualTo(BEGUN.plusSeconds(600));
        LoggerShape clock =
                guessed(KNOWN, "time;temp", "0:00:00;40 \u00b0C", "0:00:10;41 \u00b0C", "0:00:20;42 \u00b0C");
        assertThat(read(clock, "1:00:20;42 \u00b0C").orElseThrow().at()).isEqualTo(BEGUN.plusSeconds(3620));
    }

    @Test
    void saysOfALineWhyItIsNone() {
        LoggerShape shape =
                guessed(KNOWN, "when,core", "2026-04-03 10:00,40", "2026-04-03 10:01,41", "2026-04-03 10:02,42");
        assertThat(shape.read(List.of("2026-04-03 10:03", "")).problem()).contains("no temperature");
        assertThat(shape.read(List.of("2026-04-03 10:03", "OPEN")).problem()).contains("OPEN");
        assertThat(shape.read(List.of("2026-04-03 10:03", "990")).problem()).contains("cannot be there");
        assertThat(shape.read(List.of("2026-13-03 10:03", "40")).problem()).contains("no moment");
        assertThat(shape.read(List.of()).problem()).isNotEmpty();
    }

    @Test
    void findsNothingWhereNothingIs() {
        assertThat(LoggerGuess.of(',', cut(List.of("a,b", "c,d", "e,f"), ','), KNOWN))
                .isEmpty();
        assertThat(LoggerGuess.of(',', List.of(), KNOWN)).isEmpty();
    }

    /**
     * Lines between the few stay near to all, the hottest is within the tolerance of what is kept, and memory does not
     * grow.
     */
    @Test
    void keepsFewThatTellAll() {
        Random random = new Random(5);
        List<Reading> all = new ArrayList<>();
        CurveThinning thinning = new CurveThinning(200);
        for (int i = 0; i < 20_000; i++) {
            double celsius = 30 + 45 * Math.exp(-Math.pow((i - 6000) / 2500.0, 2)) + 0.2 * random.nextGaussian();
            Reading reading = new Reading(BEGUN.plusSeconds(i), Temperature.celsius(celsius));
            all.add(reading);
            thinning.add(reading);
        }
        List<Reading> kept = thinning.kept();
        assertThat(kept).hasSizeLessThanOrEqualTo(200).hasSizeGreaterThan(5);
        assertThat(kept.get(0)).isEqualTo(all.get(0));
        assertThat(kept.get(kept.size() - 1)).isEqualTo(all.get(all.size() - 1));
        int after = 0;
        for (Reading reading : all) {
            while (after < kept.size() - 1 && kept.get(after).at().isBefore(reading.at())) {
                after++;
            }
            assertThat(between(kept, after, reading))
                    .isCloseTo(reading.temperature().celsius(), within(2 * thinning.toleranceKelvin() + 1e-6));
        }
    }

    private static double between(List<Reading> kept, int after, Reading at) {
        if (after == 0 || kept.get(after).at().equals(at.at())) {
            return kept.get(after).temperature().celsius();
        }
        Reading from = kept.get(after - 1);
        Reading to = kept.get(after);
        double part = (at.at().toEpochMilli() - from.at().toEpochMilli())
                / (double) (to.at().toEpochMilli() - from.at().toEpochMilli());
        return from.temperature().celsius()
                + part * (to.temperature().celsius() - from.temperature().celsius());
    }
}
