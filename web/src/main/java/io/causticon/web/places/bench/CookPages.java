package io.causticon.web.places.bench;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.cook.CookPlan;
import io.causticon.core.science.cook.CookWatch;
import io.causticon.core.science.cook.MeltPlan;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.SvgPath;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Batch;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;

/** Words and draws a pot that is cooked. */
final class CookPages {

    private static final double WIDTH = 440;
    private static final double HEIGHT = 190;
    private static final double LEFT = 44;
    private static final double TOP = 14;
    private static final double BOTTOM = 160;
    private static final double LEAST_HOURS = 2;

    /** However long ago it was cooked. */
    private static final double MOST_HOURS = 12;

    private static final int STEPS = 60;

    private final BatchFacts facts;
    private final BatchLog log;
    private final Formats formats;
    private final Instant now;
    private final List<MixPage.Step> after;

    /** @param after what goes in after the cook */
    CookPages(Batch batch, Maker maker, List<MixPage.Step> after, Instant now) {
        this.facts = batch.facts(now);
        this.log = batch.log();
        this.formats = maker.formats();
        this.now = now;
        this.after = after;
    }

    CookPage page() {
        Optional<CookWatch> watch = CookWatch.of(facts, now);
        Optional<Instant> on = facts.cookedSince().filter(t -> !t.isAfter(now));
        CookWatch.Stage stage = watch.map(CookWatch::stage).orElse(CookWatch.Stage.BEFORE);
        Optional<Mass> water = watch.map(CookWatch::back).filter(Mass::isPositive);
        boolean mayGoIn = stage == CookWatch.Stage.AFTER;
        return new CookPage(
                on.map(t -> Formats.duration(Duration.between(t, now))).orElse(""),
                watch.map(w -> formats.phrase(w.says())).orElse("Lye and fats are not together yet."),
                watch.map(w -> w.heeds().stream().map(formats::phrase).toList()).orElse(List.of()),
                watch.map(w -> w.notes().stream().map(formats::phrase).toList()).orElse(List.of()),
                watch.filter(CookWatch::timed).map(this::soap).orElse(""),
                watch.map(this::figures).orElse(List.of()),
                on.isPresent(),
                looks(),
                log.of(Entry.Cooked.class)
                        .filter(c -> c.entry().what() == Cooking.STIRRED)
                        .reduce((a, b) -> b)
                        .map(c -> Formats.duration(Duration.between(c.at(), now)) + " ago")
                        .orElse(""),
                stage == CookWatch.Stage.TO_TEST || stage == CookWatch.Stage.GOES_ON,
                mayGoIn,
                after.stream().filter(s -> mayGoIn && !s.isDone()).findFirst().orElse(null),
                after,
                facts.plan().isRework() || watch.isEmpty() ? null : chart(watch),
                water.map(formats::mass).orElse(""),
                water.map(formats::massInput).orElse(""));
    }

    private String soap(CookWatch w) {
        return "By the clock and its heat " + percent(w.soap()) + " is soap, "
                + percent(w.soapBand().low()) + " to " + percent(w.soapBand().high())
                + ". The clock releases nothing: the look and the test do.";
    }

    private static String percent(double share) {
        return Formats.number(100 * Math.min(share, 0.995), 0) + " %";
    }

    private List<BenchPage.Figure> figures(CookWatch w) {
        List<BenchPage.Figure> figures = new ArrayList<>();
        Rework rework = facts.plan().rework();
        Mass water = rework == null
                ? CookPlan.of(facts.plan()).water()
                : Mass.grams(rework.waterShare().fraction() * rework.total().grams());
        w.lost()
                .ifPresent(l -> figures.add(new BenchPage.Figure(
                        "water gone, by the scale", formats.mass(l) + " of " + formats.mass(water))));
        if (w.back().isPositive()) {
            figures.add(new BenchPage.Figure("stir in, hot", formats.mass(w.back())));
        }
        facts.lastBefore(MeasurementPoint.BATTER, now)
                .ifPresent(t -> figures.add(new BenchPage.Figure("pot", formats.temperature(t))));
        figures.add(
                new BenchPage.Figure("usual", formats.temperature(rework == null ? CookPlan.POT : MeltPlan.EVEN_AT)));
        if (rework != null) {
            MeltPlan melt = MeltPlan.of(rework);
            figures.add(new BenchPage.Figure("pot, at least", Formats.number(melt.leastPotLitres(), 1) + " l"));
            if (melt.bursts() > 0) {
                figures.add(new BenchPage.Figure(
                        "bursts",
                        "some " + melt.bursts() + " of " + melt.burst().toSeconds() + " s, half power"));
            }
        }
        return figures;
    }

    private List<MixPage.Rung> looks() {
        if (facts.plan().isRework()) {
            return List.of(
                    look(Cooking.EVEN, "e", "one even mash, no lump as big as a pea"),
                    look(Cooking.LUMPY, "l", "soft at the edges, lumps between"),
                    look(Cooking.RISES, "r", "swells up the wall: heat off"));
        }
        return List.of(
                look(Cooking.CLEAR, "c", "one clear paste, no dull spot"),
                look(Cooking.WAXY, "w", "waxy at the rim, clear in places"),
                look(Cooking.GRAINY, "g", "mash with liquor between"),
                look(Cooking.RISES, "r", "swells up the wall: stir it down"),
                look(Cooking.SETS, "s", "like pudding, a dull skin"));
    }

    private MixPage.Rung look(Cooking what, String key, String looks) {
        String word = what.name().toLowerCase(Locale.ROOT);
        String seen = log.first(Entry.Cooked.class, c -> c.what() == what)
                .map(c -> facts.cookedSince()
                        .map(s -> Formats.duration(Duration.between(s, c.at())))
                        .orElse("seen"))
                .orElse("");
        return new MixPage.Rung(word, word, "cook " + word, key, looks, seen);
    }

    /** How much is soap, hour by hour since lye-in: as it went, and where it is going. */
    private Drawing chart(Optional<CookWatch> watch) {
        Drawing.Builder drawing = Drawing.sized(WIDTH, HEIGHT, "How much of the pot is soap, by the hour");
        Optional<Instant> in = log.first(Entry.LyeIntoFats.class).map(BatchLog.Timed::at);
        double ran = in.map(i -> Duration.between(i, now).toSeconds() / 3600.0).orElse(0.0);
        double left = watch.map(CookWatch::hoursLeft).orElse(0.0);
        double hours = Math.min(MOST_HOURS, Math.max(LEAST_HOURS, Math.ceil(ran + left + 0.5)));
        for (double share : new double[] {0, 0.5, 1}) {
            drawing.line(LEFT, y(share), WIDTH - 10, y(share), "rule");
            drawing.textEnd(LEFT - 6, y(share) + 4, Formats.number(100 * share, 0) + " %", "figure");
        }
        for (double h = 0; h <= hours; h += hours > 6 ? 2 : 1) {
            drawing.text(x(h, hours) - 4, BOTTOM + 18, Formats.number(h, 0) + " h", "figure");
        }
        in.ifPresent(i -> {
            drawing.path(
                    course(i, hours, w -> w.soapBand().low(), w -> w.soapBand().high()), "band fill-core");
            drawing.path(line(i, hours), "curve stroke-core");
            if (ran <= hours) {
                drawing.line(x(ran, hours), TOP, x(ran, hours), BOTTOM, "now")
                        .text(x(ran, hours) + 5, TOP + 10, "now", "strong");
            }
            log.of(Entry.Cooked.class)
                    .filter(c -> c.entry().what().isLook() && !c.at().isAfter(now))
                    .forEach(c -> {
                        double at = Duration.between(i, c.at()).toSeconds() / 3600.0;
                        CookWatch.of(facts, c.at())
                                .filter(w -> at >= 0 && at <= hours)
                                .ifPresent(w -> drawing.mark("batter", x(at, hours), y(w.soap())));
                    });
        });
        return drawing.done();
    }

    private interface Share {
        double of(CookWatch watch);
    }

    private String line(Instant in, double hours) {
        SvgPath path = new SvgPath();
        for (int i = 0; i <= STEPS; i++) {
            double hour = hours * i / STEPS;
            at(in, hour).ifPresent(path(path, hour, hours, CookWatch::soap));
        }
        return path.open();
    }

    private String course(Instant in, double hours, Share low, Share high) {
        SvgPath path = new SvgPath();
        for (int i = 0; i <= STEPS; i++) {
            at(in, hours * i / STEPS).ifPresent(path(path, hours * i / STEPS, hours, high));
        }
        for (int i = STEPS; i >= 0; i--) {
            at(in, hours * i / STEPS).ifPresent(path(path, hours * i / STEPS, hours, low));
        }
        return path.closed();
    }

    private static Consumer<CookWatch> path(SvgPath path, double h, double hours, Share share) {
        return w -> path.to(x(h, hours), y(share.of(w)));
    }

    private Optional<CookWatch> at(Instant in, double hours) {
        return CookWatch.of(facts, in.plusSeconds(Math.round(3600 * hours)));
    }

    private static double x(double hour, double hours) {
        return LEFT + (WIDTH - 10 - LEFT) * hour / hours;
    }

    private static double y(double share) {
        return BOTTOM - (BOTTOM - TOP) * Math.min(1, share);
    }
}
