package io.causticon.web.places.bench;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.science.pots.CoolingFit;
import io.causticon.core.science.pots.Matching;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.SvgPath;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Lye and fats converging, with the minute at which they meet. */
final class MatchChart {

    private static final double AHEAD = 45;
    private static final double LEAST_SPAN = 60;
    private static final double MARGIN = 5;

    private MatchChart() {}

    static BenchPage.Chart of(BatchLog log, Matching matching, Formats formats) {
        double first = Stream.of(MeasurementPoint.LYE, MeasurementPoint.FATS)
                .flatMap(spot -> readings(log, spot).stream())
                .mapToDouble(CoolingFit.Reading::minute)
                .min()
                .orElse(0);
        double meets = matching.meeting()
                .map(m -> Double.isFinite(m.high()) ? m.high() : Double.isFinite(m.median()) ? m.median() : 0)
                .orElse(0.0);
        double from = Math.floor(first / 5) * 5;
        double to = Math.max(
                from + LEAST_SPAN, Math.min(matching.now() + 200, Math.max(matching.now() + AHEAD, meets + 10)));
        double highest = Stream.of(MeasurementPoint.LYE, MeasurementPoint.FATS)
                        .flatMap(spot -> readings(log, spot).stream())
                        .mapToDouble(CoolingFit.Reading::celsius)
                        .max()
                        .orElse(60)
                + MARGIN;
        double lowest = Math.min(
                Math.min(20, matching.window().low() - MARGIN),
                readings(log, MeasurementPoint.LYE).stream()
                                .mapToDouble(CoolingFit.Reading::celsius)
                                .min()
                                .orElse(20)
                        - MARGIN);
        TemperatureChart chart = new TemperatureChart(
                "Lye and fats, measured and where they are going", formats, from, to, lowest, Math.max(55, highest));
        chart.window(matching.window());
        pot(chart, log, MeasurementPoint.LYE, "lye", matching.lye(), matching.now(), to);
        pot(chart, log, MeasurementPoint.FATS, "fats", matching.fats(), matching.now(), to);
        matching.meeting()
                .filter(m -> Double.isFinite(m.median()) && m.median() > matching.now() && m.median() <= to)
                .ifPresent(m -> {
                    chart.event(m.median(), true);
                    chart.words(m.median(), 8, "together, minute " + Formats.number(m.median(), 0));
                });
        chart.now(matching.now());
        return new BenchPage.Chart(chart.done(), chart.rows());
    }

    private static List<CoolingFit.Reading> readings(BatchLog log, MeasurementPoint spot) {
        return log.of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == spot)
                .map(t -> new CoolingFit.Reading(
                        Duration.between(log.begun(), t.at()).toMillis() / 60_000.0,
                        t.entry().temperature().celsius()))
                .toList();
    }

    private static void pot(
            TemperatureChart chart,
            BatchLog log,
            MeasurementPoint spot,
            String style,
            Optional<CoolingFit> fit,
            double now,
            double to) {
        List<CoolingFit.Reading> readings = readings(log, spot);
        fit.ifPresent(f -> {
            double from = readings.get(readings.size() - 1).minute();
            chart.forecast(from, to, f::bandAt, f::celsiusAt, style, style);
        });
        SvgPath path = new SvgPath();
        readings.forEach(r -> path.to(chart.x(r.minute()), chart.y(r.celsius())));
        chart.measured(path, style);
        readings.forEach(r -> chart.mark(style, r.minute(), r.celsius()));
    }
}
