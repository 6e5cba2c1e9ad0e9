package io.causticon.web.places.rack;

import io.causticon.core.model.log.Life;
import io.causticon.core.workshop.dates.Tasks;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.LogTimeAxis;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.batch.BatchSummary;
import java.time.Duration;
import java.time.Instant;
import java.util.List;

/**
 * Lays out all batches by age: one row each, its stages as zones that follow its own forecast, notches for what is due.
 */
final class AgeChart {

    static final double WIDTH = 900;
    private static final double LEFT = 176;
    private static final double RIGHT = WIDTH - 26;
    private static final double TOP = 26;
    private static final double ROW = 44;
    private static final double TEN_MINUTES = 10;
    private static final double YEAR = 525_600;
    private static final double TEN_YEARS = 10 * YEAR;

    private final Formats formats;
    private final Instant now;
    private final LogTimeAxis axis;
    private final Drawing.Builder drawing;

    /** @param oldest age of the oldest in minutes: beyond a year the axis goes on to ten */
    private AgeChart(int rows, double oldest, Formats formats, Instant now) {
        this.axis = new LogTimeAxis(TEN_MINUTES, oldest > YEAR ? TEN_YEARS : YEAR, LEFT, RIGHT);
        this.formats = formats;
        this.now = now;
        this.drawing = Drawing.sized(WIDTH, TOP + rows * ROW + 6, "Batches by age on a logarithmic scale");
    }

    static Drawing of(List<BatchSummary> batches, Formats formats, Instant now) {
        AgeChart chart = new AgeChart(
                batches.size(),
                batches.stream().mapToDouble(b -> minutes(b, now)).max().orElse(0),
                formats,
                now);
        chart.grid(batches.size());
        for (int i = 0; i < batches.size(); i++) {
            BatchSummary batch = batches.get(i);
            double y = TOP + i * ROW + ROW / 2;
            chart.name(batch, y);
            chart.row(batch, Row.of(batch, now), y);
        }
        return chart.drawing.done();
    }

    private void grid(int rows) {
        List<LogTimeAxis.Tick> ticks = List.of(
                new LogTimeAxis.Tick(10, "10 min"),
                new LogTimeAxis.Tick(60, "1 h"),
                new LogTimeAxis.Tick(360, "6 h"),
                new LogTimeAxis.Tick(1440, "1 day"),
                new LogTimeAxis.Tick(4320, "3 d"),
                new LogTimeAxis.Tick(10_080, "1 wk"),
                new LogTimeAxis.Tick(40_320, "4 wk"),
                new LogTimeAxis.Tick(131_040, "3 mo"),
                new LogTimeAxis.Tick(YEAR, "1 y"),
                new LogTimeAxis.Tick(3 * YEAR, "3 y"),
                new LogTimeAxis.Tick(TEN_YEARS, "10 y"));
        ticks.stream().filter(t -> t.minutes() <= axis.toMinutes()).forEach(t -> {
            double x = axis.x(t.minutes());
            drawing.line(x, TOP, x, TOP + rows * ROW, "rule").textMiddle(x, 16, t.label(), "tick");
        });
    }

    /** What a row needs to be drawn, in minutes. */
    private record Row(double age, double poured, double out, double ready, List<Tasks.Task> tasks) {

        static Row of(BatchSummary batch, Instant now) {
            double age = minutes(batch, now);
            double poured = minutes(batch, batch.pouredAt());
            double out = minutes(batch, batch.unmouldedAt());
            // What takes longer than forecast goes on until it is logged as done.
            if (batch.life() == Life.BENCH || batch.life() == Life.ABANDONED) {
                out += Math.max(0, age - poured);
                poured = Math.max(poured, age);
            } else if (batch.life() == Life.MOULD) {
                out = Math.max(out, age);
            }
            double ready = minutes(batch, batch.readyAt());
            return new Row(age, poured, out, ready, batch.tasks());
        }
    }

    private void name(BatchSummary batch, double y) {
        drawing.link(
                0,
                y - 3,
                shortened(batch.name()),
                "row-name" + (batch.isHeld() ? " held" : ""),
                "/batch/" + batch.id());
    }

    private void row(BatchSummary batch, Row row, double y) {
        String held = batch.isHeld() ? " held" : "";
        drawing.text(0, y + 14, what(batch), "row-what")
                .line(axis.x(Math.max(row.ready(), TEN_MINUTES)), y, RIGHT, y, "ready");
        zone(TEN_MINUTES, row.poured(), row.age(), y, 10, "bench" + held);
        zone(row.poured(), row.out(), row.age(), y, 10, "mould" + held);
        zone(row.out(), row.ready(), row.age(), y, 4, "cure" + held);
        if (row.age() > row.ready()) {
            drawing.line(axis.x(row.ready()), y, axis.x(row.age()), y, "aged" + held);
        }
        for (Tasks.Task task : row.tasks()) {
            notch(batch, task, y);
        }
        drawing.mark(marker(batch), axis.x(Math.max(row.age(), TEN_MINUTES)), y);
    }

    /** What is past is filled, what is to come is an outline. */
    private void zone(double from, double to, double age, double y, double height, String style) {
        double past = Math.min(to, age);
        if (past > from) {
            drawing.rect(axis.x(from), y - height / 2, axis.x(past) - axis.x(from), height, "zone " + style);
        }
        double next = Math.max(from, age);
        if (to > next) {
            drawing.rect(axis.x(next), y - height / 2, axis.x(to) - axis.x(next), height, "zone-next");
        }
    }

    private void notch(BatchSummary batch, Tasks.Task task, double y) {
        Instant at = task.done().orElse(task.due());
        double x = axis.x(Math.max(TEN_MINUTES, minutes(batch, at)));
        boolean late = task.isOpen() && task.due().isBefore(now);
        String style = task.isOpen() ? late ? "notch late" : "notch due" : "notch";
        if (!late || task.kind() != Tasks.Kind.WEIGH) {
            drawing.line(x, y - 9, x, y + 9, style);
        }
    }

    private static String marker(BatchSummary batch) {
        if (batch.isHeld()) {
            return "held";
        }
        return switch (batch.life()) {
            case BENCH, ABANDONED -> "live";
            case READY -> "calm";
            default -> "age";
        };
    }

    private String what(BatchSummary batch) {
        String mould = batch.mould().isEmpty() ? "" : batch.mould() + " ";
        String bars = batch.life() == Life.READY && batch.bars() > 0 ? ", " + batch.bars() + " bars" : "";
        return mould + formats.roughMass(batch.fatMass()) + bars + EntryWords.purpose(batch.purpose());
    }

    private static String shortened(String name) {
        return name.length() <= 20 ? name : name.substring(0, 19) + "\u2026";
    }

    private static double minutes(BatchSummary batch, Instant at) {
        return Math.max(1, Duration.between(batch.begun(), at).toSeconds() / 60.0);
    }
}
