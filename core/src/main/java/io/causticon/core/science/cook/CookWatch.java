package io.causticon.core.science.cook;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.loaf.Batter;
import io.causticon.core.science.loaf.RateLaw;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A pot on the heat: how far it is by the clock and by its looks, what it lost by the scale, and what to do next.
 *
 * @param stage where the cook stands
 * @param look the last look of the paste that was logged
 * @param timed whether the pot was read since the heat is on: without that the clock knows nothing
 * @param soap share that is soap by the rate law and the pot's temperatures, middle
 * @param soapBand central 80 % of it
 * @param hoursLeft until {@link CookPlan#COOKED} at the last temperature, middle; zero when it is past
 * @param lost water that left, by the scale; empty until the pot was weighed twice
 * @param back water to stir in, hot, so that the paste stays soft; zero for none
 * @param says what to do next
 * @param heeds what endangers the hand or the soap now
 * @param notes what a look or a test is worth
 */
public record CookWatch(
        Stage stage,
        Optional<Cooking> look,
        boolean timed,
        double soap,
        Interval soapBand,
        double hoursLeft,
        Optional<Mass> lost,
        Mass back,
        Phrase says,
        List<Phrase> heeds,
        List<Phrase> notes) {

    /** Where a cook stands. */
    public enum Stage {
        BEFORE,
        COOKING,
        /** Clear, and not tested since. */
        TO_TEST,
        /** Clear, and a test says that alkali is left. */
        GOES_ON,
        /** Tested: fats and scents go in. */
        AFTER,
        /** In the mould. */
        DONE
    }

    /**
     * Paste in ten times its mass of water: finished soap stands near 10 there, and {@link #CALM_ALKALI} would alone
     * make it 11.4 (0.1 g NaOH in 1.1 kg is 0.0023 mol/kg). A reading above this is alkali that found no fat.
     */
    private static final double CALM_PH = 10.5;

    /** Per cent NaOH: what standards of toilet soap allow of free alkali is 0.05 to 0.1. */
    private static final double CALM_ALKALI = 0.1;

    /** Below so much of its first water a paste will not be spooned (a judgement). */
    private static final double SOFT = 0.65;

    /** Below this even a fast recipe is not cooked (a judgement). */
    private static final double SURELY_SOAP = 0.90;

    private static final Duration STIR_EVERY = Duration.ofMinutes(20);
    private static final double BOILS_OVER = 95;
    private static final double COOL = 60;

    public CookWatch {
        heeds = List.copyOf(heeds);
        notes = List.copyOf(notes);
    }

    /** Empty before lye and fats are together; of scraps from the beginning. */
    public static Optional<CookWatch> of(BatchFacts facts, Instant now) {
        if (facts.plan().isRework()) {
            return Optional.of(new MeltWatch(facts, now).watch());
        }
        return facts.log()
                .first(Entry.LyeIntoFats.class)
                .filter(in -> !in.at().isAfter(now))
                .map(in -> new Watching(facts, in.at(), now).watch());
    }

    /** What the last test since says. A titration is not undone by a strip, which does not see a little. */
    static Optional<Boolean> calm(BatchLog log, Instant since, Instant now) {
        Optional<Boolean> titrated = log.of(Entry.Titrated.class)
                .filter(t -> !t.at().isBefore(since) && !t.at().isAfter(now))
                .map(t -> t.entry().freeAlkaliPercent() <= CALM_ALKALI)
                .reduce((a, b) -> b);
        return titrated.or(() -> log.of(Entry.PhRead.class)
                .filter(t -> !t.at().isBefore(since) && !t.at().isAfter(now))
                .map(t -> t.entry().ph() <= CALM_PH)
                .reduce((a, b) -> b));
    }

    private static final class Watching {

        private final BatchFacts facts;
        private final BatchLog log;
        private final Instant lyeIn;
        private final Instant now;
        private final double factor;
        private final List<BatchLog.Timed<Entry.TemperatureRead>> pot;

        Watching(BatchFacts facts, Instant lyeIn, Instant now) {
            this.facts = facts;
            this.log = facts.log();
            this.lyeIn = lyeIn;
            this.now = now;
            this.factor = Batter.of(facts.plan().formula()).rate();
            this.pot = facts.readings(MeasurementPoint.BATTER).stream()
                    .filter(t -> !t.at().isBefore(lyeIn) && !t.at().isAfter(now))
                    .toList();
        }

        CookWatch watch() {
            Optional<BatchLog.Timed<Entry.Cooked>> look = last(true);
            double soap = soap(factor);
            Interval band = Interval.between(soap(factor / CookPlan.SPREAD), soap(factor * CookPlan.SPREAD));
            double left = soap >= CookPlan.COOKED
                    ? 0
                    : RateLaw.hoursBetween(Math.max(soap, CookPlan.AT_LYE_IN), CookPlan.COOKED, celsius(), factor);
            Stage stage = stage();
            Optional<Mass> lost = lost();
            Mass back = stage == Stage.DONE ? Mass.ZERO : back(lost);
            return new CookWatch(
                    stage,
                    look.map(l -> l.entry().what()),
                    timed(),
                    soap,
                    band,
                    left,
                    lost,
                    back,
                    says(stage, look, left, back),
                    heeds(stage, lost),
                    notes(stage, band));
        }

        private Stage stage() {
            Optional<Instant> clear = log.of(Entry.Cooked.class)
                    .filter(c -> c.entry().what() == Cooking.CLEAR && !c.at().isAfter(now))
                    .map(BatchLog.Timed::at)
                    .findFirst();
            if (facts.poured().filter(p -> !p.isAfter(now)).isPresent()) {
                return Stage.DONE;
            }
            if (facts.cookedSince().filter(s -> !s.isAfter(now)).isEmpty()) {
                return Stage.BEFORE;
            }
            if (clear.isEmpty()) {
                return Stage.COOKING;
            }
            Optional<Boolean> calm = calm(log, clear.get(), now);
            return calm.isEmpty() ? Stage.TO_TEST : calm.get() ? Stage.AFTER : Stage.GOES_ON;
        }

        private Optional<BatchLog.Timed<Entry.Cooked>> last(boolean look) {
            return log.of(Entry.Cooked.class)
                    .filter(c -> c.entry().what().isLook() == look && !c.at().isAfter(now))
                    .reduce((a, b) -> b);
        }

        /** By the law, from reading to reading; before the first as hot as lye and fats met. */
        private double soap(double speed) {
            double x = CookPlan.AT_LYE_IN;
            Instant at = lyeIn;
            double celsius = facts.plan().mixAt().celsius();
            for (BatchLog.Timed<Entry.TemperatureRead> t : pot) {
                double next = t.entry().temperature().celsius();
                x = grown(x, at, t.at(), (celsius + next) / 2, speed);
                at = t.at();
                celsius = next;
            }
            return grown(x, at, facts.poured().filter(p -> p.isBefore(now)).orElse(now), celsius, speed);
        }

        private static double grown(double x, Instant from, Instant to, double celsius, double speed) {
            double hours = Math.max(0, Duration.between(from, to).toSeconds() / 3600.0);
            return x >= 1 ? 1 : RateLaw.shareAfter(x, hours, celsius, speed);
        }

        private boolean timed() {
            return facts.cookedSince()
                    .filter(on -> pot.stream().anyMatch(t -> !t.at().isBefore(on)))
                    .isPresent();
        }

        private double celsius() {
            return pot.isEmpty()
                    ? CookPlan.POT.celsius()
                    : pot.get(pot.size() - 1).entry().temperature().celsius();
        }

        /** Between the first and the last weighing of the whole pot; what went in between does not hide it. */
        private Optional<Mass> lost() {
            List<BatchLog.Timed<Entry.PotWeighed>> weighed = log.of(Entry.PotWeighed.class)
                    .filter(p -> !p.at().isBefore(lyeIn) && !p.at().isAfter(now))
                    .toList();
            if (weighed.size() < 2) {
                return Optional.empty();
            }
            BatchLog.Timed<Entry.PotWeighed> first = weighed.get(0);
            BatchLog.Timed<Entry.PotWeighed> last = weighed.get(weighed.size() - 1);
            Mass in = log.of(Entry.Added.class)
                    .filter(a -> a.at().isAfter(first.at()) && !a.at().isAfter(last.at()))
                    .map(a -> a.entry().mass() == null ? Mass.ZERO : a.entry().mass())
                    .reduce(Mass.ZERO, Mass::plus);
            return Optional.of(first.entry().mass().plus(in).minus(last.entry().mass()));
        }

        /** As much as brings it back to where a paste is soft, in whole grams. */
        private Mass back(Optional<Mass> lost) {
            Mass water = CookPlan.of(facts.plan()).water();
            double missing = lost.map(Mass::grams).orElse(0.0) - (1 - SOFT) * water.grams();
            return missing <= 0 ? Mass.ZERO : Mass.grams(Math.min(Math.ceil(missing), water.grams()));
        }

        private Phrase says(Stage stage, Optional<BatchLog.Timed<Entry.Cooked>> look, double left, Mass back) {
            return switch (stage) {
                case BEFORE -> Phrase.of("At trace: heat on, lid on, the pot near {}.", CookPlan.POT);
                case COOKING -> cooking(look, left, back);
                case TO_TEST ->
                    Phrase.of("Clear all through: test it. A pea of paste in ten times its mass of hot water, cooled; a"
                            + " strip or a pen in that, or titrate.");
                case GOES_ON ->
                    Phrase.of("Alkali is left: the heat stays on, stir, and test again in half an hour. No more fat to"
                            + " mend it before a titration says how much.");
                case AFTER ->
                    Phrase.of(
                            "Heat off. Now what goes in after the cook: fats first, scent last, below {}. Then spoon"
                                    + " it in and press the air out.",
                            CookPlan.SCENT_BELOW);
                case DONE -> Phrase.of("It is in the mould.");
            };
        }

        private Phrase cooking(Optional<BatchLog.Timed<Entry.Cooked>> look, double left, Mass back) {
            Cooking seen = look.map(l -> l.entry().what()).orElse(null);
            Optional<Instant> stirred =
                    last(false).filter(c -> c.entry().what() == Cooking.STIRRED).map(BatchLog.Timed::at);
            boolean risesStill = seen == Cooking.RISES
                    && stirred.filter(s -> !s.isBefore(look.orElseThrow().at())).isEmpty();
            if (risesStill) {
                return Phrase.of("Stir it down now, lid off, long spoon: it boils over in a moment and it burns.");
            }
            if (back.isPositive()) {
                return Phrase.of("It is drying: {} of hot water, stirred in a little at a time.", back);
            }
            Instant since = stirred.or(facts::cookedSince).orElse(now);
            if (Duration.between(since, now).compareTo(STIR_EVERY) >= 0) {
                return Phrase.of("Stir it: scrape the wall and the bottom, fold the dry rim in.");
            }
            if (seen == Cooking.WAXY) {
                return Phrase.of("Nearly: stir until no dull spot is left.");
            }
            return left <= 0
                    ? Phrase.of("By the clock it is done: look whether it is clear all through.")
                    : Phrase.of(
                            "Lid on, stir every {} min. About {} h more at {}.",
                            (double) STIR_EVERY.toMinutes(),
                            tenth(left),
                            Temperature.celsius(celsius()));
        }

        private List<Phrase> heeds(Stage stage, Optional<Mass> lost) {
            List<Phrase> heeds = new ArrayList<>();
            boolean hot = stage == Stage.COOKING || stage == Stage.GOES_ON;
            if (hot && !pot.isEmpty() && celsius() >= BOILS_OVER) {
                heeds.add(Phrase.of(
                        "At {} it is about to boil over: heat down, stir, do not lean over it",
                        Temperature.celsius(celsius())));
            }
            if (hot && !pot.isEmpty() && celsius() < COOL) {
                heeds.add(
                        Phrase.of("At {} it cooks slowly: {} is usual", Temperature.celsius(celsius()), CookPlan.POT));
            }
            if (stage == Stage.AFTER && !pot.isEmpty() && celsius() > CookPlan.SCENT_BELOW.celsius()) {
                heeds.add(Phrase.of(
                        "Still {}: scent waits until it is below {}",
                        Temperature.celsius(celsius()),
                        CookPlan.SCENT_BELOW));
            }
            lost.filter(l -> l.grams() < -1)
                    .ifPresent(l -> heeds.add(Phrase.of(
                            "The pot is heavier by {} than it was: is the same pot on the scale, with the same spoon"
                                    + " and lid?",
                            l.times(-1))));
            if (stage == Stage.AFTER && CookPlan.of(facts.plan()).lyeIsLeftOver()) {
                heeds.add(Phrase.of(
                        "By the plan the cook was {} short of fat: what goes in now is eaten by that lye before any of"
                                + " it stays free",
                        Share.fraction(
                                -CookPlan.of(facts.plan()).superfatOfTheCook().fraction())));
            }
            return heeds;
        }

        private List<Phrase> notes(Stage stage, Interval band) {
            List<Phrase> notes = new ArrayList<>();
            boolean seenClear = stage == Stage.TO_TEST || stage == Stage.AFTER;
            boolean hot = stage == Stage.COOKING || stage == Stage.TO_TEST;
            if (hot && !timed()) {
                notes.add(Phrase.of("Read the pot: without its temperature nobody can tell how far it is"));
            }
            if (seenClear && timed() && band.high() < SURELY_SOAP) {
                notes.add(Phrase.of(
                        "By the clock {} at most is soap. Gel is clear, too, long before it is cooked through: cook"
                                + " on, and test more than one spot",
                        Share.fraction(band.high())));
            }
            if (stage == Stage.TO_TEST) {
                notes.add(Phrase.of("A strip tells of much alkali, not of a little: it lets the work go on, it does not"
                        + " release the batch"));
                notes.add(Phrase.of("Never on the tongue while it is hot paste"));
            }
            return notes;
        }

        private static double tenth(double hours) {
            return Math.max(0.1, Math.rint(10 * hours) / 10);
        }
    }
}
