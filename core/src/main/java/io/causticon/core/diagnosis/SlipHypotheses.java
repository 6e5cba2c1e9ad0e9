package io.causticon.core.diagnosis;

import io.causticon.core.diagnosis.SlipFinder.Hypothesis;
import io.causticon.core.formula.AdditivePortion;
import io.causticon.core.formula.FatPortion;
import io.causticon.core.formula.LiquidPortion;
import io.causticon.core.formula.Weights;
import io.causticon.core.observation.KnownVessels;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.observation.BatchLog;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.SwappedFats;
import io.causticon.core.observation.Tare;
import io.causticon.core.observation.Weighable;
import io.causticon.core.quantity.Mass;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Enumerates the single slips of one batch. The rates are judgements of how often each happens in a hundred batches. */
final class SlipHypotheses {

    private static final double RATE_NONE = 97;
    private static final double RATE_SWAP = 0.2;
    private static final double RATE_LEFT_OUT = 0.15;
    private static final double RATE_DOUBLED = 0.08;
    private static final double RATE_TARE_UNKNOWN = 0.15;
    private static final double RATE_TARE_UNKNOWN_IN_VESSEL = 2.5;
    private static final double RATE_TARE_NOT_TAKEN = 97;
    private static final double RATE_LYE_OVER = 0.25;
    private static final double RATE_LYE_TWICE = 0.05;
    private static final double RATE_OUNCES = 0.02;
    private static final double RATE_ACID = 0.4;
    private static final double RATE_PURER = 0.5;
    private static final double RATE_UNKNOWN = 0.3;
    private static final double LYE_OVER = 0.06;

    /** Nobody looked at the number twice: slips are as much likelier (a judgement). */
    private static final double UNLOGGED = 5;

    private static final Mass USUAL_JUG = Mass.grams(85);
    private static final double NOTABLE = 0.01;

    /** Milk's own trace of acid is not what anybody counts on. */
    private static final double NOTABLE_ACID = 0.02;

    private final BatchFacts facts;
    private final KnownVessels vessels;
    private final Weights weighed;
    private final List<Hypothesis> found = new ArrayList<>();

    SlipHypotheses(BatchFacts facts, KnownVessels vessels) {
        this.facts = facts;
        this.vessels = vessels;
        this.weighed = facts.asWeighed().weights();
    }

    List<Hypothesis> all() {
        found.add(asLogged());
        swaps();
        singleFats();
        tares();
        lye();
        acids();
        unknown();
        return List.copyOf(found);
    }

    private double unlogged(FatPortion fat) {
        return unlogged(Weighable.fat(fat.fat().id()));
    }

    private double unlogged(Weighable what) {
        return facts.asWeighed().notLogged().contains(what) ? UNLOGGED : 1;
    }

    /** The log as it stands; if it differs from the plan, it says how. */
    private Hypothesis asLogged() {
        Weights planned = Weights.planned(facts.plan().formula());
        Optional<SwappedFats> swap = SwappedFats.in(planned, weighed);
        if (swap.isPresent()) {
            return loggedSwap(swap.get());
        }
        double lyeChange = weighed.lye().dividedBy(planned.lye()) - 1;
        if (Math.abs(lyeChange) > NOTABLE) {
            Phrase words = Phrase.of(lyeChange > 0 ? "more lye logged than planned" : "less lye logged than planned");
            Phrase how = Phrase.of("{} instead of {}", weighed.lye(), planned.lye());
            return new Hypothesis(Slip.Kind.LOGGED_DIFFERENCE, words, how, RATE_NONE, weighed);
        }
        if (!facts.asWeighed().isComplete()) {
            return new Hypothesis(
                    Slip.Kind.NONE, Phrase.of("weights as planned"), Phrase.of("not all of them were logged"), RATE_NONE, weighed);
        }
        return loggedFatDifference(planned)
                .orElseGet(() -> new Hypothesis(
                        Slip.Kind.NONE, Phrase.of("weights as logged"), Phrase.of("no slip at the scale"), RATE_NONE, weighed));
    }

    private Optional<Hypothesis> loggedFatDifference(Weights planned) {
        for (int i = 0; i < planned.fats().size(); i++) {
            Mass plan = planned.fats().get(i).mass();
            Mass got = weighed.fats().get(i).mass();
            if (Math.abs(got.grams() - plan.grams()) > NOTABLE * planned.fatMass().grams()) {
                String name = planned.fats().get(i).fat().shortName();
                Phrase words = Phrase.of("{} logged with another weight than planned", name);
                return Optional.of(new Hypothesis(
                        Slip.Kind.LOGGED_DIFFERENCE,
                        words,
                        Phrase.of("{} instead of {}", got, plan),
                        RATE_NONE,
                        weighed));
            }
        }
        return Optional.empty();
    }

    private Hypothesis loggedSwap(SwappedFats swap) {
        String first = swap.first().fat().shortName();
        String second = swap.second().fat().shortName();
        Phrase how = Phrase.of(
                "{} of {} instead of {}, {} of {} instead of {}: the total is the same, the lye is not",
                swap.gotFirst(),
                first,
                swap.first().mass(),
                swap.gotSecond(),
                second,
                swap.second().mass());
        return new Hypothesis(Slip.Kind.SWAPPED, Phrase.of("{} and {} swapped in the log", first, second), how, RATE_NONE, weighed);
    }

    /** Two fats poured for one another: the total is right and cannot show it. */
    private void swaps() {
        int n = weighed.fats().size();
        for (int i = 0; i < n; i++) {
            for (int j = i + 1; j < n; j++) {
                FatPortion a = weighed.fats().get(i);
                FatPortion b = weighed.fats().get(j);
                if (!SwappedFats.areAlike(a.mass(), b.mass())) {
                    List<FatPortion> fats = new ArrayList<>(weighed.fats());
                    fats.set(i, new FatPortion(a.fat(), b.mass()));
                    fats.set(j, new FatPortion(b.fat(), a.mass()));
                    Phrase words = Phrase.of("{} and {} poured for one another", a.fat().shortName(), b.fat().shortName());
                    found.add(new Hypothesis(
                            Slip.Kind.SWAPPED,
                            words,
                            Phrase.of("the total stays {}", weighed.fatMass()),
                            RATE_SWAP * Math.max(unlogged(a), unlogged(b)),
                            weighed.withFats(fats)));
                }
            }
        }
    }

    private void singleFats() {
        for (int i = 0; i < weighed.fats().size(); i++) {
            FatPortion fat = weighed.fats().get(i);
            String name = fat.fat().shortName();
            if (weighed.fats().size() > 1) {
                add(Slip.Kind.LEFT_OUT, i, Mass.ZERO, RATE_LEFT_OUT * unlogged(fat), Phrase.of("{} left out", name), Phrase.of("{} missing", fat.mass()));
            }
            add(
                    Slip.Kind.DOUBLED,
                    i,
                    fat.mass().times(2),
                    RATE_DOUBLED * unlogged(fat),
                    Phrase.of("{} poured twice", name),
                    Phrase.of("{} too much", fat.mass()));
            Mass ouncesAsGrams = Mass.grams(fat.mass().inOunces());
            add(
                    Slip.Kind.UNIT_MISTAKEN,
                    i,
                    ouncesAsGrams,
                    RATE_OUNCES * unlogged(fat),
                    Phrase.of("{} weighed in grams where ounces were meant", name),
                    Phrase.of("{} in the pot", ouncesAsGrams));
        }
    }

    private void add(Slip.Kind kind, int index, Mass mass, double rate, Phrase words, Phrase how) {
        List<FatPortion> fats = new ArrayList<>(weighed.fats());
        fats.set(index, new FatPortion(fats.get(index).fat(), mass));
        found.add(new Hypothesis(kind, words, how, rate, weighed.withFats(fats)));
    }

    /** A jug's own mass counted as fat. */
    private void tares() {
        for (BatchLog.Timed<Entry.Weighed> weighing : facts.log().of(Entry.Weighed.class).toList()) {
            Entry.Weighed entry = weighing.entry();
            if (entry.what().kind() == Weighable.Kind.FAT && entry.tare() != Tare.TAKEN) {
                tare(entry);
            }
        }
    }

    private void tare(Entry.Weighed entry) {
        String vessel = entry.vessel() == null ? "" : entry.vessel().name();
        Mass jug = vessels.mass(entry.vessel()).orElse(USUAL_JUG);
        for (int i = 0; i < weighed.fats().size(); i++) {
            FatPortion fat = weighed.fats().get(i);
            boolean same = fat.fat().id().equals(entry.what().id());
            if (same && fat.mass().isMoreThan(jug)) {
                String where = vessel.isEmpty() ? "its vessel" : "the " + vessel;
                add(
                        Slip.Kind.TARE_NOT_TAKEN,
                        i,
                        fat.mass().minus(jug),
                        tareRate(entry, vessel),
                        Phrase.of("tare of {} not taken for {}", where, fat.fat().shortName()),
                        Phrase.of("{} of the logged {} was the vessel", jug, fat.mass()));
            }
        }
    }

    private static double tareRate(Entry.Weighed entry, String vessel) {
        if (entry.tare() == Tare.NOT_TAKEN) {
            return RATE_TARE_NOT_TAKEN;
        }
        return vessel.isEmpty() ? RATE_TARE_UNKNOWN : RATE_TARE_UNKNOWN_IN_VESSEL;
    }

    private void lye() {
        Mass lye = weighed.naoh();
        if (!lye.isPositive()) {
            return;
        }
        Mass over = lye.times(LYE_OVER);
        found.add(new Hypothesis(
                Slip.Kind.LYE_OVER,
                Phrase.of("lye {} over what was logged", over),
                Phrase.of("misread or spooned past the mark"),
                RATE_LYE_OVER * unlogged(Weighable.NAOH),
                weighed.withNaoh(lye.plus(over))));
        found.add(new Hypothesis(
                Slip.Kind.LYE_TWICE,
                Phrase.of("lye weighed in twice"),
                Phrase.of("{} in the pot", lye.times(2)),
                RATE_LYE_TWICE * unlogged(Weighable.NAOH),
                weighed.withNaoh(lye.times(2))));
        double purer = 1 / facts.plan().formula().alkali().naohPurity().fraction();
        found.add(new Hypothesis(
                Slip.Kind.PURER_ALKALI,
                Phrase.of("the lye is purer than its label"),
                Phrase.of("as good as 100 %"),
                RATE_PURER,
                weighed.withNaoh(lye.times(purer))));
    }

    /** Nobody can think of every slip. */
    private void unknown() {
        found.add(new Hypothesis(
                Slip.Kind.UNKNOWN,
                Phrase.of("a slip that is not on this list"),
                Phrase.of("something else went in than was logged"),
                RATE_UNKNOWN,
                weighed));
    }

    /** Acid that the lye was raised for and that never went in. */
    private void acids() {
        double needed = weighed.allFats().mapToDouble(FatPortion::alkaliMoles).sum();
        if (weighed.acidMoles() > NOTABLE_ACID * needed) {
            List<LiquidPortion> liquids = weighed.liquids().stream()
                    .filter(l -> l.liquid().acid() == null)
                    .toList();
            List<AdditivePortion> additives = weighed.additives().stream()
                    .filter(a -> a.additive().acid() == null)
                    .toList();
            Weights without = new Weights(weighed.fats(), weighed.naoh(), weighed.koh(), liquids, additives);
            found.add(new Hypothesis(
                    Slip.Kind.ACID_NOT_ADDED,
                    Phrase.of("the acid that lye was added for did not go in"),
                    Phrase.of("lye was raised for it"),
                    RATE_ACID,
                    without));
        }
    }
}
