package io.causticon.web.places.bench;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MixMethod;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.formula.SettingFat;
import io.causticon.core.science.loaf.LoafKnowledge;
import io.causticon.core.science.making.BatterStep;
import io.causticon.core.science.making.BatterSteps;
import io.causticon.core.science.making.IngredientMemory;
import io.causticon.core.science.making.LiveTrace;
import io.causticon.core.science.making.MixRecord;
import io.causticon.core.science.making.Situation;
import io.causticon.core.science.making.VesselWatch;
import io.causticon.core.science.making.WorkingTime;
import io.causticon.core.workshop.advice.Rescue;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.MemoryWords;
import io.causticon.web.shared.WhenWords;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.MixMemory;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Words the mixing of a batch. */
final class MixPages {

    private static final double PRESSING = 4;
    private static final double SURELY = 0.75;
    private static final double LONG = 99;
    private static final Duration JUST_SEEN = Duration.ofMinutes(3);

    private final Batch batch;
    private final Maker maker;
    private final Formats formats;
    private final Instant now;
    private final MixMemory.Known known;
    private final LoafKnowledge loaves;
    private final Map<String, List<String>> lots;
    private final BatchFacts facts;
    private final Optional<Instant> lyeIn;
    private final double minute;
    private final Optional<MixRecord> record;
    private final Optional<LiveTrace> live;
    private final List<BatterStep> steps;

    /** @param lots labels of the lots on the shelf, by substance */
    MixPages(
            Batch batch,
            Maker maker,
            MixMemory.Known known,
            LoafKnowledge loaves,
            Map<String, List<String>> lots,
            Instant now) {
        this.batch = batch;
        this.maker = maker;
        this.formats = maker.formats();
        this.now = now;
        this.known = known;
        this.loaves = loaves;
        this.lots = lots;
        this.facts = batch.facts(now);
        this.lyeIn = batch.log().first(Entry.LyeIntoFats.class).map(BatchLog.Timed::at);
        this.minute = lyeIn.map(i -> Math.max(0, Duration.between(i, now).toMillis() / 60_000.0))
                .orElse(0.0);
        this.record = MixRecord.of(facts, now);
        this.live = record.map(r -> LiveTrace.of(known.trace(), r, minute));
        this.steps = BatterSteps.of(batch.plan(), batch.log(), known.trace());
    }

    Optional<LiveTrace> live() {
        return live;
    }

    List<BatterStep> steps() {
        return steps;
    }

    /**
     * @param rescue id of the card that was asked for; empty opens the one that what was just seen asks for,
     *     {@code none} keeps all closed
     */
    MixPage page(String rescue) {
        String open = rescue.isEmpty() ? justSeen().map(MixPages::id).orElse("") : rescue;
        List<MixPage.Step> words = words(false);
        Optional<LiveTrace.Left> left = live.map(LiveTrace::workable);
        boolean pouredAlready = facts.wasPoured();
        return new MixPage(
                lyeIn.map(Instant::toEpochMilli).orElse(0L),
                lyeIn.map(i -> Formats.stopwatch(Duration.between(i, now))).orElse(""),
                pouredAlready
                        ? "poured"
                        : left.map(l -> minutes(l.median()))
                                .orElseGet(() -> minutes(forecast().unpourable())),
                pouredAlready
                        ? 0
                        : left.filter(l -> l.median() > 0)
                                .map(l -> now.plusMillis(Math.round(60_000 * l.median()))
                                        .toEpochMilli())
                                .orElse(0L),
                pouredAlready ? "It is in the mould." : left.map(this::says).orElseGet(this::before),
                !pouredAlready && left.filter(l -> l.median() < PRESSING).isPresent(),
                forecast().reasons().stream()
                        .limit(3)
                        .map(r -> new BenchPage.Figure(
                                r.words() + (r.later() ? ", after it goes in" : ""),
                                "\u00d7 " + Formats.number(r.factor(), 2)))
                        .toList(),
                Stream.concat(doubt().stream(), live.map(this::attributed).orElse(List.of()).stream())
                        .toList(),
                rungs(),
                troubles(),
                card(open),
                Arrays.stream(Rescue.Trouble.values())
                        .map(t -> new MixPage.Opening(id(t), title(t), id(t).equals(open)))
                        .toList(),
                blended(),
                methods(),
                words.stream()
                        .filter(s -> !s.isDone())
                        .filter(s -> !s.kind().equals("pour"))
                        .findFirst()
                        .or(() -> words.stream().filter(s -> !s.isDone()).findFirst())
                        .filter(s -> !pouredAlready)
                        .orElse(null),
                words,
                live.map(l -> VesselWatch.of(steps, known.trace(), record.orElseThrow(), l, minute).stream()
                                .filter(VesselWatch::late)
                                .limit(1)
                                .map(w -> formats.phrase(w.reason()))
                                .toList())
                        .orElse(List.of()));
    }

    /** What goes into the paste. */
    List<MixPage.Step> afterTheCook() {
        return words(true);
    }

    private List<MixPage.Step> words(boolean afterTheCook) {
        List<MixPage.Step> words = new ArrayList<>();
        steps.stream()
                .filter(s -> (s.when() == AdditionStage.AFTER_COOK) == afterTheCook)
                .forEach(s -> words.add(step(s, words.size() + 1)));
        return words;
    }

    /** The trouble that was tapped last, if that was moments ago. */
    private Optional<Rescue.Trouble> justSeen() {
        return batch.log()
                .of(Entry.StageReached.class)
                .filter(s -> !s.at().isAfter(now))
                .reduce((a, b) -> b)
                .filter(s -> !facts.wasPoured() && Duration.between(s.at(), now).compareTo(JUST_SEEN) < 0)
                .map(s -> switch (s.entry().stage()) {
                    case RICED -> Rescue.Trouble.RICING;
                    case CURDLED, SEPARATED, FALSE_TRACE -> Rescue.Trouble.SEPARATION;
                    case MASH -> Rescue.Trouble.SEIZING;
                    default -> null;
                });
    }

    /** A batter that is thick while its hard fats set may not be at trace at all. */
    private Optional<String> doubt() {
        Optional<Temperature> read = facts.lastBefore(MeasurementPoint.BATTER, now);
        boolean thickened =
                batch.log().has(Entry.StageReached.class, s -> s.stage().isAtLeast(Stage.LIGHT));
        return read.filter(t -> thickened && !facts.wasPoured())
                .flatMap(t -> SettingFat.at(batch.plan().formula(), t)
                        .map(s -> "At " + formats.temperature(t) + " " + s.fat().shortName() + " sets (clear from "
                                + formats.temperature(s.clearFrom())
                                + "): this may be false trace. Warm a spoonful and look."));
    }

    private WorkingTime forecast() {
        return WorkingTime.forecast(
                lyeIn.isPresent() ? Situation.asMade(facts) : Situation.planned(batch.plan()), known.trace());
    }

    /** Before the lye is in, from lye-in on. */
    private String before() {
        WorkingTime time = forecast();
        return "From lye-in light trace in about " + minutes(time.minutes()) + ", "
                + band(time.band().low(), time.band().high())
                + "; will not pour after about " + minutes(time.unpourable()) + ", "
                + band(time.unpourableBand().low(), time.unpourableBand().high()) + ".";
    }

    private String says(LiveTrace.Left left) {
        if (left.median() <= 0) {
            return batch.log().has(Entry.StageReached.class, s -> s.stage() == Stage.MASH)
                    ? "Mash: it will not pour. Press it in or cook it, see below."
                    : batch.log().has(Entry.StageReached.class, s -> s.stage() == Stage.THICK)
                            ? "Thick: spoon it in now."
                            : "It may be thick at any moment: pour.";
        }
        LiveTrace.Left light = live.orElseThrow().until(Stage.LIGHT);
        String trace = light.median() > 0
                ? " Light trace in about " + minutes(light.median()) + ", "
                        + band(light.band().low(), light.band().high()) + "."
                : "";
        return "You have about " + minutes(left.median()) + ", "
                + band(left.band().low(), left.band().high()) + "." + trace;
    }

    static String minutes(double minutes) {
        if (minutes > LONG) {
            return Formats.number(minutes / 60, 1) + " h";
        }
        return minutes < 1 ? "1 min" : Formats.number(minutes, 0) + " min";
    }

    static String band(double low, double high) {
        return high > LONG
                ? Formats.number(low / 60, 1) + " to " + Formats.number(high / 60, 1) + " h"
                : Formats.number(low, 0) + " to " + Formats.number(Math.max(high, low + 1), 0);
    }

    /** What is laid to each thing that went in, as far as the rungs since tell. */
    private List<String> attributed(LiveTrace trace) {
        return trace.attributed().stream()
                .filter(a -> a.hurried() > SURELY || a.hurried() < 1 - SURELY)
                .map(a -> shortName(a.addition().additive())
                        + (a.hurried() > SURELY ? " hurries it: about " : " slows it: about ")
                        + Formats.number(a.factor(), 2)
                        + " of the minutes that were left, "
                        + Formats.number(a.band().low(), 2) + " to "
                        + Formats.number(a.band().high(), 2))
                .toList();
    }

    private String blended() {
        int seconds = batch.log()
                .of(Entry.BlenderBurst.class)
                .mapToInt(b -> b.entry().seconds())
                .sum();
        double perKilogram = Situation.secondsPerKilogram(facts);
        return seconds + " s" + (seconds == 0 ? "" : ", " + Formats.number(perKilogram, 0) + " s for a kg");
    }

    private List<BenchPage.Place> methods() {
        MixMethod method = batch.log()
                .last(Entry.MixedWith.class)
                .map(m -> m.entry().method())
                .orElse(MixMethod.STICK);
        return List.of(
                new BenchPage.Place("stick", "stick", method == MixMethod.STICK),
                new BenchPage.Place("stand", "stand mixer", method == MixMethod.STAND_MIXER),
                new BenchPage.Place("whisk", "whisk", method == MixMethod.WHISK),
                new BenchPage.Place("hand", "by hand", method == MixMethod.HAND),
                new BenchPage.Place("bottle", "bottle", method == MixMethod.BOTTLE));
    }

    private List<MixPage.Rung> rungs() {
        return List.of(
                rung(Stage.MASH, "mash", "k", "will not pour"),
                rung(Stage.THICK, "thick", "h", "stands in folds"),
                rung(Stage.MEDIUM, "medium", "m", "a trail holds"),
                rung(Stage.LIGHT, "light", "l", "a trail rests a moment"),
                rung(Stage.THIN, "thin", "n", "a trail sinks at once"),
                rung(Stage.EMULSION, "emulsion", "e", "one colour, no oil"),
                rung(Stage.STREAKS, "streaks", "s", "oil on the surface"));
    }

    private List<MixPage.Rung> troubles() {
        return List.of(
                rung(Stage.RICED, "rice", "r", "grains"),
                rung(Stage.CURDLED, "curdle", "c", "curds"),
                rung(Stage.SEPARATED, "separate", "a", "oil apart"),
                rung(Stage.FALSE_TRACE, "false", "f", "thick, cool"),
                rung(Stage.FROTHY, "froth", "o", "full of air"));
    }

    private MixPage.Rung rung(Stage stage, String tap, String key, String looks) {
        String reached = batch.log()
                .first(Entry.StageReached.class, s -> s.stage() == stage)
                .map(s -> lyeIn.map(i -> Formats.duration(Duration.between(i, s.at())))
                        .orElse("seen"))
                .orElse("");
        return new MixPage.Rung(
                stage.name().toLowerCase(Locale.ROOT), EntryWords.stage(stage), tap, key, looks, reached);
    }

    private MixPage.Step step(BatterStep s, int number) {
        List<String> heeds =
                new ArrayList<>(s.heeds().stream().map(formats::phrase).toList());
        Additive additive = s.additive();
        if (additive != null) {
            IngredientMemory memory = known.ingredients().get(additive.id());
            if (memory != null && (additive.isFragrance() || memory.troubled() > 0)) {
                heeds.add(MemoryWords.counts(memory) + "; " + MemoryWords.effect(memory.effect()));
            } else if (additive.isFragrance()) {
                heeds.add("Never tried here; "
                        + MemoryWords.effect(known.trace().effect(additive, null)) + " by the tables");
            }
        }
        String name = additive == null ? s.name() : shortName(additive);
        return new MixPage.Step(
                s.kind().name().toLowerCase(Locale.ROOT),
                number,
                switch (s.kind()) {
                    case ADD -> name + (s.portion() == null ? "" : " into " + s.portion());
                    case TAKE -> "take " + name + " from the bowl";
                    case POUR -> "pour " + name;
                },
                formats.mass(s.mass()),
                formats.massInput(s.mass()),
                s.scaleAfter() == null ? "" : formats.mass(s.scaleAfter()),
                s.portion() == null ? "" : s.portion(),
                additive == null ? s.name() : called(additive),
                when(s),
                heeds,
                additive == null ? List.of() : lots.getOrDefault(additive.id(), List.of()),
                s.doneAt()
                        .map(m -> m > 0 ? Formats.number(m, 0) + " min" : "in")
                        .orElse(""));
    }

    private static String when(BatterStep s) {
        boolean added = s.kind() == BatterStep.Kind.ADD && s.portion() == null;
        return s.when() == AdditionStage.TRACE && !added ? "" : WhenWords.ofAdditive(s.when());
    }

    /** What the log calls it: its short name where that is understood. */
    private static String called(Additive additive) {
        String name = shortName(additive).toLowerCase(Locale.ROOT);
        return Catalogue.answersTo(additive.id(), additive.name(), name) ? name : additive.name();
    }

    static String shortName(Additive additive) {
        return additive.name().replace("Essential oil: ", "").replaceAll("\\s*\\(.*?\\)", "");
    }

    private MixPage.@Nullable Card card(String rescue) {
        return Arrays.stream(Rescue.Trouble.values())
                .filter(t -> id(t).equals(rescue))
                .findFirst()
                .map(t -> Rescue.of(t, facts, live, known.trace(), loaves, maker.room(), now))
                .map(r -> new MixPage.Card(
                        id(r.trouble()),
                        title(r.trouble()),
                        r.trouble().isHazard(),
                        formats.phrase(r.first()),
                        r.steps().stream().map(formats::phrase).toList(),
                        r.why().stream().map(formats::phrase).toList()))
                .orElse(null);
    }

    private static String id(Rescue.Trouble trouble) {
        return trouble.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static String title(Rescue.Trouble trouble) {
        return switch (trouble) {
            case SEIZING -> "Seizing";
            case RICING -> "Ricing";
            case SEPARATION -> "Parting";
            case TOO_THIN -> "Too thin";
            case TOO_HOT -> "Too hot";
        };
    }
}
