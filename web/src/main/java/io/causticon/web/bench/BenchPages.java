package io.causticon.web.bench;

import io.causticon.core.forecast.PotMemories;
import io.causticon.core.heat.LoafEnsemble;
import io.causticon.core.heat.LoafHistory.Extent;
import io.causticon.core.making.WorkingTime;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.LoggedEntry;
import io.causticon.core.observation.Stage;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.account.Maker;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.EntryWords;
import io.causticon.web.batch.LoafForecasts;
import io.causticon.web.shared.Formats;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Words the bench for the step that a batch is at. */
@Service
class BenchPages {

    private static final int RECENT = 7;

    private final LoafForecasts loaves;
    private final PotMemory pots;
    private final Clock clock;

    BenchPages(LoafForecasts loaves, PotMemory pots, Clock clock) {
        this.loaves = loaves;
        this.pots = pots;
        this.clock = clock;
    }

    /**
     * The page of a batch at a step.
     *
     * @param shown the step to show
     * @param at the moment to show it at: now, or the one given by hand
     * @param vessels masses of vessels by name, for tares that were not taken
     */
    BenchPage page(Batch batch, BenchStep shown, Maker maker, Optional<Instant> at, Map<String, Mass> vessels) {
        Instant now = at.orElseGet(clock::instant);
        Formats formats = maker.formats();
        Weighing weighing = new Weighing(batch, formats, vessels);
        return new BenchPage(
                batch.id().toString(),
                batch.name(),
                PotPages.method(batch),
                batch.log().begun().toEpochMilli(),
                Formats.stopwatch(batch.log().ageAt(now)),
                List.of(BenchStep.values()).stream()
                        .map(s -> new BenchPage.Step(s.id(), s.title(), s.isDone(batch), s == shown))
                        .toList(),
                shown.id(),
                shown == BenchStep.WEIGH ? weighing.page() : null,
                shown == BenchStep.READY ? ReadyList.of(batch) : null,
                switch (shown) {
                    case LYE -> new PotPages(batch, maker, PotMemories.NONE, now).lyePot();
                    case MATCH -> new PotPages(batch, maker, pots.of(batch, maker.room()), now).matching();
                    default -> null;
                },
                shown == BenchStep.MIX ? mix(batch, formats, now) : null,
                shown == BenchStep.POUR ? setting(batch, maker, now) : null,
                weighing.warnings(),
                recent(batch, formats));
    }

    private static List<BenchPage.Recent> recent(Batch batch, Formats formats) {
        List<LoggedEntry> entries = new ArrayList<>(batch.log().entries());
        Collections.reverse(entries);
        return entries.stream()
                .limit(RECENT)
                .map(e -> new BenchPage.Recent(
                        e.id(),
                        Formats.duration(Duration.between(batch.log().begun(), e.at())),
                        EntryWords.of(e.entry(), formats)))
                .toList();
    }

    private static BenchPage.Mix mix(Batch batch, Formats formats, Instant now) {
        WorkingTime time = WorkingTime.forecast(batch.plan());
        Optional<Instant> in = batch.log().first(Entry.LyeIntoFats.class).map(t -> t.at());
        int blended = batch.log().of(Entry.BlenderBurst.class).mapToInt(b -> b.entry().seconds()).sum();
        return new BenchPage.Mix(
                in.map(Instant::toEpochMilli).orElse(0L),
                in.map(i -> Formats.stopwatch(Duration.between(i, now))).orElse(""),
                Formats.number(time.minutes(), 0) + " min",
                Formats.number(time.band().low(), 0) + " to " + Formats.number(time.band().high(), 0) + " min",
                time.reasons().stream()
                        .limit(3)
                        .map(r -> new BenchPage.Figure(r.words(), "\u00d7 " + Formats.number(r.factor(), 2)))
                        .toList(),
                rungs(batch, in),
                troubles(batch, in),
                additions(batch, formats),
                blended + " s");
    }

    private static List<BenchPage.Rung> rungs(Batch batch, Optional<Instant> in) {
        return List.of(
                rung(batch, in, Stage.MASH, "mash", "will not pour"),
                rung(batch, in, Stage.THICK, "thick", "custard to pudding"),
                rung(batch, in, Stage.MEDIUM, "medium", "a trail holds"),
                rung(batch, in, Stage.LIGHT, "light", "a trail rests a moment"),
                rung(batch, in, Stage.THIN, "thin", "a trail sinks at once"),
                rung(batch, in, Stage.EMULSION, "emulsion", "one colour, no oil"),
                rung(batch, in, Stage.STREAKS, "streaks", "oil on the surface"));
    }

    private static List<BenchPage.Rung> troubles(Batch batch, Optional<Instant> in) {
        return List.of(
                rung(batch, in, Stage.RICED, "rice", "grains"),
                rung(batch, in, Stage.CURDLED, "curdle", "curds"),
                rung(batch, in, Stage.SEPARATED, "separate", "liquor apart"),
                rung(batch, in, Stage.FALSE_TRACE, "false", "thick, but cool"),
                rung(batch, in, Stage.FROTHY, "froth", "full of air"));
    }

    private static BenchPage.Rung rung(Batch batch, Optional<Instant> in, Stage stage, String tap, String looks) {
        String reached = batch.log()
                .first(Entry.StageReached.class, s -> s.stage() == stage)
                .map(s -> in.map(i -> Formats.duration(Duration.between(i, s.at()))).orElse("seen"))
                .orElse("");
        return new BenchPage.Rung(EntryWords.stage(stage), tap, looks, reached);
    }

    private static List<BenchPage.Addition> additions(Batch batch, Formats formats) {
        return batch.plan().formula().additives().stream()
                .map(a -> {
                    String name = a.additive().name().replace("Essential oil: ", "").replaceAll("\\s*\\(.*?\\)", "");
                    boolean in = batch.log().has(Entry.Added.class, e -> e.what().equalsIgnoreCase(name));
                    String heed = a.additive().isMover() ? "may seize: last, by hand, then straight into the mould" : "";
                    String mass = formats.massInput(a.mass()) + " " + formats.massUnit();
                    return new BenchPage.Addition("add " + name + " " + mass, name + " " + formats.mass(a.mass()), heed, in);
                })
                .toList();
    }

    private BenchPage.Setting setting(Batch batch, Maker maker, Instant now) {
        Optional<Instant> poured = batch.log().first(Entry.Poured.class).map(p -> p.at());
        Optional<LoafEnsemble> loaf = loaves.of(batch, maker.room());
        List<BenchPage.Figure> figures = new ArrayList<>();
        loaf.ifPresent(l -> {
            figures.add(new BenchPage.Figure(
                    "core peaks",
                    Formats.number(l.middle().peakHour(), 1) + " h after the pour, near "
                            + maker.formats().temperature(Temperature.celsius(Math.rint(l.middle().peak())))));
            figures.add(new BenchPage.Figure("gel all through", Formats.probability(l.probabilityOf(Extent.FULL))));
            figures.add(new BenchPage.Figure("gel half-way", Formats.probability(l.probabilityOf(Extent.PARTIAL))));
        });
        return new BenchPage.Setting(
                poured.isPresent(),
                poured.map(p -> Formats.duration(Duration.between(p, now))).orElse(""),
                loaf.isPresent() ? "What the core will do" : "",
                figures);
    }
}
