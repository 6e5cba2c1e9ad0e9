package io.causticon.web.places.bench;

import io.causticon.core.model.log.Bath;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.making.PotAddition;
import io.causticon.core.science.pots.BathAdvice;
import io.causticon.core.science.pots.CoolingFit;
import io.causticon.core.science.pots.CoolingMemory;
import io.causticon.core.science.pots.HeatTransfer;
import io.causticon.core.science.pots.Levelling;
import io.causticon.core.science.pots.Matching;
import io.causticon.core.science.pots.Meeting;
import io.causticon.core.science.pots.PotCooling;
import io.causticon.core.science.pots.PotMemories;
import io.causticon.core.science.pots.PotOutlook;
import io.causticon.core.science.pots.PotSegments;
import io.causticon.core.science.pots.SecondFeed;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.WhenWords;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Batch;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** Words the lye pot and the matching of a batch. */
final class PotPages {

    private static final String LYE_SAFETY = "Gloves, goggles, sleeves, air. Lye goes into liquid, never the reverse."
            + " Fumes or froth: step back, let it settle. The supplier's safety sheet and local rules come first.";
    private static final double LIKELY = 0.5;
    private static final double POSSIBLE = 0.1;
    private static final double NEAR_BOILING = 95;
    private static final double SOLID_FATS = 35;
    private static final double OUT_OF_BATH = 2;
    /** Minutes that hands need; a steel pot in a bath goes two kelvin in that time. */
    private static final double HANDS = 0.5;

    private final Batch batch;
    private final Maker maker;
    private final Formats formats;
    private final PotMemories memories;
    private final Instant now;
    private final BatchFacts facts;
    private final Temperature room;

    PotPages(Batch batch, Maker maker, PotMemories memories, Instant now) {
        this.batch = batch;
        this.maker = maker;
        this.formats = maker.formats();
        this.memories = memories;
        this.now = now;
        this.facts = batch.facts(now);
        this.room = facts.room().orElse(maker.room());
    }

    BenchPage.Pot lyePot() {
        Optional<Temperature> read = facts.lastBefore(MeasurementPoint.LYE, now);
        Optional<SecondFeed> second = SecondFeed.of(batch.plan(), batch.log(), room, read);
        PotOutlook pot = PotOutlook.of(batch.plan(), batch.log(), room, now);
        boolean clear = batch.log().first(Entry.LyeClear.class).isPresent();
        if (second.filter(f -> !f.isDone()).isPresent() && clear) {
            return secondFeed(second.get(), pot, read);
        }
        boolean allIn = pot.fed() >= pot.portions();
        return new BenchPage.Pot(
                EntryWords.spot(MeasurementPoint.LYE),
                read.map(formats::temperatureNumber).orElse("\u2013"),
                formats.temperatureUnit(),
                says(pot, read),
                details(pot),
                figures(pot),
                LyeChart.of(pot, batch.log(), formats, now),
                LYE_SAFETY,
                alarm(pot, read),
                allIn || clear ? "" : "portion " + (pot.fed() + 1) + "/" + pot.portions(),
                "Portion " + (pot.fed() + 1) + " of " + pot.portions() + " in",
                clear,
                false,
                clear ? List.of() : List.of(iceBath(pot)),
                additions(AdditionStage.LYE));
    }

    /** Milk into cooled lye: portions, limit and alarm of their own. */
    private BenchPage.Pot secondFeed(SecondFeed feed, PotOutlook pot, Optional<Temperature> read) {
        String next = "portion " + (feed.fed() + 1) + "/" + feed.portions();
        return new BenchPage.Pot(
                EntryWords.spot(MeasurementPoint.LYE),
                read.map(formats::temperatureNumber).orElse("\u2013"),
                formats.temperatureUnit(),
                secondSays(feed, read),
                secondDetails(feed),
                secondFigures(feed),
                LyeChart.of(pot, batch.log(), formats, now),
                LYE_SAFETY,
                secondAlarm(feed, read),
                next,
                "Portion " + (feed.fed() + 1) + " of " + feed.portions() + " of the " + secondName(feed) + " in",
                true,
                false,
                List.of(iceBath(pot)),
                additions(AdditionStage.COOLED_LYE));
    }

    private static String secondName(SecondFeed feed) {
        return feed.liquids().get(0).liquid().name().toLowerCase(Locale.ROOT).replaceAll(",.*", "");
    }

    private String secondSays(SecondFeed feed, Optional<Temperature> read) {
        if (feed.fed() == 0
                && feed.warmestLye().isPresent()
                && read.isPresent()
                && read.get().isAbove(feed.warmestLye().get())) {
            return "Let the lye cool to "
                    + formats.temperature(rounded(feed.warmestLye().get())) + " before the " + secondName(feed)
                    + " goes in.";
        }
        return feed.ifThawed().isPresent()
                ? "The " + secondName(feed)
                        + " into the lye, frozen solid, a portion at a time. Stir until each has melted."
                : "The " + secondName(feed) + " into the lye, a portion at a time, stirred.";
    }

    private String secondAlarm(SecondFeed feed, Optional<Temperature> read) {
        if (feed.limit().isEmpty() || read.isEmpty()) {
            return "";
        }
        Temperature limit = feed.limit().get();
        if (read.get().isAbove(limit) && feed.fed() > 0) {
            return "Past " + formats.temperature(limit) + ", where it scorches. No more of it now. Ice bath, stir.";
        }
        return feed.passesLimit()
                ? "From here it can reach " + formats.temperature(rounded(feed.peak())) + "; it scorches from "
                        + formats.temperature(limit) + ". Cool the lye first."
                : "";
    }

    private List<String> secondDetails(SecondFeed feed) {
        List<String> details = new ArrayList<>();
        feed.ifThawed()
                .ifPresent(t -> details.add("Frozen it barely warms the lye. Thawed in the fridge it would reach "
                        + formats.temperature(rounded(t)) + ": out of the freezer portion by portion."));
        if (feed.ifThawed().isEmpty()) {
            details.add("Diluting strong lye gives heat of its own, also with a cold liquid.");
        }
        return details;
    }

    private List<BenchPage.Figure> secondFigures(SecondFeed feed) {
        List<BenchPage.Figure> figures = new ArrayList<>();
        figures.add(new BenchPage.Figure("it can reach", formats.temperature(rounded(feed.peak()))));
        feed.limit().ifPresent(l -> figures.add(new BenchPage.Figure("scorches from", formats.temperature(l))));
        feed.warmestLye()
                .ifPresent(
                        l -> figures.add(new BenchPage.Figure("lye no warmer than", formats.temperature(rounded(l)))));
        feed.liquids().forEach(l -> figures.add(new BenchPage.Figure(l.liquid().name(), formats.mass(l.mass()))));
        return figures;
    }

    private List<BenchPage.Addition> additions(AdditionStage... here) {
        return PotAddition.of(batch.plan(), batch.log()).stream()
                .filter(a -> List.of(here).contains(a.when()))
                .map(a -> new BenchPage.Addition(
                        a.name(),
                        WhenWords.ofAdditive(a.when()),
                        formats.mass(a.mass()),
                        formats.massInput(a.mass()) + " " + formats.massUnit(),
                        a.done()))
                .toList();
    }

    private String says(PotOutlook pot, Optional<Temperature> read) {
        if (batch.log().first(Entry.LyeClear.class).isPresent()) {
            return "Dissolved and strained. Let it come to the fats.";
        }
        if (pot.fedFrom().isEmpty()) {
            return pot.limit().isPresent()
                    ? "Lye into the frozen liquid, spoon by spoon. Ice bath ready."
                    : "Lye into the liquid in " + pot.portions() + " portions, and keep it moving.";
        }
        if (alarm(pot, read).isEmpty() && pot.fed() < pot.portions()) {
            return "Next portion when this one is in. Keep it moving.";
        }
        return switch (pot.state()) {
            case RISING -> "Still rising: crystals are left. Stir.";
            case LEVEL -> "It stands still. A minute more, then look for crystals.";
            case TURNED -> "It has turned: dissolved. Strain it anyway.";
            case NOT_SEEN ->
                pot.fed() < pot.portions()
                        ? "Stir. The next portion waits for a reading that is falling."
                        : "Stir, and read it every minute.";
        };
    }

    /** What must be said aloud, before the limit is met. */
    private String alarm(PotOutlook pot, Optional<Temperature> read) {
        Optional<Temperature> thawed =
                pot.peakIfThawed().filter(t -> t.isAbove(pot.limit().orElse(PotOutlook.CALM)));
        if (thawed.isPresent()) {
            return "It reads " + formats.temperature(pot.liquid().orElseThrow())
                    + ": it has begun to thaw. All thawed it peaks near "
                    + formats.temperature(rounded(thawed.get())) + ", above "
                    + formats.temperature(pot.limit().orElse(PotOutlook.CALM))
                    + ". No lye yet: back into the freezer.";
        }
        if (pot.limit().isPresent()) {
            double limit = pot.limit().get().celsius();
            if (read.isPresent() && read.get().celsius() > limit) {
                return "Past " + formats.temperature(pot.limit().get())
                        + ", where it scorches. Stop feeding. Ice bath now, stir.";
            }
            double p = pot.forecast().probabilityAbove(limit);
            if (pot.fedFrom().isPresent() && p >= POSSIBLE) {
                double in = pot.forecast().minuteAbove(limit) - pot.minute(now);
                return (p >= LIKELY && Double.isFinite(in)
                                ? "It will pass "
                                        + formats.temperature(pot.limit().get()) + " in about "
                                        + Formats.number(Math.max(1, in), 0) + " min."
                                : "It may pass "
                                        + formats.temperature(pot.limit().get()) + ": " + Formats.probability(p) + ".")
                        + " Wait with the next portion; ice bath, stir.";
            }
            return "";
        }
        if (pot.fedFrom().isPresent() && pot.forecast().probabilityAbove(pot.boilingCelsius()) >= POSSIBLE) {
            return "It may boil over: " + Formats.probability(pot.forecast().probabilityAbove(pot.boilingCelsius()))
                    + ". No more lye now. Step back, jug into cold water, let it settle.";
        }
        return "";
    }

    private List<String> details(PotOutlook pot) {
        List<String> details = new ArrayList<>();
        // So does every ordinary liquor: said with its number, and no alarm.
        if (pot.limit().isEmpty()
                && pot.forecast().peakBand().high() > NEAR_BOILING
                && pot.state() != Levelling.State.TURNED) {
            details.add("It gets hot, likely "
                    + degreesOnly(pot.forecast().peakBand().low()) + " to "
                    + degrees(Math.min(
                            pot.boilingCelsius(), pot.forecast().peakBand().high())) + "; without any loss "
                    + formats.temperature(rounded(pot.adiabaticPeak()))
                    + ". Small portions, and step back between them.");
        }
        if (pot.fedFrom().isEmpty() && pot.liquid().isEmpty()) {
            details.add((pot.ice().isPositive() ? "The ice is taken to be at " : "The liquid is taken to be at ")
                    + formats.temperature(pot.start())
                    + ". Read it before the lye, and the forecast follows.");
        }
        Temperature limit = pot.limit().orElse(PotOutlook.CALM);
        pot.peakIfThawed()
                .filter(t -> !t.isAbove(limit))
                .ifPresent(t -> details.add(
                        "It reads " + formats.temperature(pot.liquid().orElseThrow())
                                + ", so some may have thawed. All thawed it would peak near "
                                + formats.temperature(rounded(t)) + "."));
        String aim = "to stay below " + formats.temperature(limit);
        details.add(pot.frozen()
                .map(f -> f.fraction() <= 0
                        ? "No ice is needed " + aim + "."
                        : "Ice: " + formats.percent(f, 0) + " of the water frozen " + aim + ", however fast it is fed.")
                .orElse("Ice alone does not keep it below " + formats.temperature(limit) + "."));
        if (pot.limit().isPresent()) {
            details.add(
                    pot.minutes().isPresent()
                            ? pot.minutes().getAsDouble() < 1
                                    ? "In an ice bath any pace will do."
                                    : "Or: fed over "
                                            + Formats.number(
                                                    Math.ceil(pot.minutes().getAsDouble()), 0)
                                            + " min in an ice bath, stirred."
                            : "No pace in an ice bath keeps it below; freeze more, or strong lye in water first.");
            details.add("Lye that lies still is " + Formats.number(formats.degreesApart(10), 0) + " to "
                    + formats.difference(20) + " hotter than what you read.");
        }
        return details;
    }

    private List<BenchPage.Figure> figures(PotOutlook pot) {
        List<BenchPage.Figure> figures = new ArrayList<>();
        if (batch.log().first(Entry.LyeClear.class).isPresent()) {
            pot.limit().ifPresent(l -> figures.add(new BenchPage.Figure("scorches from", formats.temperature(l))));
            figures.add(new BenchPage.Figure("crystals below", formats.temperature(pot.crystals())));
            return figures;
        }
        pot.liquid().ifPresent(l -> figures.add(new BenchPage.Figure("liquid before the lye", formats.temperature(l))));
        Interval peak = pot.forecast().peakBand();
        figures.add(new BenchPage.Figure(
                "peak ahead",
                peak.low() > pot.boilingCelsius()
                        ? "it boils, " + degrees(pot.boilingCelsius())
                        : degrees(Math.min(pot.forecast().peakCelsiusAhead(), pot.boilingCelsius())) + ", "
                                + degreesOnly(peak.low()) + " to "
                                + (peak.high() > pot.boilingCelsius() ? "boiling" : degrees(peak.high()))));
        pot.limit().ifPresent(l -> {
            figures.add(new BenchPage.Figure("scorches from", formats.temperature(l)));
            figures.add(new BenchPage.Figure(
                    "chance to pass it", Formats.probability(pot.forecast().probabilityAbove(l.celsius()))));
        });
        if (pot.fedFrom().isPresent()) {
            pot.stillFrozen(now)
                    .ifPresent(ice -> figures.add(new BenchPage.Figure(
                            "still frozen, about",
                            ice < 1
                                    ? "next to nothing"
                                    : formats.mass(Mass.grams(Math.rint(ice))) + " of " + formats.mass(pot.ice()))));
            figures.add(new BenchPage.Figure("in solution, about", formats.percent(pot.concentrationNow(now), 0)));
        }
        double done = pot.forecast().dissolvedMinute() - pot.minute(now);
        if (pot.fedFrom().isPresent() && pot.state() != Levelling.State.TURNED) {
            figures.add(new BenchPage.Figure(
                    "dissolved in about",
                    Double.isFinite(done) ? Formats.number(Math.max(1, done), 0) + " min" : "not soon"));
        }
        figures.add(new BenchPage.Figure("crystals below", formats.temperature(pot.crystals())));
        return figures;
    }

    BenchPage.Pot matching() {
        Matching matching = Matching.of(batch.plan(), facts, maker.room(), maker.within(), memories, now);
        boolean fatsNext = matching.lye().isPresent() && matching.fats().isEmpty();
        MeasurementPoint spot = fatsNext ? MeasurementPoint.FATS : MeasurementPoint.LYE;
        return new BenchPage.Pot(
                EntryWords.spot(spot),
                facts.lastBefore(spot, now).map(formats::temperatureNumber).orElse("\u2013"),
                formats.temperatureUnit(),
                matchWords(matching),
                baths(matching),
                matchFigures(matching),
                MatchChart.of(batch.log(), matching, formats),
                LYE_SAFETY,
                "",
                "",
                "",
                true,
                together(matching),
                List.of(stand(MeasurementPoint.LYE), stand(MeasurementPoint.FATS)),
                additions(AdditionStage.COOLED_LYE, AdditionStage.FATS));
    }

    /** The jug is in ice water or not; where nothing was logged, as is usual for this liquor. */
    private BenchPage.Stand iceBath(PotOutlook pot) {
        boolean in = pot.isInBath(now);
        return new BenchPage.Stand(
                EntryWords.spot(MeasurementPoint.LYE),
                List.of(
                        new BenchPage.Place("room", "lye out of the bath", !in),
                        new BenchPage.Place("ice bath", "lye ice bath", in)));
    }

    private BenchPage.Stand stand(MeasurementPoint spot) {
        Bath in = PotSegments.of(batch.log(), spot, now).current().in();
        String pot = EntryWords.spot(spot);
        return new BenchPage.Stand(
                pot,
                List.of(
                        new BenchPage.Place("room", pot + " out of the bath", in == Bath.ROOM),
                        new BenchPage.Place("ice", pot + " ice bath", in == Bath.ICE_BATH),
                        new BenchPage.Place("cold", pot + " cold bath", in == Bath.COLD_BATH),
                        new BenchPage.Place("warm", pot + " warm bath", in == Bath.WARM_BATH)));
    }

    private static boolean together(Matching m) {
        return m.meeting().isPresent()
                && close(m)
                && m.window().contains(m.lye().orElseThrow().celsiusAt(m.now()))
                && m.window().contains(m.fats().orElseThrow().celsiusAt(m.now()));
    }

    private static boolean close(Matching m) {
        return Math.abs(m.lye().orElseThrow().celsiusAt(m.now())
                        - m.fats().orElseThrow().celsiusAt(m.now()))
                <= m.tolerance().kelvin();
    }

    private String matchWords(Matching m) {
        if (m.meeting().isEmpty()) {
            return "Read " + (m.lye().isEmpty() ? "the lye" : "the fats") + " to see when the two meet.";
        }
        Meeting meeting = m.meeting().get();
        double lye = m.lye().orElseThrow().celsiusAt(m.now());
        double fats = m.fats().orElseThrow().celsiusAt(m.now());
        String window =
                degreesOnly(m.window().low()) + " to " + degrees(m.window().high());
        List<MeasurementPoint> bathed = Stream.of(MeasurementPoint.LYE, MeasurementPoint.FATS)
                .filter(s -> PotSegments.of(batch.log(), s, now).current().in() != Bath.ROOM)
                .toList();
        if (together(m)) {
            return bathed.isEmpty()
                    ? "They are together. Lye into the fats, through the strainer."
                    : "They are together. Out of the bath, then lye into the fats, through the strainer.";
        }
        for (MeasurementPoint spot : bathed) {
            CoolingFit fit = (spot == MeasurementPoint.LYE ? m.lye() : m.fats()).orElseThrow();
            if (pastTheAim(spot, fit.celsiusAt(m.now() + HANDS)) >= -OUT_OF_BATH) {
                return "Out of the bath with the " + EntryWords.spot(spot)
                        + (pastTheAim(spot, fit.celsiusAt(m.now())) > OUT_OF_BATH ? ": it is past " : ": it is near ")
                        + formats.temperature(batch.plan().mixAt()) + ".";
            }
        }
        if (close(m)) {
            String cooler = lye < fats ? "lye is" : "fats are";
            return Math.min(lye, fats) >= m.window().low()
                    ? "Within " + formats.difference(m.tolerance().kelvin()) + ", and warmer than " + window + ". "
                            + (meeting.probability() < LIKELY ? "Wait" : "There in " + span(meeting, m.now()))
                            + ", or go on."
                    : "Within " + formats.difference(m.tolerance().kelvin()) + ", but the " + cooler + " below "
                            + degrees(m.window().low())
                            + ", where this recipe stays clear. Warm it a little, or go on.";
        }
        if (meeting.probability() < LIKELY) {
            return "They will not meet by waiting. "
                    + (lye > fats ? "Cool the lye or warm the fats." : "Warm the lye or cool the fats.");
        }
        return "Together in " + span(meeting, m.now()) + ", at " + window
                + (Double.isFinite(meeting.high())
                        ? "."
                        : ". " + Formats.probability(1 - meeting.probability()) + " that they miss each other.");
    }

    private static String span(Meeting meeting, double now) {
        String soonest = Formats.number(Math.max(0, meeting.low() - now), 0);
        return "about " + Formats.number(Math.max(1, meeting.median() - now), 0) + " min, "
                + (Double.isFinite(meeting.high())
                        ? soonest + " to " + Formats.number(meeting.high() - now, 0)
                        : meeting.low() - now < 1 ? "maybe now" : soonest + " at the soonest");
    }

    /**
     * How far a pot in a bath has gone beyond the temperature that the plan mixes at, K; below zero while it is on its
     * way.
     */
    private double pastTheAim(MeasurementPoint spot, double at) {
        double above = at - batch.plan().mixAt().celsius();
        return PotSegments.of(batch.log(), spot, now).current().in() == Bath.WARM_BATH ? above : -above;
    }

    private List<String> baths(Matching m) {
        List<String> words = new ArrayList<>();
        m.baths().stream().limit(2).forEach(b -> words.add(bath(b)));
        FatPortion solid = batch.plan().formula().fats().stream()
                .filter(p -> p.fat().meltingRange() != null
                        && p.mass().dividedBy(batch.plan().formula().fatMass()) > 0.3)
                .findFirst()
                .orElse(null);
        Optional<Temperature> lye = facts.lastBefore(MeasurementPoint.LYE, now);
        if (solid != null
                && lye.isPresent()
                && lye.get().celsius() > SOLID_FATS
                && facts.lastBefore(MeasurementPoint.FATS, now).isEmpty()) {
            HeatTransfer transfer = HeatTransfer.of(batch.plan().formula(), lye.get(), room);
            words.add("Hot lye onto solid fats now: about " + formats.temperature(rounded(transfer.mix())) + ", "
                    + (transfer.melts()
                            ? "clear."
                            : transfer.hardest() + " stays cloudy below "
                                    + formats.temperature(rounded(transfer.clearFrom())) + "."));
        }
        return words;
    }

    private String bath(BathAdvice b) {
        if (b.pot() == BathAdvice.Pot.BOTH) {
            return "Sooner: the warmer pot into cold water, the colder one into warm water of "
                    + formats.temperature(rounded(b.bath()))
                    + ", each out when it is near "
                    + formats.temperature(batch.plan().mixAt()) + "; about "
                    + Formats.number(Math.max(1, b.minutes()), 0) + " min.";
        }
        String pot = b.pot() == BathAdvice.Pot.LYE ? "lye" : "fats";
        return "Sooner: the " + pot + " into " + (b.warms() ? "a warm" : "a cold") + " bath of "
                + formats.temperature(rounded(b.bath())) + " for about " + Formats.number(Math.max(1, b.minutes()), 0)
                + " min, stirred.";
    }

    private static Temperature rounded(Temperature t) {
        return Temperature.celsius(Math.rint(t.celsius()));
    }

    private List<BenchPage.Figure> matchFigures(Matching m) {
        List<BenchPage.Figure> figures = new ArrayList<>();
        m.lye().ifPresent(f -> figures.add(new BenchPage.Figure("lye now, by the fit", degrees(f.celsiusAt(m.now())))));
        m.fats()
                .ifPresent(
                        f -> figures.add(new BenchPage.Figure("fats now, by the fit", degrees(f.celsiusAt(m.now())))));
        figures.add(
                new BenchPage.Figure("mix at", formats.temperature(batch.plan().mixAt())));
        figures.add(
                new BenchPage.Figure("within", formats.difference(m.tolerance().kelvin()) + " of one another"));
        m.meeting()
                .filter(x -> x.probability() > POSSIBLE)
                .ifPresent(x -> figures.add(new BenchPage.Figure(
                        "best chance",
                        Formats.probability(x.best()) + " at "
                                + formats.clock(batch.log().begun().plusSeconds(Math.round(60 * x.bestMinute()))))));
        figures.add(new BenchPage.Figure("lye concentration", formats.percent(facts.concentration(), 1)));
        known(memories.lye(), MeasurementPoint.LYE)
                .ifPresent(w -> figures.add(new BenchPage.Figure("lye vessel cools", w)));
        known(memories.fats(), MeasurementPoint.FATS)
                .ifPresent(w -> figures.add(new BenchPage.Figure("pot of fats cools", w)));
        return figures;
    }

    private Optional<String> known(CoolingMemory memory, MeasurementPoint spot) {
        if (memory.batches() == 0) {
            return Optional.empty();
        }
        PotCooling expected = Matching.expected(facts, spot, maker.room());
        double against = memory.expect(expected).rate() / expected.rate();
        String times = memory.batches() == 1 ? "1 batch" : memory.batches() + " batches";
        return Optional.of(Formats.number(against, 2) + " \u00d7 usual, " + times);
    }

    private String degrees(double celsius) {
        return degreesOnly(celsius) + " " + formats.temperatureUnit();
    }

    private String degreesOnly(double celsius) {
        return Formats.number(formats.degrees(Temperature.celsius(celsius)), 0);
    }

    /** How the liquid goes in, for the head of the page. */
    static String method(Batch batch) {
        if (batch.plan().isRework()) {
            return "rebatch";
        }
        return AlkaliBalance.of(batch.plan().formula()).liquids().stream()
                .map(PotPages::liquid)
                .reduce((a, b) -> a + " + " + b)
                .orElse("");
    }

    private static String liquid(LiquidPortion p) {
        String when = WhenWords.ofLiquid(p.joins());
        return p.words() + (when.isEmpty() ? "" : " " + when);
    }
}
