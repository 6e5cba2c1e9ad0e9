package io.causticon.core.workshop.advice;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.forecast.LoafForecast;
import io.causticon.core.science.formula.BatterAmount;
import io.causticon.core.science.formula.SettingFat;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafKnowledge;
import io.causticon.core.science.loaf.RateLaw;
import io.causticon.core.science.making.LiveTrace;
import io.causticon.core.science.making.Situation;
import io.causticon.core.science.making.TraceKnowledge;
import io.causticon.core.science.making.WorkingTime;
import io.causticon.core.science.pots.BathAdvice;
import io.causticon.core.science.pots.CoolingBody;
import io.causticon.core.wording.Phrase;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What to do with the hands when it goes wrong, computed for this batch and this minute.
 *
 * @param trouble which
 * @param first what to do at once
 * @param steps what then, in order
 * @param why what the numbers rest on
 */
public record Rescue(Trouble trouble, Phrase first, List<Phrase> steps, List<Phrase> why) {

    /** What goes wrong in the bowl. */
    public enum Trouble {
        SEIZING(true),
        RICING(false),
        SEPARATION(true),
        TOO_THIN(false),
        TOO_HOT(true);

        private final boolean hazard;

        Trouble(boolean hazard) {
            this.hazard = hazard;
        }

        /** Whether it endangers the hand: heat, or liquor that stands free. The others only cost looks. */
        public boolean isHazard() {
            return hazard;
        }
    }

    /** Rate of a pot of batter in a bath, per minute at 20 K, stirred. */
    private static final double BATTER_IN_BATH = 0.06;

    private static final Share COOKING_LYE = Share.percent(25);
    private static final Share LEAST_WATER = Share.percent(5);
    private static final double COOKING = 75;
    private static final double RICE_SECONDS_PER_KILOGRAM = 10;
    private static final double PARTED_SECONDS_PER_KILOGRAM = 15;
    private static final double USUAL_SECONDS_PER_KILOGRAM = 30;
    private static final double CLEAR_MARGIN = 3;
    private static final double RICE_WARMER = 4;
    private static final double HOTTEST_BATTER = 50;
    private static final double WARMER = 10;
    private static final double SHORT_OF_LYE = 0.12;
    private static final double HOT_MASH = 75;

    public Rescue {
        steps = List.copyOf(steps);
        why = List.copyOf(why);
    }

    /**
     * @param live the batter as it is; empty before lye-in
     * @param knowledge of how batters come to trace
     * @param loaves what is known of the workshop's moulds and recipes
     * @param usualRoom where the room was not read
     */
    public static Rescue of(
            Trouble trouble,
            BatchFacts facts,
            Optional<LiveTrace> live,
            TraceKnowledge knowledge,
            LoafKnowledge loaves,
            Temperature usualRoom,
            Instant now) {
        Case c = new Case(facts, live, knowledge, loaves, facts.room().orElse(usualRoom), now);
        return switch (trouble) {
            case SEIZING -> c.seizing();
            case RICING -> c.ricing();
            case SEPARATION -> c.separation();
            case TOO_THIN -> c.tooThin();
            case TOO_HOT -> c.tooHot();
        };
    }

    private static final class Case {

        private final BatchFacts facts;
        private final BatchPlan plan;
        private final Optional<LiveTrace> live;
        private final TraceKnowledge knowledge;
        private final LoafKnowledge loaves;
        private final Temperature room;
        private final Temperature batter;
        private final boolean batterRead;
        private final Mass mass;
        private final List<Phrase> steps = new ArrayList<>();
        private final List<Phrase> why = new ArrayList<>();

        Case(
                BatchFacts facts,
                Optional<LiveTrace> live,
                TraceKnowledge knowledge,
                LoafKnowledge loaves,
                Temperature room,
                Instant now) {
            this.facts = facts;
            this.plan = facts.plan();
            this.live = live;
            this.knowledge = knowledge;
            this.loaves = loaves;
            this.room = room;
            Optional<Temperature> read = facts.lastBefore(MeasurementPoint.BATTER, now);
            this.batterRead = read.isPresent();
            this.batter =
                    read.or(() -> facts.lastBefore(MeasurementPoint.FATS, now)).orElse(plan.mixAt());
            this.mass = BatterAmount.of(plan.formula()).mass();
            if (!batterRead) {
                why.add(Phrase.of(
                        "The batter was not read; {} is taken, of the fats or the plan. Read it to make this exact",
                        batter));
            }
        }

        Rescue seizing() {
            AlkaliBalance balance = AlkaliBalance.of(plan.formula());
            double lye = balance.lye().grams();
            double water = balance.water().grams();
            double toThin = lye / COOKING_LYE.fraction() - lye - water;
            Mass more = Mass.grams(
                    Math.max(toThin, LEAST_WATER.of(plan.formula().fatMass()).grams()));
            double thinned = lye / (lye + water + more.grams());
            Optional<LoafEnsemble> pressed = LoafForecast.asIf(plan, batter, room, true, loaves);
            boolean cook = batter.celsius() >= HOT_MASH || plan.mould() == null;
            Phrase press = Phrase.of(
                    "Press it in: {} by handfuls into {}, corners first, knock the air out, film on top",
                    mass,
                    mouldName());
            Phrase cooking = Phrase.of(
                    "Or cook it: pot at {}, {} of hot water stirred in, about {} h until it is translucent all"
                            + " through, then as hot process",
                    Temperature.celsius(COOKING),
                    more,
                    hoursToCook());
            steps.add(cook ? cooking : press);
            steps.add(cook ? press : cooking);
            pressed.ifPresent(l -> steps.add(Phrase.of(
                    "Pressed, it heats by itself: the core near {} after {} h. Do not insulate it",
                    Temperature.celsius(Math.min(100, Math.rint(l.middle().peak()))),
                    l.middle().peakHour())));
            steps.add(Phrase.of("Lye pockets are likely: hold the batch, strip and wash test before anybody uses it"));
            why.add(Phrase.of(
                    "{} more water brings the lye from {} to {}",
                    more,
                    balance.concentration(),
                    Share.fraction(thinned)));
            return rescue(
                    Trouble.SEIZING,
                    Phrase.of(
                            "Blender out, gloves and goggles stay on: it is raw lye and it is heating. No water on hot"
                                    + " mash in one go"));
        }

        Rescue ricing() {
            double seconds = RICE_SECONDS_PER_KILOGRAM * mass.grams() / 1000;
            double aim = Math.min(HOTTEST_BATTER, Math.max(batter.celsius() + RICE_WARMER, clearFrom() + CLEAR_MARGIN));
            steps.add(Phrase.of(
                    "Stir by hand for half a minute; if the grains stay, blend {} s in bursts of 5, no more",
                    Math.rint(seconds)));
            if (batter.celsius() < aim - 1) {
                // Warmth hurries the batter too: a bath that takes half of what is left takes all of it.
                boolean inTime = live.map(l -> bathMinutes(aim) < l.workable().median() / 2)
                        .orElse(true);
                steps.add(
                        inTime
                                ? warming(aim)
                                : Phrase.of(
                                        "No bath now: to {} it takes {} min, and warmer it sets sooner. Stir, pour,"
                                                + " accept some grain",
                                        Temperature.celsius(Math.rint(aim)),
                                        bathMinutes(aim)));
            }
            minutesLeft().ifPresent(steps::add);
            steps.add(
                    Phrase.of("Grains that are left show as specks: a blemish, not a danger, if no oil or liquor parts"
                            + " from them"));
            why.add(Phrase.of("{} s for each kg of batter", RICE_SECONDS_PER_KILOGRAM));
            return rescue(Trouble.RICING, Phrase.of("Nothing more goes in. Keep it moving"));
        }

        Rescue separation() {
            Optional<SettingFat> setting = SettingFat.at(plan.formula(), batter);
            setting.ifPresent(fat -> {
                steps.add(Phrase.of(
                        "False trace, most likely: at {} {} is setting; it is clear from {}",
                        batter,
                        fat.fat().shortName(),
                        fat.clearFrom()));
                steps.add(warming(Math.min(HOTTEST_BATTER, fat.clearFrom().celsius() + CLEAR_MARGIN)));
            });
            double seconds = PARTED_SECONDS_PER_KILOGRAM * mass.grams() / 1000;
            steps.add(Phrase.of(
                    "Blend {} s in bursts, stir between, until no oil shows for a whole minute", Math.rint(seconds)));
            weights().ifPresent(steps::add);
            steps.add(Phrase.of("If it parts again in the mould: stir back with gloves while it is soft, else rebatch;"
                    + " held until tested"));
            why.add(setting.map(fat ->
                            Phrase.of("thick and cool: hard fats set below {}, which is not soap yet", fat.clearFrom()))
                    .orElseGet(() -> Phrase.of(
                            "{} is warm enough for its fats, so it was never one emulsion, or liquor and weights are"
                                    + " off",
                            batter)));
            return rescue(Trouble.SEPARATION, Phrase.of("Do not pour. What is parted is lye on one side"));
        }

        Rescue tooThin() {
            WorkingTime asIs = WorkingTime.forecast(Situation.asMade(facts), knowledge);
            double blended = Situation.secondsPerKilogram(facts);
            live.map(l -> l.until(Stage.LIGHT))
                    .filter(l -> l.median() > 0)
                    .ifPresent(l -> steps.add(Phrase.of(
                            "Wait: light trace in about {} min, {} to {}",
                            l.median(),
                            l.band().low(),
                            l.band().high())));
            Temperature warm = Temperature.celsius(Math.min(HOTTEST_BATTER, batter.celsius() + WARMER));
            if (warm.celsius() > batter.celsius() + 2) {
                double factor = Math.pow(2, -(warm.celsius() - batter.celsius()) / 11);
                steps.add(Phrase.of(
                        "Sooner: {} instead of {} takes {} of the time that is left; a warm bath for {} min, stirred",
                        warm,
                        batter,
                        Share.fraction(factor),
                        bathMinutes(warm.celsius())));
            }
            if (blended < USUAL_SECONDS_PER_KILOGRAM) {
                double more = (USUAL_SECONDS_PER_KILOGRAM - blended) * mass.grams() / 1000;
                steps.add(Phrase.of(
                        "It had {} s of the blender for a kg; {} s more, in bursts, is usual",
                        Math.rint(blended),
                        Math.rint(more)));
            }
            weights().ifPresent(steps::add);
            asIs.reasons().stream()
                    .filter(r -> r.factor() > 1.1)
                    .limit(2)
                    .forEach(r -> why.add(Phrase.of("{} makes it {} times as slow", r.words(), r.factor())));
            return rescue(
                    Trouble.TOO_THIN,
                    Phrase.of(
                            "Thin is not wrong yet: no oil on top, and it may be poured at emulsion where nothing must"
                                    + " hang in it"));
        }

        Rescue tooHot() {
            Temperature aim = plan.mixAt().isBelow(batter) ? plan.mixAt() : Temperature.celsius(batter.celsius() - 5);
            steps.add(Phrase.of(
                    "Bowl into cold water of {}, stirred: {} in about {} min",
                    BathAdvice.TAP,
                    aim,
                    Math.max(1, Math.rint(minutes(batter.celsius(), aim.celsius(), BathAdvice.TAP)))));
            Optional<LoafEnsemble> hot = LoafForecast.asIf(plan, batter, room, false, loaves);
            Optional<LoafEnsemble> cooled = LoafForecast.asIf(plan, aim, room, false, loaves);
            hot.ifPresent(h -> cooled.ifPresent(k -> steps.add(Phrase.of(
                    "Poured now the core comes near {}, cooled first near {}",
                    Temperature.celsius(Math.min(100, Math.rint(h.middle().peak()))),
                    Temperature.celsius(Math.min(100, Math.rint(k.middle().peak())))))));
            boolean overheats = hot.filter(h -> h.probabilityPeakAbove(LoafEnsemble.TOO_HOT) > 0.2)
                    .isPresent();
            steps.add(
                    overheats
                            ? Phrase.of(
                                    "Then uncovered and into the fridge: as it is it passes {} with a chance of {}",
                                    Temperature.celsius(LoafEnsemble.TOO_HOT),
                                    Share.fraction(hot.orElseThrow().probabilityPeakAbove(LoafEnsemble.TOO_HOT)))
                            : Phrase.of("Leave it uncovered until the core has turned"));
            minutesLeft().ifPresent(steps::add);
            return rescue(
                    Trouble.TOO_HOT,
                    Phrase.of("Stop blending. Fumes or froth: step back, let it settle, do not lean over it"));
        }

        private Rescue rescue(Trouble trouble, Phrase first) {
            return new Rescue(trouble, first, steps, why);
        }

        private String mouldName() {
            return plan.mould() == null ? "the mould" : plan.mould().name();
        }

        private double clearFrom() {
            return SettingFat.of(plan.formula()).stream()
                    .findFirst()
                    .map(SettingFat::clearFrom)
                    .orElse(room)
                    .celsius();
        }

        private Phrase warming(double aim) {
            return Phrase.of(
                    "Warm it to {}: in a bath of {} about {} min, stirred",
                    Temperature.celsius(Math.rint(aim)),
                    BathAdvice.WARM,
                    bathMinutes(aim));
        }

        private double bathMinutes(double aim) {
            return Math.max(
                    1,
                    Math.rint(
                            minutes(batter.celsius(), Math.min(aim, BathAdvice.WARM.celsius() - 2), BathAdvice.WARM)));
        }

        private double minutes(double from, double to, Temperature bath) {
            return new CoolingBody(Temperature.celsius(from), bath, BATTER_IN_BATH).minutesTo(Temperature.celsius(to));
        }

        private Optional<Phrase> minutesLeft() {
            return live.map(LiveTrace::workable)
                    .filter(l -> l.median() > 0)
                    .map(l -> Phrase.of(
                            "You have about {} min before it will not pour, {} to {}",
                            l.median(),
                            l.band().low(),
                            l.band().high()));
        }

        private Optional<Phrase> weights() {
            double superfat = Superfat.of(
                            facts.asWeighed().weights(), plan.formula().alkali())
                    .fraction();
            return facts.asWeighed().isComplete() && superfat > SHORT_OF_LYE
                    ? Optional.of(Phrase.of(
                            "By the weights superfat is {}: lye may be short. Look at the weighings before anything"
                                    + " else",
                            Share.fraction(superfat)))
                    : Optional.empty();
        }

        /** From 5 to 95 % at the cooking temperature, to a tenth of an hour. */
        private double hoursToCook() {
            return Math.rint(10 * RateLaw.hoursBetween(0.05, 0.95, COOKING)) / 10;
        }
    }
}
