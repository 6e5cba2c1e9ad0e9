package io.causticon.core.science.forecast;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Process;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.formula.BatterAmount;
import io.causticon.core.science.loaf.Batter;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafFit;
import io.causticon.core.science.loaf.LoafKnowledge;
import io.causticon.core.science.loaf.LoafSetup;
import io.causticon.core.science.loaf.Programme;
import io.causticon.core.science.making.TraceRung;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** The heat of the loaf to come, from a plan or from what was logged of its pouring. */
public final class LoafForecast {

    /** Long enough to cool. */
    private static final double HOURS = 36;

    /** Long enough for the peak and for gel, which is all that a plan asks for. */
    private static final double HOURS_TO_PEAK = 12;

    /** Of more readings, so many are looked at, spread over the time: neighbours tell the same. */
    private static final int READINGS = 12;

    private LoafForecast() {}

    /**
     * As planned. Empty without a mould, for one whose shape is not known, and for what is cooked before it comes into
     * a mould.
     */
    public static Optional<LoafEnsemble> planned(BatchPlan plan, Temperature room, LoafKnowledge known) {
        LoafSetup.Wrap wrap = switch (plan.gel()) {
            case FORCE -> LoafSetup.Wrap.INSULATED;
            case ALLOW -> LoafSetup.Wrap.COVERED;
            case PREVENT -> LoafSetup.Wrap.OPEN;
        };
        // Nothing is wrapped round a mould in an oven.
        LoafSetup.Wrap inOven =
                plan.process() == Process.OVEN && wrap == LoafSetup.Wrap.INSULATED ? LoafSetup.Wrap.COVERED : wrap;
        return setup(plan, batterMass(plan), inOven, plan.mixAt(), MouldStays.planned(plan, room))
                .map(l -> LoafEnsemble.toThePeak(l.expecting(known.of(plan.mould(), plan.formula())), HOURS_TO_PEAK));
    }

    /**
     * As poured: the logged temperatures, the way it was kept, and what was read in the middle since. Empty before the
     * pour.
     *
     * @param known of earlier batches, without this one
     */
    public static Optional<LoafEnsemble> poured(BatchFacts facts, Temperature usualRoom, LoafKnowledge known) {
        return expected(facts, usualRoom, known)
                .map(l -> LoafFit.of(l, read(facts)).orElse(l))
                .map(l -> LoafEnsemble.of(l, HOURS));
    }

    /** The same without what was read in the middle. */
    public static Optional<LoafEnsemble> atThePour(BatchFacts facts, Temperature usualRoom, LoafKnowledge known) {
        return expected(facts, usualRoom, known).map(l -> LoafEnsemble.of(l, HOURS));
    }

    private static Optional<LoafSetup> expected(BatchFacts facts, Temperature usualRoom, LoafKnowledge known) {
        return setup(facts, usualRoom)
                .map(l ->
                        l.expecting(known.of(facts.plan().mould(), facts.plan().formula())));
    }

    /** What the readings of a batch tell of its mould and its recipe; empty without enough of them. */
    public static Optional<LoafKnowledge.Told> told(BatchFacts facts, Temperature usualRoom) {
        Mould mould = facts.plan().mould();
        return setup(facts, usualRoom)
                .flatMap(l -> LoafFit.of(l, read(facts)))
                .map(fit -> LoafKnowledge.Told.of(mould, facts.plan().formula(), fit.expected()));
    }

    /** In the middle, since the pour and as long as it is warm. */
    private static List<LoafFit.Reading> read(BatchFacts facts) {
        Instant poured = facts.poured().orElse(Instant.MAX);
        List<LoafFit.Reading> all = facts.readings(MeasurementPoint.CORE).stream()
                .filter(t -> t.at().isAfter(poured))
                .map(t -> new LoafFit.Reading(
                        Duration.between(poured, t.at()).toSeconds() / 3600.0,
                        t.entry().temperature().celsius()))
                .filter(r -> r.hours() <= HOURS)
                .toList();
        int every = (all.size() + READINGS - 1) / READINGS;
        return IntStream.range(0, all.size())
                .filter(i -> every < 2 || i % every == 0 || i == all.size() - 1)
                .mapToObj(all::get)
                .toList();
    }

    private static Optional<LoafSetup> setup(BatchFacts facts, Temperature usualRoom) {
        return facts.isCooked() ? Optional.empty() : facts.poured().flatMap(at -> setup(facts, at, usualRoom));
    }

    private static Optional<LoafSetup> setup(BatchFacts facts, Instant at, Temperature usualRoom) {
        LoafSetup.Wrap wrap = facts.was(MouldCare.INSULATED)
                ? LoafSetup.Wrap.INSULATED
                : facts.was(MouldCare.COVERED) ? LoafSetup.Wrap.COVERED : LoafSetup.Wrap.OPEN;
        Temperature room = facts.roomAtTheSet().orElse(usualRoom);
        Temperature poured = facts.pouredAt().orElse(facts.plan().mixAt());
        return setup(facts.plan(), batterMass(facts.plan()), wrap, poured, MouldStays.logged(facts, at, room))
                .map(l -> facts.stageWhenPoured()
                        .map(s -> l.pouredAt(converted(s)))
                        .orElse(l));
    }

    /**
     * If it were poured now.
     *
     * @param batter its temperature
     * @param covered with film or a lid, else open
     * @param known of earlier batches
     */
    public static Optional<LoafEnsemble> asIf(
            BatchPlan plan, Temperature batter, Temperature room, boolean covered, LoafKnowledge known) {
        LoafSetup.Wrap wrap = covered ? LoafSetup.Wrap.COVERED : LoafSetup.Wrap.OPEN;
        return setup(plan, batterMass(plan), wrap, batter, Programme.at(room))
                .map(l -> LoafEnsemble.toThePeak(l.expecting(known.of(plan.mould(), plan.formula())), HOURS_TO_PEAK));
    }

    /** Everything that goes into the mould. */
    public static Mass batterMass(BatchPlan plan) {
        return BatterAmount.of(plan.formula()).mass();
    }

    /** Share of the fats that has reacted: of a rung, or of the one that looks most like what went wrong. */
    private static double converted(Stage stage) {
        return switch (stage) {
            case STREAKS, SEPARATED, FALSE_TRACE -> TraceRung.EMULSION.converted();
            case RICED, CURDLED -> TraceRung.MASH.converted();
            case FROTHY -> TraceRung.LIGHT.converted();
            case EMULSION, THIN, LIGHT, MEDIUM, THICK, MASH ->
                TraceRung.of(stage).orElseThrow().converted();
        };
    }

    private static Optional<LoafSetup> setup(
            BatchPlan plan, Mass batter, LoafSetup.Wrap wrap, Temperature poured, Programme around) {
        Mould mould = plan.mould();
        if (mould == null || mould.kind() == MouldKind.CUSTOM || plan.process() == Process.HOT) {
            return Optional.empty();
        }
        return Optional.of(LoafSetup.in(
                mould,
                mould.fillHeight(batter, BatterAmount.of(plan.formula()).density()),
                Batter.of(plan.formula()),
                wrap,
                poured,
                around));
    }
}
