package io.causticon.web.bench;

import io.causticon.core.heat.CoolingBody;
import io.causticon.core.observation.BatchLog;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.Spot;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.batch.Batch;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LinearAxis;
import io.causticon.web.shared.SvgPath;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/** Lays out the readings of lye and fats with where they are going. */
final class PotChart {

    private static final double WIDTH = 780;
    private static final double HEIGHT = 372;
    private static final double LEFT = 46;
    private static final double RIGHT = WIDTH - 104;
    private static final double TOP = 20;
    private static final double BOTTOM = HEIGHT - 36;
    private static final double AHEAD = 45;
    private static final double LEAST_SPAN = 60;
    private static final double LOWEST = 15;
    private static final double STEP = 10;

    private final BatchLog log;
    private final Formats formats;
    private final Instant now;
    private final LinearAxis minutes;
    private final LinearAxis degrees;
    private final Drawing.Builder drawing = Drawing.sized(WIDTH, HEIGHT, "Lye and fats, measured and forecast");

    private PotChart(Batch batch, Formats formats, Instant now, double highest) {
        this.log = batch.log();
        this.formats = formats;
        this.now = now;
        double end = Math.max(LEAST_SPAN, age(now) + AHEAD);
        this.minutes = new LinearAxis(0, end, LEFT, RIGHT);
        this.degrees = new LinearAxis(highest, LOWEST, TOP, BOTTOM);
    }

    /**
     * Draws the pots.
     *
     * @param lye lye cooling from its last reading, if there is one
     * @param fats fats cooling from their last reading, if there is one
     * @param limit where this liquor scorches, if it does
     */
    static Drawing of(
            Batch batch,
            Formats formats,
            Instant now,
            Optional<CoolingBody> lye,
            Optional<CoolingBody> fats,
            Optional<Temperature> limit) {
        double highest = Math.max(
                        60,
                        batch.log().of(Entry.TemperatureRead.class)
                                .filter(t -> t.entry().spot() == Spot.LYE || t.entry().spot() == Spot.FATS)
                                .mapToDouble(t -> t.entry().temperature().celsius())
                                .max()
                                .orElse(0))
                + 8;
        PotChart chart = new PotChart(batch, formats, now, highest);
        chart.grid();
        limit.ifPresent(chart::limit);
        chart.pot(Spot.LYE, "lye", lye);
        chart.pot(Spot.FATS, "fats", fats);
        chart.nowLine();
        return chart.drawing.done();
    }

    private void grid() {
        for (double c = Math.ceil(LOWEST / STEP) * STEP; c <= degrees.from(); c += STEP) {
            double y = degrees.at(c);
            String label = Formats.number(Math.rint(formats.degrees(Temperature.celsius(c))), 0);
            drawing.line(LEFT, y, RIGHT, y, "rule").textEnd(LEFT - 8, y + 4, label, "figure");
        }
        double step = minutes.to() > 150 ? 60 : 15;
        for (double m = 0; m <= minutes.to(); m += step) {
            drawing.textMiddle(minutes.at(m), BOTTOM + 20, Formats.number(m, 0), "figure");
        }
        drawing.text(RIGHT + 16, BOTTOM + 20, "min", "note");
    }

    private void limit(Temperature limit) {
        double y = degrees.at(limit.celsius());
        drawing.rect(LEFT, TOP, RIGHT - LEFT, y - TOP, "forbidden")
                .line(LEFT, y, RIGHT, y, "limit")
                .text(RIGHT + 8, y + 4, formats.temperature(limit), "name fill-hazard")
                .text(RIGHT + 8, y + 20, "lye scorches", "name fill-hazard");
    }

    private void pot(Spot spot, String style, Optional<CoolingBody> cooling) {
        List<BatchLog.Timed<Entry.TemperatureRead>> readings = log.of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == spot)
                .toList();
        if (readings.isEmpty()) {
            return;
        }
        SvgPath path = new SvgPath();
        readings.forEach(t -> path.to(minutes.at(age(t.at())), degrees.at(t.entry().temperature().celsius())));
        drawing.path(path.open(), "curve stroke-" + style);
        BatchLog.Timed<Entry.TemperatureRead> last = readings.get(readings.size() - 1);
        cooling.ifPresent(body -> forecast(style, body, age(last.at())));
        readings.forEach(t ->
                drawing.mark(style, minutes.at(age(t.at())), degrees.at(t.entry().temperature().celsius())));
    }

    private void forecast(String style, CoolingBody body, double from) {
        SvgPath middle = new SvgPath();
        SvgPath band = new SvgPath();
        CoolingBody slow = new CoolingBody(body.start(), body.room(), body.ratePerMinute() / 1.6);
        CoolingBody quick = new CoolingBody(body.start(), body.room(), body.ratePerMinute() * 1.6);
        int points = 30;
        double end = minutes.to();
        for (int i = 0; i <= points; i++) {
            double m = from + (end - from) * i / points;
            middle.to(minutes.at(m), degrees.at(body.after(m - from).celsius()));
            band.to(minutes.at(m), degrees.at(slow.after(m - from).celsius()));
        }
        for (int i = points; i >= 0; i--) {
            double m = from + (end - from) * i / points;
            band.to(minutes.at(m), degrees.at(quick.after(m - from).celsius()));
        }
        drawing.path(band.closed(), "band fill-" + style)
                .path(middle.open(), "forecast stroke-" + style)
                .text(RIGHT + 8, degrees.at(body.after(end - from).celsius()) + 4, style, "name fill-" + style);
    }

    private void nowLine() {
        double x = minutes.at(age(now));
        drawing.line(x, TOP, x, BOTTOM, "now").text(x + 5, TOP + 12, "now", "strong");
    }

    private double age(Instant at) {
        return Duration.between(log.begun(), at).toSeconds() / 60.0;
    }
}
