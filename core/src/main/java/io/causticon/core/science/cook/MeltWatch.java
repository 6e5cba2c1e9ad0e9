package io.causticon.core.science.cook;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * Scraps on the heat. They reacted long ago, so there is no clock of the lye: looks, stirring, heat, and a test where a
 * scrap may have brought alkali.
 */
final class MeltWatch {

    private static final double BOILS_OVER = 95;
    private static final double COOL = 55;
    private static final double SECONDS_A_MINUTE = 60;

    private final BatchFacts facts;
    private final BatchLog log;
    private final Rework rework;
    private final MeltPlan plan;
    private final Instant now;

    MeltWatch(BatchFacts facts, Instant now) {
        this.facts = facts;
        this.log = facts.log();
        this.rework = Objects.requireNonNull(facts.plan().rework());
        this.plan = MeltPlan.of(rework);
        this.now = now;
    }

    CookWatch watch() {
        Optional<Cooking> look = last(true).map(l -> l.entry().what());
        CookWatch.Stage stage = stage();
        return new CookWatch(
                stage,
                look,
                false,
                1,
                Interval.between(1, 1),
                hoursLeft(),
                lost(),
                Mass.ZERO,
                says(stage, look.orElse(null)),
                heeds(stage),
                notes(stage));
    }

    /** By its scraps, or by what was weighed into them. */
    private boolean isDoubtful() {
        return rework.isDoubtful()
                || facts.asWeighed().superfat().probabilityBelow(0) >= Superfat.ALARMING_EXCESS.fraction();
    }

    private CookWatch.Stage stage() {
        if (facts.poured().filter(p -> !p.isAfter(now)).isPresent()) {
            return CookWatch.Stage.DONE;
        }
        if (log.of(Entry.Cooked.class).noneMatch(c -> !c.at().isAfter(now))) {
            return CookWatch.Stage.BEFORE;
        }
        Optional<Instant> even = log.of(Entry.Cooked.class)
                .filter(c ->
                        (c.entry().what() == Cooking.EVEN || c.entry().what() == Cooking.CLEAR) && !c.at().isAfter(now))
                .map(BatchLog.Timed::at)
                .findFirst();
        if (even.isEmpty()) {
            return CookWatch.Stage.COOKING;
        }
        Optional<Boolean> calm = CookWatch.calm(log, even.get(), now);
        if (calm.isPresent()) {
            return calm.get() ? CookWatch.Stage.AFTER : CookWatch.Stage.GOES_ON;
        }
        return isDoubtful() ? CookWatch.Stage.TO_TEST : CookWatch.Stage.AFTER;
    }

    private Optional<BatchLog.Timed<Entry.Cooked>> last(boolean look) {
        return log.of(Entry.Cooked.class)
                .filter(c -> c.entry().what().isLook() == look && !c.at().isAfter(now))
                .reduce((a, b) -> b);
    }

    private double minutesOn() {
        return facts.cookedSince()
                .filter(s -> s.isBefore(now))
                .map(s -> Duration.between(s, now).toSeconds() / SECONDS_A_MINUTE)
                .orElse(0.0);
    }

    private double hoursLeft() {
        double usual = Math.sqrt(plan.hours().low() * plan.hours().high());
        return Math.max(0, usual - minutesOn() / SECONDS_A_MINUTE);
    }

    /** Between the first and the last weighing of the whole pot. */
    private Optional<Mass> lost() {
        List<Mass> weighed = log.of(Entry.PotWeighed.class)
                .filter(p -> !p.at().isAfter(now))
                .map(p -> p.entry().mass())
                .toList();
        return weighed.size() < 2
                ? Optional.empty()
                : Optional.of(weighed.get(0).minus(weighed.get(weighed.size() - 1)));
    }

    private long bursts() {
        return log.of(Entry.Cooked.class)
                .filter(c -> c.entry().what() == Cooking.STIRRED && !c.at().isAfter(now))
                .count();
    }

    private Phrase says(CookWatch.Stage stage, Cooking look) {
        return switch (stage) {
            case BEFORE -> plan.steps().get(0);
            case COOKING -> melting(look);
            case TO_TEST ->
                Phrase.of("Even: test it. A scrap may have brought alkali. A pea of mash in ten times its mass of hot"
                        + " water, cooled; a pen or strip in that, or titrate.");
            case GOES_ON ->
                Phrase.of("Alkali is left: the heat stays on, stir, test again in half an hour. More fat only after a"
                        + " titration says how much.");
            case AFTER ->
                Phrase.of(
                        "Heat off. Scent last, below {}. Spoon it in while it is soft and knock the air out.",
                        CookPlan.SCENT_BELOW);
            case DONE -> Phrase.of("It is in the mould.");
        };
    }

    private Phrase melting(Cooking look) {
        Optional<Instant> stirred =
                last(false).filter(c -> c.entry().what() == Cooking.STIRRED).map(BatchLog.Timed::at);
        boolean rises = look == Cooking.RISES
                && stirred.filter(s -> !s.isBefore(last(true).orElseThrow().at()))
                        .isEmpty();
        if (rises) {
            return Phrase.of("Heat off, door open, and wait: it sinks by itself. Then stir it down with a long spoon.");
        }
        if (rework.way() == Rework.Way.MICROWAVE) {
            return bursts() < plan.bursts()
                    ? Phrase.of(
                            "Half power, {} s, covered loosely; wait, open, stir, tap it. Burst {} of some {}.",
                            (double) plan.burst().toSeconds(),
                            (double) bursts() + 1,
                            (double) plan.bursts())
                    : Phrase.of(
                            "As many bursts as it should take: is it even? Lumps that stay want a spoon of hot water"
                                    + " and a rest, not more heat.");
        }
        Instant since = stirred.or(facts::cookedSince).orElse(now);
        if (Duration.between(since, now).compareTo(plan.stirEvery()) >= 0) {
            return Phrase.of("Stir it: scrape the wall and the bottom, press the lumps.");
        }
        double left = 60 * hoursLeft();
        return left > 0
                ? Phrase.of(
                        "Lid on, stir every {} min. About {} min more, half to twice.",
                        (double) plan.stirEvery().toMinutes(),
                        Math.max(5, 5 * Math.rint(left / 5)))
                : Phrase.of("It should be even by now. Lumps that stay want a spoon of hot water and a lid, not more"
                        + " heat.");
    }

    private List<Phrase> heeds(CookWatch.Stage stage) {
        List<Phrase> heeds = new ArrayList<>();
        Optional<Temperature> pot = facts.lastBefore(MeasurementPoint.BATTER, now);
        boolean hot = stage == CookWatch.Stage.COOKING
                || stage == CookWatch.Stage.TO_TEST
                || stage == CookWatch.Stage.GOES_ON;
        pot.filter(t -> hot && t.celsius() >= BOILS_OVER)
                .ifPresent(t ->
                        heeds.add(Phrase.of("At {} it is about to boil over: heat off, stir, do not lean over it", t)));
        pot.filter(t -> hot
                        && t.celsius() < COOL
                        && minutesOn() > plan.stirEvery().toMinutes())
                .ifPresent(t -> heeds.add(Phrase.of("At {} it hardly softens: {} is usual", t, MeltPlan.EVEN_AT)));
        pot.filter(t -> stage == CookWatch.Stage.AFTER && t.celsius() > CookPlan.SCENT_BELOW.celsius())
                .ifPresent(t ->
                        heeds.add(Phrase.of("Still {}: scent waits until it is below {}", t, CookPlan.SCENT_BELOW)));
        if (isDoubtful() && stage != CookWatch.Stage.DONE) {
            heeds.add(Phrase.of("A scrap may hold free alkali: gloves and goggles until a test of the mash is calm"));
        }
        return heeds;
    }

    private List<Phrase> notes(CookWatch.Stage stage) {
        List<Phrase> notes = new ArrayList<>();
        if (stage == CookWatch.Stage.BEFORE) {
            notes.addAll(plan.steps().subList(1, plan.steps().size()));
        }
        if (stage == CookWatch.Stage.AFTER && !isDoubtful()) {
            notes.add(Phrase.of(
                    "Its scraps are calm by their own batches. It is tested before it is released all the same"));
        }
        if (stage == CookWatch.Stage.TO_TEST) {
            notes.add(Phrase.of("A strip tells of much alkali, not of a little: it lets the work go on, it does not"
                    + " release the batch"));
        }
        return notes;
    }
}
