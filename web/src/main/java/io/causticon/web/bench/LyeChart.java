package io.causticon.web.bench;

import io.causticon.core.forecast.PotOutlook;
import io.causticon.core.heat.PotForecast;
import io.causticon.core.observation.BatchLog;
import io.causticon.core.observation.Entry;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.SvgPath;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.IntStream;

/** The lye pot from the first lye on: what was read, against where it is going. */
final class LyeChart {

    private static final double LEAST = 24;
    private static final double MARGIN = 6;

    private LyeChart() {}

    static Drawing of(PotOutlook pot, BatchLog log, Formats formats, Instant now) {
        double minute = pot.minute(now);
        double to = Math.max(LEAST, pot.forecast().minutes());
        List<PotForecast.Reading> readings =
                pot.fedFrom().map(f -> PotOutlook.readings(log, f, now)).orElse(List.of());
        double highest = Math.max(
                        Math.max(pot.forecast().peakBand().high(), pot.limit().map(l -> l.celsius()).orElse(0.0)),
                        readings.stream().mapToDouble(PotForecast.Reading::celsius).max().orElse(0))
                + MARGIN;
        double lowest = Math.min(
                        IntStream.rangeClosed(0, (int) to).mapToDouble(m -> pot.forecast().band(m).low()).min().orElse(0), readings.stream().mapToDouble(PotForecast.Reading::celsius).min().orElse(99))
                - MARGIN;
        TemperatureChart chart =
                new TemperatureChart("Lye pot, measured against its forecast", formats, 0, to, Math.max(-34, lowest), highest);
        pot.limit().ifPresent(l -> chart.limit(l, "scorches"));
        double from = readings.isEmpty() ? 0 : minute;
        double end = pot.forecast().minutes();
        if (log.first(Entry.LyeClear.class).isEmpty()) {
            chart.band(from, end, pot.forecast()::band, "lye");
            chart.curve(from, end, pot.forecast()::middle, "lye", "forecast");
        }
        SvgPath path = new SvgPath();
        readings.forEach(r -> path.to(chart.x(r.minute()), chart.y(r.celsius())));
        chart.measured(path, "lye");
        readings.forEach(r -> chart.mark("lye", r.minute(), r.celsius()));
        pot.fedFrom().ifPresent(f -> log.of(Entry.PortionFed.class).forEach(p -> chart.event(
                Math.max(0, Duration.between(f, p.at()).toMillis() / 60_000.0), true)));
        if (pot.fed() > 0) {
            chart.words(minute, 4, "portions in: " + pot.fed() + " of " + pot.portions());
        }
        if (pot.fedFrom().isPresent()) {
            chart.now(minute);
        }
        return chart.done();
    }
}
