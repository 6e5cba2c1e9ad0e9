package io.causticon.web.places.bench;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.science.pots.LyePotCurve;
import io.causticon.core.science.pots.PotForecast;
import io.causticon.core.science.pots.PotOutlook;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.SvgPath;
import java.time.Duration;
import java.time.Instant;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** The lye pot from the first lye on: what was read, against where it is going. */
final class LyeChart {

    private static final double LEAST = 24;
    private static final double MARGIN = 6;

    private LyeChart() {}

    static BenchPage.Chart of(PotOutlook pot, BatchLog log, Formats formats, Instant now) {
        double minute = pot.minute(now);
        double to = Math.max(LEAST, pot.forecast().minutes());
        List<PotForecast.Reading> readings = pot.readings(log, now);
        LyePotCurve before = pot.unread(to);
        double from = readings.isEmpty() ? 0 : minute;
        Optional<Double> clear =
                pot.fedFrom().flatMap(f -> log.first(Entry.LyeClear.class).map(c -> minutes(f, c.at())));
        double past = readings.isEmpty() ? 0 : clear.orElse(from);
        DoubleSummaryStatistics seen = new DoubleSummaryStatistics();
        readings.forEach(r -> seen.accept(r.celsius()));
        IntStream.rangeClosed(0, (int) past).forEach(m -> seen.accept(before.celsiusAt(m)));
        IntStream.rangeClosed((int) from, (int) to)
                .forEach(m -> seen.accept(pot.forecast().band(m).low()));
        seen.accept(pot.forecast().peakBand().high());
        pot.limit().ifPresent(l -> seen.accept(l.celsius()));
        double highest = seen.getMax() + MARGIN;
        double lowest = seen.getMin() - MARGIN;
        TemperatureChart chart = new TemperatureChart(
                "Lye pot, measured against its forecast", formats, 0, to, Math.max(-34, lowest), highest);
        pot.limit().ifPresent(l -> chart.limit(l, "scorches"));
        double end = pot.forecast().minutes();
        if (clear.isEmpty()) {
            chart.forecast(from, end, pot.forecast()::band, pot.forecast()::middle, "lye", "forecast");
        }
        if (!readings.isEmpty()) {
            // What was to be expected before anything was read: how far off it is tells as much as the readings
            // themselves.
            chart.expected(0, past, before::celsiusAt);
        }
        SvgPath path = new SvgPath();
        readings.forEach(r -> path.to(chart.x(r.minute()), chart.y(r.celsius())));
        chart.measured(path, "lye");
        readings.forEach(r -> chart.mark("lye", r.minute(), r.celsius()));
        pot.fedFrom()
                .ifPresent(f -> log.of(Entry.PortionFed.class).forEach(p -> chart.event(minutes(f, p.at()), true)));
        if (pot.fed() > 0) {
            chart.words(minute, 4, "portions in: " + pot.fed() + " of " + pot.portions());
        }
        if (pot.fedFrom().isPresent()) {
            chart.now(minute);
        }
        return new BenchPage.Chart(chart.done(), chart.rows());
    }

    private static double minutes(Instant from, Instant to) {
        return Math.max(0, Duration.between(from, to).toMillis() / 60_000.0);
    }
}
