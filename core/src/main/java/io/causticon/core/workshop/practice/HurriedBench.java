package io.causticon.core.workshop.practice;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Bath;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import io.causticon.core.science.draw.DrawnRecipe;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.formula.ScorchLimit;
import io.causticon.core.science.formula.SettingFat;
import io.causticon.core.science.instruments.InstrumentSimulator;
import io.causticon.core.science.making.Situation;
import io.causticon.core.science.making.TraceRung;
import io.causticon.core.science.making.WorkingTime;
import io.causticon.core.wording.Exactly;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;

/**
 * A batch that never was, made in a hurry: lye pot, matching and trace by the models that forecast, read off stand-in
 * instruments. Each deed takes its minutes; what is done badly shows, and goes into the mould with the rest. How
 * blending brings trace on is a judgement.
 */
public final class HurriedBench {

    /** What one can do. */
    public enum Deed {
        FEED_ALL("Tip all the lye in", 1),
        FEED_PORTION("A sixth of the lye, stirred in", 2),
        ICE_BATH("Lye pot into ice water", .5),
        OUT_OF_BATH("Lye pot out of the bath", .5),
        WARM_FATS("Fats into a warm bath", .5),
        FATS_OUT("Fats out of the bath", .5),
        WAIT_TWO("Wait two minutes", 2),
        WAIT_TEN("Wait ten minutes", 10),
        STRAIN("Clear: strain it", 1),
        MEET("Lye into the fats", 1),
        BURST("Blend ten seconds", .25),
        STIR("Stir a minute by hand", 1),
        SCENT("Scent in, stirred", .5),
        POUR("Pour it", 1);

        private final String words;
        private final double minutes;

        Deed(String words, double minutes) {
            this.words = words;
            this.minutes = minutes;
        }

        public String words() {
            return words;
        }

        /** That it takes. */
        public double minutes() {
            return minutes;
        }
    }

    /** Something that went wrong: what it makes of the soap, why, and whether that can hurt. */
    public record Fault(String what, Phrase why, boolean hazard) {}

    /** What a bench in a hurry has: an hour and a half. */
    public static final double MINUTES = 90;

    /** Nobody does more, nor longer than twice that: then it is given up. */
    public static final int MOST_DEEDS = 120;

    private static final double GIVEN_UP_AFTER = 2 * MINUTES;

    private static final Instant BEGUN = Instant.parse("2025-02-01T10:00:00Z");
    private static final Temperature ROOM = Temperature.celsius(21);
    private static final List<String> NEEDS = List.of("milk", "mover", "hard", "oleic", "scent");
    private static final int PORTIONS = 6;
    private static final double FAR_APART_KELVIN = 12;
    private static final double USUAL_SECONDS_A_KILOGRAM = 30;
    private static final double BURST_SECONDS = 10;

    /** Of the way to light trace that blending makes, where it is done as is usual; time makes the rest. */
    private static final double OF_BLENDING = .7;

    private static final double STIRRING_COUNTS = .4;

    private final BatchPlan plan;
    private final BatchPlan unscented;
    private final List<LoggedEntry> lines = new ArrayList<>();
    private final Set<Deed> done = EnumSet.noneOf(Deed.class);
    private int portions;
    private int deeds;
    private double minute;
    private double thickness;
    private double hottestLye;
    private double apart;
    private boolean scented;

    private HurriedBench(long seed) {
        Random random = new Random(seed);
        DrawnRecipe recipe = DrawnRecipe.with(NEEDS.get(random.nextInt(NEEDS.size())), random);
        // What scorches is slush: fluid it scorches whatever one does, frozen through it never would.
        Formula formula = recipe.plan().formula();
        LiquidState state =
                ScorchLimit.of(Weights.planned(formula), AdditionStage.LYE).isPresent()
                        ? LiquidState.SLUSH
                        : LiquidState.LIQUID;
        this.plan = recipe.plan()
                .with(formula.withLiquid(
                        formula.liquidTarget(),
                        formula.liquidParts().stream()
                                .map(l -> new LiquidPart(l.liquid(), l.share(), state))
                                .toList()))
                .with(PlanFields.MIX_AT, Temperature.celsius(recipe.has().contains("cool") ? 30 : 40));
        this.unscented = plan.with(plan.formula()
                .withAdditives(plan.formula().additives().stream()
                        .filter(a -> !a.additive().isFragrance())
                        .toList()));
        Weights planned = Weights.planned(plan.formula());
        planned.fats().forEach(f -> log(new Entry.Weighed(Weighable.fat(f.fat().id()), f.mass(), Tare.TAKEN, null)));
        planned.liquids()
                .forEach(l -> log(new Entry.Weighed(Weighable.liquid(l.liquid().id()), l.mass(), Tare.TAKEN, null)));
        log(new Entry.Weighed(Weighable.NAOH, planned.naoh(), Tare.TAKEN, null));
        minute = .5;
    }

    /** Deeds that cannot be done are left out. */
    public static HurriedBench of(long seed, List<Deed> deeds) {
        HurriedBench bench = new HurriedBench(seed);
        deeds.stream().limit(MOST_DEEDS).filter(d -> bench.open().contains(d)).forEach(bench::act);
        return bench;
    }

    /** By their names; whatever is none is left out. */
    public static List<Deed> read(List<String> names) {
        return names.stream()
                .flatMap(n -> Arrays.stream(Deed.values()).filter(d -> d.name().equals(n)))
                .toList();
    }

    /** What can be done now, in the order of the work. */
    public Set<Deed> open() {
        Set<Deed> open = EnumSet.noneOf(Deed.class);
        if (isOver()) {
            return open;
        }
        boolean met = done.contains(Deed.MEET);
        open.addAll(List.of(Deed.WAIT_TWO, Deed.WAIT_TEN));
        if (met) {
            open.addAll(List.of(Deed.BURST, Deed.STIR, Deed.POUR));
            if (!scented && !plan.equals(unscented)) {
                open.add(Deed.SCENT);
            }
            return open;
        }
        open.add(isBathed(MeasurementPoint.LYE) ? Deed.OUT_OF_BATH : Deed.ICE_BATH);
        open.add(isBathed(MeasurementPoint.FATS) ? Deed.FATS_OUT : Deed.WARM_FATS);
        if (portions < PORTIONS) {
            open.add(Deed.FEED_PORTION);
            if (portions == 0) {
                open.add(Deed.FEED_ALL);
            }
        } else {
            open.add(Deed.MEET);
            if (!done.contains(Deed.STRAIN)) {
                open.add(Deed.STRAIN);
            }
        }
        return open;
    }

    /** Whether a pot stands in a bath now. */
    private boolean isBathed(MeasurementPoint pot) {
        return new BatchLog(BEGUN, lines)
                .of(Entry.Bathed.class)
                .map(BatchLog.Timed::entry)
                .filter(b -> b.pot() == pot)
                .reduce((a, b) -> b)
                .filter(b -> b.into() != Bath.ROOM)
                .isPresent();
    }

    private void act(Deed deed) {
        switch (deed) {
            case FEED_ALL -> {
                // In two halves a moment apart: that is how fast it is.
                log(new Entry.PortionFed(1, 2));
                minute += .5;
                log(new Entry.PortionFed(2, 2));
                portions = PORTIONS;
            }
            case FEED_PORTION -> {
                portions++;
                log(new Entry.PortionFed(portions, PORTIONS));
            }
            case ICE_BATH -> log(new Entry.Bathed(MeasurementPoint.LYE, Bath.ICE_BATH));
            case OUT_OF_BATH -> log(new Entry.Bathed(MeasurementPoint.LYE, Bath.ROOM));
            case WARM_FATS -> log(new Entry.Bathed(MeasurementPoint.FATS, Bath.WARM_BATH));
            case FATS_OUT -> log(new Entry.Bathed(MeasurementPoint.FATS, Bath.ROOM));
            case STRAIN -> log(new Entry.LyeClear());
            case MEET -> meet();
            case BURST -> {
                log(new Entry.BlenderBurst((int) BURST_SECONDS));
                thickness += burst();
            }
            case SCENT -> {
                scented = true;
                plan.formula().additives().stream()
                        .map(AdditivePortion::additive)
                        .filter(a -> a.isFragrance())
                        .findFirst()
                        .ifPresent(a -> log(new Entry.Noted(a.name() + " in")));
            }
            case POUR -> log(new Entry.Poured(batter()));
            case WAIT_TWO, WAIT_TEN, STIR -> {}
        }
        done.add(deed);
        deeds++;
        pass(deed);
    }

    private void meet() {
        Temperature lye = lye();
        Temperature fats = fats();
        apart = Math.abs(lye.celsius() - fats.celsius());
        log(new Entry.TemperatureRead(MeasurementPoint.LYE, lye));
        log(new Entry.TemperatureRead(MeasurementPoint.FATS, fats));
        minute += .1;
        log(new Entry.LyeIntoFats());
    }

    private void pass(Deed deed) {
        boolean met = done.contains(Deed.MEET);
        double until = minute + deed.minutes();
        while (minute < until) {
            double step = Math.min(.5, until - minute);
            minute += step;
            if (!met) {
                hottestLye = Math.max(hottestLye, lye().celsius());
            } else if (deed != Deed.MEET && deed != Deed.POUR) {
                thickness += step * pace() * (deed == Deed.STIR ? 1 + STIRRING_COUNTS : 1);
            }
        }
    }

    /**
     * Of the way to light trace, a minute: slower at first, for blending does most of it; past it by the minutes that
     * are left.
     */
    private double pace() {
        WorkingTime time = WorkingTime.forecast((scented ? plan : unscented).with(PlanFields.MIX_AT, mixed()));
        return thickness < 1
                ? (1 - OF_BLENDING)
                        / time.minutes()
                        * (scented ? time.minutes() / Math.max(1, time.unpourable() - time.minutes()) : 1)
                : (TraceRung.THICK.reached() - 1) / Math.max(.5, time.unpourable() - time.minutes());
    }

    private double burst() {
        double kilograms = Weights.planned(plan.formula()).total().grams() / 1000;
        double usual = USUAL_SECONDS_A_KILOGRAM * kilograms;
        return thickness < 1 ? OF_BLENDING * BURST_SECONDS / usual : BURST_SECONDS / usual;
    }

    private Temperature mixed() {
        return Situation.mixedAt(facts()).orElse(plan.mixAt());
    }

    private void log(Entry entry) {
        lines.add(LoggedEntry.first("bench" + lines.size(), now(), "practice", entry));
    }

    private Instant now() {
        return BEGUN.plus(Duration.ofMillis(Math.round(minute * 60_000)));
    }

    private BatchFacts facts() {
        return BatchFacts.of(plan, new BatchLog(BEGUN, lines), now());
    }

    private Temperature read(MeasurementPoint spot) {
        List<LoggedEntry> all = new ArrayList<>(lines);
        if (portions > 0 && portions < PORTIONS) {
            // The pot is followed as fed evenly: by now so many sixths have gone in, however long one waited between.
            all.add(LoggedEntry.first("next", now(), "practice", new Entry.PortionFed(portions + 1, PORTIONS)));
        }
        return new InstrumentSimulator(plan, new BatchLog(BEGUN, all), ROOM, BEGUN, Optional::empty)
                .thermometer(spot, now());
    }

    /** What a probe in the lye shows. */
    public Temperature lye() {
        return read(MeasurementPoint.LYE);
    }

    public Temperature fats() {
        return read(MeasurementPoint.FATS);
    }

    /** What a probe in the batter shows; of the plan before there is one. */
    public Temperature batter() {
        return read(MeasurementPoint.BATTER);
    }

    public BatchPlan plan() {
        return plan;
    }

    /** Since it was weighed. */
    public double minute() {
        return minute;
    }

    /** Of the lye that has gone in. */
    public int sixthsFed() {
        return portions;
    }

    public boolean isMet() {
        return done.contains(Deed.MEET);
    }

    /** Poured, or given up. */
    public boolean isOver() {
        return done.contains(Deed.POUR) || minute > GIVEN_UP_AFTER || deeds >= MOST_DEEDS;
    }

    public boolean isGivenUp() {
        return isOver() && !done.contains(Deed.POUR);
    }

    /** What the batter looks like: fat that sets looks thick before it is. */
    public Stage looks() {
        return isFalse() && thickness < 1 && thickness >= TraceRung.EMULSION.reached() ? Stage.THICK : real();
    }

    private Stage real() {
        return TraceRung.at(thickness);
    }

    private boolean isFalse() {
        return isMet() && SettingFat.at(plan.formula(), batter()).isPresent();
    }

    /** What went wrong, when it is over; nothing before. */
    public List<Fault> faults() {
        List<Fault> faults = new ArrayList<>();
        if (!isOver()) {
            return faults;
        }
        if (!done.contains(Deed.POUR)) {
            return List.of(new Fault(
                    "given up", Phrase.of("nothing was poured in {} minutes", new Exactly(minute, 0)), false));
        }
        Optional<Temperature> limit = ScorchLimit.of(Weights.planned(plan.formula()), AdditionStage.LYE);
        if (limit.filter(l -> hottestLye > l.celsius()).isPresent()) {
            faults.add(new Fault(
                    "scorched liquor",
                    Phrase.of(
                            "the lye came to {}, and what is in it scorches above {}",
                            Temperature.celsius(hottestLye),
                            limit.get()),
                    false));
        }
        if (!done.contains(Deed.STRAIN)) {
            faults.add(new Fault(
                    "lye pockets",
                    Phrase.of("the lye was not strained: a grain that is not dissolved ends in a bar"),
                    true));
        }
        if (apart > FAR_APART_KELVIN) {
            faults.add(new Fault(
                    "unsteady batter", Phrase.of("lye and fats met {} apart", TemperatureChange.kelvin(apart)), false));
        }
        if (real().compareTo(Stage.THIN) < 0) {
            faults.add(new Fault(
                    "separation",
                    Phrase.of("poured before it was mixed through"
                            + (isFalse() ? "; it looked thick because fat was setting" : "")),
                    true));
        } else if (isFalse() && thickness < 1) {
            faults.add(
                    new Fault("false trace", Phrase.of("fat was setting in it: it looked thick and was not"), false));
        }
        if (real() == Stage.MASH) {
            faults.add(new Fault("seized", Phrase.of("a mash went into the mould"), false));
        } else if (real() == Stage.THICK) {
            faults.add(new Fault("air gaps", Phrase.of("poured too thick to close round corners"), false));
        }
        if (!scented && !plan.equals(unscented)) {
            faults.add(new Fault("no scent", Phrase.of("the scent stands on the bench still"), false));
        }
        if (minute > MINUTES) {
            faults.add(new Fault(
                    "out of time",
                    Phrase.of("it took {} minutes of {}", new Exactly(minute, 0), new Exactly(MINUTES, 0)),
                    false));
        }
        return faults;
    }
}
