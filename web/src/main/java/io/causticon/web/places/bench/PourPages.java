package io.causticon.web.places.bench;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.GelExtent;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.mould.Line;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Process;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.forecast.LoafWatch;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafExpectation;
import io.causticon.core.science.loaf.LoafFit;
import io.causticon.core.science.loaf.LoafHistory.Extent;
import io.causticon.core.science.making.LiveTrace;
import io.causticon.core.science.making.PourPlan;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.SvgPath;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Batch;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Words and draws the pour of a batch and the beginning of its set. */
final class PourPages {

    private static final double WIDTH = 440;
    private static final double TALLEST = 300;
    private static final double LEFT = 40;
    private static final double TOP = 12;
    private static final double SOON = 0.8;

    /** A reading that is older says nothing of what to do now. */
    private static final Duration OF_NOW = Duration.ofHours(2);

    private final Batch batch;
    private final Maker maker;
    private final Formats formats;
    private final Instant now;
    private final PourPlan plan;
    private final Optional<LiveTrace> live;

    PourPages(Batch batch, Maker maker, Optional<LiveTrace> live, Instant now) {
        this.batch = batch;
        this.maker = maker;
        this.formats = maker.formats();
        this.now = now;
        this.live = live;
        this.plan = PourPlan.of(batch.plan(), batch.log(), live);
    }

    /**
     * @param loaf by all that is known
     * @param before as it was expected at the pour
     */
    PourPage page(Optional<LoafEnsemble> loaf, Optional<LoafEnsemble> before) {
        Optional<Instant> poured = batch.log().first(Entry.Poured.class).map(BatchLog.Timed::at);
        boolean single = plan.parts().size() == 1;
        List<PourPage.Layer> layers =
                plan.parts().stream().map(p -> layer(p, single)).toList();
        return new PourPage(
                poured.isPresent(),
                poured.map(p -> Formats.duration(Duration.between(p, now))).orElse(""),
                poured.isPresent() ? watch(poured.get(), loaf, before) : says(single),
                plan.holds()
                        .filter(h -> poured.isEmpty() && h.median() > SOON)
                        .map(this::holds)
                        .orElse(""),
                poured.isPresent() || batch.facts(now).isCooked()
                        ? ""
                        : live.map(LiveTrace::workable).map(this::left).orElse(""),
                layers,
                poured.isPresent()
                        ? null
                        : layers.stream().filter(l -> !l.in()).findFirst().orElse(null),
                face(),
                overflow(),
                List.of(
                        check(
                                "Tapped",
                                "tapped",
                                batch.log().first(Entry.AirTapped.class).isPresent()),
                        check("Sprayed", "spray", was(MouldCare.SPRAYED)),
                        check("Covered", "cover", was(MouldCare.COVERED)),
                        check("Insulated", "insulate", was(MouldCare.INSULATED)),
                        batch.plan().process() == Process.OVEN
                                ? check("Oven", "oven", was(MouldCare.OVEN))
                                : check("Fridge", "fridge", was(MouldCare.FRIDGE))),
                seen(),
                room(),
                loaf.isPresent() ? "What the core will do" : "",
                loaf.map(this::figures).orElse(List.of()));
    }

    /** What is worth doing while it sets: nothing, a look where it tells most, or air before it gets too hot. */
    private String watch(Instant poured, Optional<LoafEnsemble> loaf, Optional<LoafEnsemble> before) {
        Duration since = Duration.between(poured, now);
        List<BatchLog.Timed<Entry.TemperatureRead>> read = batch.facts(now).readings(MeasurementPoint.CORE).stream()
                .filter(t -> t.at().isAfter(poured) && !t.at().isAfter(now))
                .toList();
        Optional<Temperature> last = read.stream()
                .reduce((a, b) -> b)
                .filter(t -> Duration.between(t.at(), now).compareTo(OF_NOW) < 0)
                .map(t -> t.entry().temperature());
        return "Poured " + Formats.duration(since) + " ago. "
                + (read.isEmpty() || before.isEmpty() ? "" : read(read, poured, loaf.orElseThrow(), before.get()))
                + loaf.map(l -> watch(LoafWatch.of(l, since.toSeconds() / 3600.0, last)))
                        .orElseGet(() -> unforeseen(last));
    }

    /** Of a mould whose heat nobody can reckon. */
    private String unforeseen(Optional<Temperature> last) {
        boolean hot = !batch.facts(now).isCooked()
                && last.filter(t -> t.celsius() >= LoafWatch.AIR_AT.celsius()).isPresent();
        return hot ? airNow() : "Read the room once, then leave it alone.";
    }

    private String airNow() {
        return "Give it air now: " + airing() + ", into the fridge. Do not touch what wells up with bare hands.";
    }

    /** The last reading beside what was expected of that moment. */
    private String read(
            List<BatchLog.Timed<Entry.TemperatureRead>> read, Instant poured, LoafEnsemble loaf, LoafEnsemble before) {
        BatchLog.Timed<Entry.TemperatureRead> last = read.get(read.size() - 1);
        double hours = Duration.between(poured, last.at()).toSeconds() / 3600.0;
        Interval band = before.coreBand(hours);
        boolean unexplained = read.size() >= LoafFit.FEWEST && loaf.expected().equals(before.expected());
        return "The middle read " + formats.temperature(last.entry().temperature()) + " after " + after(hours)
                + "; at the pour "
                + whole(band.low()) + " to " + degrees(band.high()) + " was expected. "
                + (unexplained
                        ? "No such loaf has these readings: is the tip in the middle? They do not count until they"
                                + " fit. "
                        : "");
    }

    private String watch(LoafWatch watch) {
        String over = after(watch.settledHour());
        return switch (watch.what()) {
            case AIR_NOW -> airNow();
            case SETTLED -> "What it could do by itself it has done: leave it to cool.";
            case MAY_OVERHEAT ->
                "It may pass " + degrees(LoafEnsemble.TOO_HOT) + ", " + Formats.counted(watch.tooHot()) + ": "
                        + airing() + ", into the fridge if the middle passes " + degrees(LoafWatch.AIR_AT.celsius())
                        + ". After " + over + " it can no longer.";
            case LOOK_LATER ->
                "The middle tells most " + after(watch.lookHour()) + " after the pour: read it then. After " + over
                        + " nothing warms it any more.";
            case LEAVE -> "Leave it alone. After " + over + " nothing warms it any more.";
        };
    }

    private String airing() {
        return (was(MouldCare.OVEN) ? "oven off and its door open" : "lid and towels off") + ", air round it";
    }

    private String whole(double celsius) {
        return Formats.number(formats.degrees(Temperature.celsius(celsius)), 0);
    }

    private String degrees(double celsius) {
        return whole(celsius) + " " + formats.temperatureUnit();
    }

    private static String after(double hours) {
        return Formats.number(hours, 1) + " h";
    }

    private String says(boolean single) {
        if (batch.facts(now).isCooked()) {
            return "Spoon it in hot, press each spoonful down, knock the air out, smooth the top. Gloves and sleeves:"
                    + " hot paste sticks.";
        }
        if (plan.next().isEmpty()) {
            return "All parts are in. Tap out the air, then say that it is poured: the set begins.";
        }
        return single
                ? "Pour, tap out the air, cover."
                : plan.inLayers()
                        ? "Next: " + plan.next().get().name() + ", gently, over the back of a spoon."
                        : "Next: " + plan.next().get().name() + ".";
    }

    private String holds(LiveTrace.Left h) {
        return "What is in holds the next layer in about " + MixPages.minutes(h.median()) + ", "
                + MixPages.band(h.band().low(), h.band().high()) + ": when a dripped trail stays.";
    }

    private String left(LiveTrace.Left l) {
        return l.median() <= 0
                ? "It may be thick at any moment: spoon it in if it does not pour."
                : "You have about " + MixPages.minutes(l.median()) + ", "
                        + MixPages.band(l.band().low(), l.band().high()) + ".";
    }

    private PourPage.Layer layer(PourPlan.Part p, boolean single) {
        Mould mould = batch.plan().mould();
        return new PourPage.Layer(
                p.name(),
                formats.mass(p.mass()),
                formats.massInput(p.mass()),
                mould == null ? "" : Formats.number(p.fill(), 0) + " mm",
                single ? "poured" : "layer " + p.name(),
                p.poured());
    }

    private String overflow() {
        if (!plan.overflow().isPositive() || batch.plan().mould() == null) {
            return "";
        }
        Mould spare = plan.spare();
        return spare == null
                ? formats.mass(plan.overflow()) + " will not fit: have a cavity or cup ready."
                : formats.mass(plan.overflow()) + " over: into the " + spare.name() + ", which it fills to "
                        + Formats.number(100 * Math.min(1, plan.spareFill()), 0) + " %.";
    }

    private List<PourPage.Check> seen() {
        return List.of(
                gel("Gel in the middle", "gel partial", GelExtent.PARTIAL),
                gel("Gel to the edge", "gel full", GelExtent.FULL),
                gel("No gel", "gel none", GelExtent.NONE),
                look("Cracks", "see crack", Findings.CRACK),
                look("Heaves", "see heaved", Findings.HEAVED),
                look("Puddles", "see puddles", Findings.PUDDLES));
    }

    private PourPage.Check gel(String words, String tap, GelExtent extent) {
        return check(words, tap, batch.log().has(Entry.GelSeen.class, g -> g.extent() == extent));
    }

    private PourPage.Check look(String words, String tap, Finding finding) {
        return check(
                words,
                tap,
                batch.log()
                        .has(
                                Entry.Observed.class,
                                o -> o.finding().equals(finding.id()) && o.presence() == Presence.SEEN));
    }

    private PourPage.Check check(String words, String tap, boolean done) {
        return new PourPage.Check(words, tap, done);
    }

    private boolean was(MouldCare keeping) {
        return batch.log().has(Entry.Kept.class, k -> k.keeping() == keeping);
    }

    private List<BenchPage.Figure> room() {
        List<BenchPage.Figure> figures = new ArrayList<>();
        batch.log()
                .of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == MeasurementPoint.ROOM)
                .reduce((a, b) -> b)
                .ifPresentOrElse(
                        t -> figures.add(new BenchPage.Figure(
                                "room", formats.temperature(t.entry().temperature()))),
                        () -> figures.add(new BenchPage.Figure("room, usual", formats.temperature(maker.room()))));
        batch.log().last(Entry.HumidityRead.class).ifPresent(h -> {
            String ash = h.entry().percent() > 65 ? ", cover against ash" : "";
            figures.add(
                    new BenchPage.Figure("humidity", Formats.number(h.entry().percent(), 0) + " %" + ash));
        });
        return figures;
    }

    private List<BenchPage.Figure> figures(LoafEnsemble l) {
        boolean known = !l.expected().equals(LoafExpectation.USUAL);
        List<BenchPage.Figure> measured = !known
                ? List.of()
                : List.of(
                        new BenchPage.Figure(
                                "mould, as measured",
                                "loses " + Formats.number(l.expected().lossFactor(), 2)
                                        + " times the heat that is reckoned"),
                        new BenchPage.Figure(
                                "batter, as measured",
                                "reacts " + Formats.number(l.expected().rateFactor(), 2) + " times as fast"));
        return Stream.concat(measured.stream(), forecast(l).stream()).toList();
    }

    private List<BenchPage.Figure> forecast(LoafEnsemble l) {
        return List.of(
                new BenchPage.Figure(
                        "core peaks",
                        Formats.number(l.middle().peakHour(), 1) + " h after the pour, near "
                                + formats.temperature(
                                        Temperature.celsius(Math.rint(l.middle().peak())))),
                new BenchPage.Figure("gel all through", Formats.counted(l.probabilityOf(Extent.FULL))),
                new BenchPage.Figure("gel half-way", Formats.counted(l.probabilityOf(Extent.PARTIAL))));
    }

    /** The end face of the mould, to scale; what is in is filled, what is to come only outlined. */
    private Drawing face() {
        Mould mould = batch.plan().mould();
        double width = mould == null ? 100 : mould.width();
        double height = mould == null ? 100 : mould.height();
        double scale = Math.min((WIDTH - LEFT - 150) / width, TALLEST / height);
        double bottom = TOP + height * scale;
        Drawing.Builder drawing = Drawing.sized(WIDTH, bottom + 14, "The mould filling up");
        Portioning portioning = batch.plan().pouring().portioning();
        double below = 0;
        for (int i = 0; i < plan.parts().size(); i++) {
            PourPlan.Part part = plan.parts().get(i);
            double fill = mould == null ? 100.0 * (i + 1) / plan.parts().size() : part.fill();
            Line top = line(portioning, i, fill);
            Line under = i == 0 ? Line.flat(0) : line(portioning, i - 1, below);
            drawing.path(
                    outline(top, under, width, scale, bottom),
                    "part layer-" + i % 6 + (part.poured() ? "" : " to-come"));
            double middle = (top.heightAt(width) + under.heightAt(width)) / 2;
            String name = part.name() + (part.poured() ? " \u2713" : "");
            String style = part.poured() ? "name" : "note";
            // The name of an undivided batter stands in it: beside it there is no room for a long one.
            if (plan.parts().size() == 1) {
                drawing.textMiddle(LEFT + width * scale / 2, bottom - middle * scale + 5, name, style);
            } else {
                drawing.text(LEFT + width * scale + 12, bottom - middle * scale + 5, name, style);
            }
            below = fill;
        }
        drawing.path(
                new SvgPath()
                        .to(LEFT, TOP)
                        .to(LEFT, bottom)
                        .to(LEFT + width * scale, bottom)
                        .to(LEFT + width * scale, TOP)
                        .open(),
                "shell");
        for (double mm = 0; mm <= height; mm += height > 120 ? 40 : 20) {
            drawing.textEnd(LEFT - 8, bottom - mm * scale + 4, Formats.number(mm, 0), "figure");
        }
        return drawing.done();
    }

    private static Line line(Portioning portioning, int i, double fill) {
        if (portioning.way() == Portioning.Way.LAYERS
                && i < portioning.portions().size()) {
            Portion portion = portioning.portions().get(i);
            Line drawn = portion.top();
            return drawn == null ? Line.flat(fill) : drawn;
        }
        return Line.flat(fill);
    }

    private static String outline(Line top, Line below, double width, double scale, double bottom) {
        SvgPath path = new SvgPath();
        top.outlineAbove(below, width).forEach(p -> path.to(LEFT + p.x() * scale, bottom - p.height() * scale));
        return path.closed();
    }
}
