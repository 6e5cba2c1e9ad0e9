package io.causticon.web.places.batch;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.mould.Line;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.places.batch.BatchPage.SectionRow;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.SvgPath;
import io.causticon.web.store.batch.Batch;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/** A section as the page has it: for the script, for those without one, and as a table. */
final class SectionWords {

    private static final double FROM_CELSIUS = -25;
    private static final int A_KELVIN = 2;
    private static final int SIXTEEN = 16;
    private static final int MOST_HEAT = 255;
    private static final double FROM_ABOVE_GEL = 14.25;
    private static final int MOST_ABOVE_GEL = 57;
    private static final char FIRST_LETTER = 'A';
    private static final int TABLE_ROWS = 10;
    private static final int EDGE_POINTS = 24;

    /** Cells lie a little over their neighbours, or a browser shows seams. */
    private static final double OVER_THE_NEXT = 0.3;

    private final LoafSection section;
    private final Formats formats;
    private final Batch batch;
    private final double height;

    /** In the middle, since the pour. */
    private final List<BatchLog.Timed<Entry.TemperatureRead>> read;

    private SectionWords(LoafSection section, Batch batch, Formats formats) {
        this.section = section;
        this.batch = batch;
        this.formats = formats;
        Instant poured =
                batch.log().first(Entry.Poured.class).map(BatchLog.Timed::at).orElse(Instant.MAX);
        this.read = batch.facts(Instant.MAX).readings(MeasurementPoint.CORE).stream()
                .filter(t -> t.at().isAfter(poured))
                .toList();
        this.height = Math.rint(BatchPage.Section.WIDTH / section.widthToHeight());
    }

    static BatchPage.Section of(LoafSection section, Batch batch, Formats formats) {
        SectionWords words = new SectionWords(section, batch, formats);
        LoafSection.Moment shown = section.moments().get(section.shown());
        return new BatchPage.Section(
                section.columns(),
                section.rows(),
                words.height,
                words.bothHalves(shown),
                section.shown(),
                words.core(shown),
                when(shown),
                words.gelled(shown),
                section.moments().stream().map(words::encoded).toList(),
                words.layers(),
                words.probe(shown),
                DoubleStream.of(
                                LoafSection.COLDEST,
                                (LoafSection.COLDEST + LoafSection.HOTTEST) / 2,
                                LoafSection.HOTTEST)
                        .mapToObj(c ->
                                words.degrees(c) + (c == LoafSection.HOTTEST ? " " + formats.temperatureUnit() : ""))
                        .toList(),
                words.table());
    }

    private List<BatchPage.SectionCell> bothHalves(LoafSection.Moment moment) {
        int columns = section.columns();
        double wide = BatchPage.Section.WIDTH / (2.0 * columns);
        double high = height / section.rows();
        List<BatchPage.SectionCell> cells = new ArrayList<>();
        for (int row = 0; row < section.rows(); row++) {
            for (int column = 0; column < 2 * columns; column++) {
                int half = column < columns ? columns - 1 - column : column - columns;
                cells.add(new BatchPage.SectionCell(
                        "heat-" + LoafSection.step(moment.celsius()[row * columns + half]),
                        SvgPath.coordinate(column * wide),
                        SvgPath.coordinate(row * high),
                        SvgPath.coordinate(wide + OVER_THE_NEXT),
                        SvgPath.coordinate(high + OVER_THE_NEXT)));
            }
        }
        return cells;
    }

    private String encoded(LoafSection.Moment moment) {
        StringBuilder celsius = new StringBuilder();
        for (double c : moment.celsius()) {
            int heat = within((c - FROM_CELSIUS) * A_KELVIN, MOST_HEAT);
            celsius.append(Character.forDigit(heat / SIXTEEN, SIXTEEN))
                    .append(Character.forDigit(heat % SIXTEEN, SIXTEEN));
        }
        StringBuilder above = new StringBuilder();
        for (double k : moment.aboveGel()) {
            above.append((char) (FIRST_LETTER + within((k + FROM_ABOVE_GEL) * A_KELVIN, MOST_ABOVE_GEL)));
        }
        return String.format(
                Locale.ROOT,
                "%.1f|%s|%s|%s|%s|%s|%s",
                moment.x(),
                when(moment),
                core(moment),
                gelled(moment),
                celsius,
                above,
                probe(moment));
    }

    /** The last reading in the middle by then. */
    private String probe(LoafSection.Moment moment) {
        Instant then = batch.log().begun().plusSeconds(Math.round(60 * moment.minutes()));
        return read.stream()
                .filter(t -> !t.at().isAfter(then))
                .reduce((a, b) -> b)
                .map(t -> "The probe read " + formats.temperature(t.entry().temperature()) + " at "
                        + Formats.duration(Duration.between(batch.log().begun(), t.at())) + ".")
                .orElse("");
    }

    /**
     * Of layers that were drawn on the end face; a loaf that was poured lower than drawn shows them from the bottom up.
     */
    private List<String> layers() {
        Portioning portioning = batch.plan().pouring().portioning();
        Mould mould = batch.plan().mould();
        if (mould == null || portioning.way() != Portioning.Way.LAYERS) {
            return List.of();
        }
        double wide = Math.min(mould.width(), mould.length());
        double scale = BatchPage.Section.WIDTH / wide;
        // The last upper edge is the top of the loaf.
        return portioning.portions().stream()
                .limit(Math.max(0, portioning.portions().size() - 1L))
                .map(Portion::top)
                .filter(Objects::nonNull)
                .map(line -> edge(line, wide, scale))
                .toList();
    }

    private String edge(Line line, double wide, double scale) {
        SvgPath path = new SvgPath();
        for (int i = 0; i <= EDGE_POINTS; i++) {
            double x = wide * i / EDGE_POINTS;
            path.to(x * scale, Math.max(0, height - line.heightAt(x) * scale));
        }
        return path.open();
    }

    private static int within(double number, int most) {
        return (int) Math.max(0, Math.min(most, Math.rint(number)));
    }

    private List<SectionRow> table() {
        int last = section.moments().size() - 1;
        return IntStream.range(0, TABLE_ROWS)
                .map(i -> i * last / (TABLE_ROWS - 1))
                .mapToObj(section.moments()::get)
                .map(m -> new SectionRow(when(m), core(m) + " " + formats.temperatureUnit(), gelled(m)))
                // A loaf that was poured a minute ago has few moments that differ.
                .distinct()
                .toList();
    }

    private String gelled(LoafSection.Moment moment) {
        return formats.percent(Share.fraction(moment.gelled()), 0);
    }

    private String core(LoafSection.Moment moment) {
        return degrees(moment.core());
    }

    private static String when(LoafSection.Moment moment) {
        return Formats.duration(Duration.ofSeconds(Math.round(60 * moment.minutes())));
    }

    private String degrees(double celsius) {
        return Formats.number(formats.degrees(Temperature.celsius(celsius)), 0);
    }
}
