package io.causticon.web.places.rework;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Rework;
import io.causticon.core.model.plan.ScrapPortion;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.cook.MeltPlan;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchSummary;
import io.causticon.web.store.batch.Scrap;
import io.causticon.web.store.batch.Scraps;
import io.causticon.web.store.batch.Summaries;
import io.causticon.web.store.shelf.Pantry;
import io.causticon.web.store.shelf.ShelfService;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Reads and words a rework. */
@Service
class ReworkPages {

    private static final double FULL = 1.03;

    /** What is wanted of a mash that may hold free alkali. */
    private static final Share USUAL = Share.percent(5);

    private final Scraps scraps;
    private final ScrapSource source;
    private final Summaries summaries;
    private final ShelfService shelf;
    private final ProblemWords words;
    private final Clock clock;

    ReworkPages(
            Scraps scraps,
            ScrapSource source,
            Summaries summaries,
            ShelfService shelf,
            ProblemWords words,
            Clock clock) {
        this.scraps = scraps;
        this.source = source;
        this.summaries = summaries;
        this.shelf = shelf;
        this.words = words;
        this.clock = clock;
    }

    /**
     * One that is being read.
     *
     * @param form as it is typed
     * @param portions what goes in
     * @param rows what can go in
     * @param read what comes of it; null while nothing goes in
     */
    record Reading(
            ReworkForm form, List<ScrapPortion> portions, List<ReworkPage.Row> rows, ReworkForm.@Nullable Read read) {}

    /** Who comes from a batch means all of it, until something else is said. */
    Map<String, String> asMeant(Map<String, String> typed, Maker maker) {
        if (typed.keySet().stream().anyMatch(f -> f.startsWith(ReworkForm.TAKE))) {
            return typed;
        }
        Map<String, String> meant = new HashMap<>(typed);
        BatchId.read(typed.getOrDefault("batch", ""))
                .flatMap(source::whole)
                .ifPresent(w -> meant.put(
                        ReworkForm.TAKE + w.portion().id(),
                        maker.formats().massInput(w.portion().mass())));
        return meant;
    }

    /** Reads all of it, anew each time: a scrap is as fat as its batch's case says in this moment. */
    Reading read(Map<String, String> typed, Maker maker) {
        Pantry pantry = shelf.pantry();
        ReworkForm form = new ReworkForm(typed, maker.units(), pantry);
        Optional<ScrapSource.Whole> whole = BatchId.read(form.text("batch")).flatMap(source::whole);
        List<ScrapPortion> portions = new ArrayList<>();
        List<ReworkPage.Row> rows = new ArrayList<>();
        Formats formats = maker.formats();
        whole.ifPresent(w -> {
            ScrapPortion all = w.portion();
            rows.add(new ReworkPage.Row(
                    ReworkForm.TAKE + all.id(),
                    all.name(),
                    "",
                    formats.mass(all.mass()),
                    formats.massInput(all.mass()),
                    facts(all.superfat(), Duration.between(w.batch().log().begun(), clock.instant())),
                    "/batch/" + w.batch().id(),
                    w.batch().isHeld()));
            form.take(all.id(), all.mass()).map(all::weighing).ifPresent(portions::add);
        });
        Map<BatchId, Boolean> held = new HashMap<>();
        for (Scrap scrap : scraps.onTheShelf()) {
            Optional<Mass> mass = form.take(scrap.id(), scrap.left());
            Optional<ScrapPortion> portion = mass.flatMap(m -> source.portion(scrap, m, pantry.catalogue()));
            if (mass.isPresent() && portion.isEmpty()) {
                form.problems().add(ReworkForm.TAKE + scrap.id(), ProblemKey.NOT_WORKED_OUT);
            }
            portion.ifPresent(portions::add);
            // What goes in is told as its batch's case says now, not as when its log was last written.
            Estimate superfat = portion.map(ScrapPortion::superfat).orElse(scrap.superfat());
            rows.add(row(
                    scrap,
                    superfat,
                    scrap.batch()
                            .map(b -> held.computeIfAbsent(b, this::isHeld))
                            .orElse(false),
                    formats));
        }
        if (portions.isEmpty()) {
            form.lookOver();
        }
        Share usual = whole.map(w -> w.batch().plan().formula().superfat())
                .filter(s -> s.compareTo(Rework.LEAST_SUPERFAT) > 0)
                .orElse(USUAL);
        return new Reading(form, portions, rows, portions.isEmpty() ? null : form.read(portions, usual));
    }

    private boolean isHeld(BatchId batch) {
        return summaries.of(batch).map(BatchSummary::isHeld).orElse(false);
    }

    private ReworkPage.Row row(Scrap scrap, Estimate superfat, boolean held, Formats formats) {
        return new ReworkPage.Row(
                ReworkForm.TAKE + scrap.id(),
                scrap.name(),
                scrap.colour(),
                formats.mass(scrap.left()),
                formats.massInput(scrap.left()),
                facts(superfat, Duration.between(scrap.keptAt(), clock.instant())),
                scrap.batch().map(b -> "/batch/" + b).orElse(""),
                held);
    }

    private static String facts(Estimate superfat, Duration age) {
        return "superfat " + Formats.percent(superfat) + ", " + Formats.duration(age) + " old";
    }

    /** The plan of a batch to begin. */
    BatchPlan plan(Reading reading) {
        ReworkForm.Read read = reading.read();
        if (read == null) {
            reading.form().problems().add("scraps", ProblemKey.NO_SCRAPS);
        }
        Optional<BatchPlan> plan =
                read == null ? Optional.empty() : reading.form().plan(read);
        return plan.orElseThrow(
                () -> new ProblemsException(reading.form().problems().all()));
    }

    ReworkPage page(Reading reading, Map<String, String> typed, Maker maker) {
        ReworkForm.Read read = reading.read();
        ReworkPage.Result result = read == null ? null : result(reading, read, maker.formats());
        return new ReworkPage(
                reading.rows(), typed, words.byField(reading.form().problems().all(), maker.formats()), result);
    }

    private ReworkPage.Result result(Reading reading, ReworkForm.Read read, Formats formats) {
        Rework rework = read.rework();
        Estimate superfat = rework.superfat();
        MeltPlan melt = MeltPlan.of(rework);
        List<AdditivePortion> additives = read.additives();
        double excess = superfat.probabilityBelow(0);
        return new ReworkPage.Result(
                Formats.percent(superfat),
                Formats.probability(excess),
                excess >= Superfat.ALARMING_EXCESS.fraction(),
                says(read, formats),
                heeds(reading, read, formats),
                ReworkDrawing.of(rework),
                figures(rework, melt, additives, formats),
                read.fat().shortName(),
                read.wanted().isPositive() ? formats.massInput(read.wanted()) : "",
                formats.massInput(read.water()),
                melt.steps().stream().map(formats::phrase).toList(),
                String.join(", ", rework.allergens()));
    }

    private static String says(ReworkForm.Read read, Formats formats) {
        Estimate before = read.before().superfat();
        boolean added = read.rework().addedFat().isPositive();
        if (!added && read.wanted().isPositive()) {
            return "Without fat it is " + Formats.percent(before) + ". " + formats.mass(read.wanted()) + " of "
                    + read.fat().name() + " would do.";
        }
        return added
                ? "By themselves the scraps are " + Formats.percent(before) + "; with "
                        + formats.mass(read.rework().addedFat()) + " of "
                        + read.fat().name() + " the mash is what stands above."
                : "The scraps are fat enough by themselves: only water, and patience.";
    }

    private static List<String> heeds(Reading reading, ReworkForm.Read read, Formats formats) {
        Rework rework = read.rework();
        List<String> heeds = new ArrayList<>();
        if (rework.isHopeless()) {
            heeds.add("There is more alkali in a scrap than a rebatch can be trusted with. Discard it as the supplier's"
                    + " safety data sheet and local rules say.");
        }
        if (rework.isFresh()) {
            heeds.add("A scrap is younger than two days: it has not reacted and burns. Better wait; else gloves,"
                    + " goggles, and it is cooked until a test is calm.");
        } else if (rework.isDoubtful()) {
            heeds.add("A scrap may hold free alkali: gloves and goggles until a test of the mash is calm.");
        }
        if (rework.superfat().probabilityBelow(0) >= Superfat.ALARMING_EXCESS.fraction()) {
            heeds.add("As it stands alkali may be left in it: more fat, or less of the scrap that brings it.");
        }
        reading.rows().stream()
                .filter(ReworkPage.Row::held)
                .filter(r -> reading.portions().stream().anyMatch(p -> r.field().equals(ReworkForm.TAKE + p.id())))
                .forEach(r -> heeds.add("The batch of \u201c" + r.name()
                        + "\u201d is held. What is made of it stays held until it is tested by itself."));
        read.additives().stream()
                .filter(a -> a.additive().cap() != null)
                .filter(a -> a.mass().grams()
                        > a.additive().cap() / 1000 * fats(rework).grams())
                .forEach(a -> heeds.add(a.additive().name() + " is above its limit of "
                        + Formats.number(a.additive().cap() / 10, 1)
                        + " % of the fats, and the scraps may have brought scent of their own."));
        Mould mould = read.mould();
        if (mould != null && rework.total().isMoreThan(mould.capacity().times(FULL))) {
            heeds.add("It is more than the " + mould.name() + " holds, " + formats.roughMass(mould.capacity())
                    + ": have a second one ready.");
        }
        return heeds;
    }

    private static Mass fats(Rework rework) {
        return rework.fats().stream().map(f -> f.mass()).reduce(Mass.ZERO, Mass::plus);
    }

    private static List<ReworkPage.Figure> figures(
            Rework rework, MeltPlan melt, List<AdditivePortion> additives, Formats formats) {
        List<ReworkPage.Figure> figures = new ArrayList<>();
        figures.add(new ReworkPage.Figure("scraps", formats.mass(rework.soap())));
        rework.added().forEach(f -> figures.add(new ReworkPage.Figure(f.fat().name(), formats.mass(f.mass()))));
        figures.add(new ReworkPage.Figure("water", formats.mass(rework.water())));
        additives.forEach(a -> figures.add(new ReworkPage.Figure(a.additive().name(), formats.mass(a.mass()))));
        figures.add(new ReworkPage.Figure(
                "all of it",
                formats.mass(additives.stream().map(AdditivePortion::mass).reduce(rework.total(), Mass::plus))));
        figures.add(new ReworkPage.Figure("water in it", formats.percent(rework.waterShare(), 0)));
        figures.add(new ReworkPage.Figure("on the heat", hours(melt.hours())));
        if (melt.bursts() > 0) {
            figures.add(new ReworkPage.Figure(
                    "bursts", "some " + melt.bursts() + " of " + melt.burst().toSeconds() + " s"));
        }
        figures.add(new ReworkPage.Figure("pot, at least", Formats.number(melt.leastPotLitres(), 1) + " l"));
        return figures;
    }

    private static String hours(Interval hours) {
        Duration low = Duration.ofMinutes(5 * Math.max(1, Math.round(12 * hours.low())));
        Duration high = Duration.ofMinutes(5 * Math.max(1, Math.round(12 * hours.high())));
        return Formats.duration(low) + " to " + Formats.duration(high);
    }
}
