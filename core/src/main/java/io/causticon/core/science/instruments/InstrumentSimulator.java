package io.causticon.core.science.instruments;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Bath;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.AsWeighed;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.facts.WeighingOrder;
import io.causticon.core.science.formula.BatterAmount;
import io.causticon.core.science.formula.SoapSolution;
import io.causticon.core.science.loaf.LoafHistory;
import io.causticon.core.science.making.Situation;
import io.causticon.core.science.making.TraceRung;
import io.causticon.core.science.pots.BathAdvice;
import io.causticon.core.science.pots.CoolingBody;
import io.causticon.core.science.pots.LyePotCurve;
import io.causticon.core.science.pots.PotCooling;
import io.causticon.core.science.pots.PotSoFar;
import io.causticon.core.science.pots.Pots;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * What instruments without fault would show on a batch: the truth that stand-ins for devices follow. It is made from
 * the same models that forecast, run on what was logged, and from a hand that pours onto a scale.
 *
 * @param plan the batch's
 * @param log the batch's
 * @param room of the room
 * @param since when the instrument was put there; a pot that was read before goes on from that reading
 * @param loaf the loaf as it was poured; empty before the pour and when its shape is not known
 */
public record InstrumentSimulator(
        BatchPlan plan, BatchLog log, Temperature room, Instant since, Supplier<Optional<LoafHistory>> loaf) {

    private static final Temperature FROZEN = Temperature.celsius(-17);
    private static final Temperature MELTED = Temperature.celsius(68);
    /** A pot on the bench loses a little more than the usual one, so that a forecast has something to learn. */
    private static final double LOSES_MORE = 1.15;

    private static final double POT_MINUTES = 240;
    /** What reacts on the way to trace warms the batter by a degree or two, against what the bowl loses. */
    private static final double BATTER_WARMS = 2;

    private static final double BATTER_MINUTES = 15;
    /** Within which the hand brings the scale to its target, and how it slows. */
    private static final double POURING_SECONDS = 4;
    /** Saponification of a loaf of unknown shape, h. */
    private static final double CONVERSION_HOURS = 4;

    /** What stands in its cap. */
    private static final double PEN_AT_REST = 7;

    private static final double ALL_CONVERTED = 0.9995;

    /** What a scale shows: what is being weighed, poured slower the nearer it is; nothing once all is weighed. */
    public Mass scale(Instant now) {
        WeighingOrder order = WeighingOrder.of(plan, log);
        Instant from = log.entries().stream()
                .filter(e -> e.entry() instanceof Entry.Weighed || e.entry() instanceof Entry.WeighedAgain)
                .map(e -> e.at())
                .filter(at -> at.isAfter(since))
                .reduce((a, b) -> b)
                .orElse(since);
        double poured = 1 - Math.exp(-Math.max(0, seconds(from, now)) / POURING_SECONDS);
        return order.onTheScale()
                .map(w -> order.targets().getOrDefault(w, Mass.ZERO).times(poured))
                .orElse(Mass.ZERO);
    }

    /** What a thermometer shows. */
    public Temperature thermometer(MeasurementPoint spot, Instant now) {
        return switch (spot) {
            case LYE -> lye(now);
            case FATS ->
                before(MeasurementPoint.FATS)
                        .map(t -> stood(MeasurementPoint.FATS, t.entry().temperature(), 1, t.at(), now))
                        .orElseGet(() -> stood(MeasurementPoint.FATS, MELTED, LOSES_MORE, since, now));
            case BATTER, CORE -> batter(now);
            default -> room;
        };
    }

    /**
     * pH that a pen shows in one gram of the batter, or of the bar, in ninety-nine of water; at rest in its cap before
     * there is any.
     */
    public double penPh(Instant now) {
        if (log.first(Entry.LyeIntoFats.class).isEmpty()) {
            return PEN_AT_REST;
        }
        AsWeighed weighed = AsWeighed.of(plan, log);
        return SoapSolution.ph(
                weighed.weights(),
                plan.formula().alkali(),
                BatterAmount.of(plan.formula()).mass().grams(),
                converted(now));
    }

    private double converted(Instant now) {
        Optional<Instant> poured = poured(now);
        if (poured.isEmpty()) {
            return TraceRung.LIGHT.converted() / 2;
        }
        double hours = seconds(poured.get(), now) / 3600;
        double converted = loaf.get()
                .map(l -> l.convertedShareAt(hours))
                .orElseGet(() -> 1 - (1 - TraceRung.LIGHT.converted()) * Math.exp(-hours / CONVERSION_HOURS));
        return Math.min(ALL_CONVERTED, converted);
    }

    private Temperature lye(Instant now) {
        Optional<Instant> clear = log.first(Entry.LyeClear.class).map(BatchLog.Timed::at);
        if (clear.filter(c -> c.isBefore(since)).isPresent()
                && before(MeasurementPoint.LYE).isPresent()) {
            BatchLog.Timed<Entry.TemperatureRead> last =
                    before(MeasurementPoint.LYE).get();
            return stood(MeasurementPoint.LYE, last.entry().temperature(), 1, last.at(), now);
        }
        PotSoFar pot = PotSoFar.of(plan, log, room, now);
        if (pot.fedFrom().isEmpty()) {
            return pot.holdsIce() ? FROZEN : room;
        }
        LyePotCurve curve = pot.curve(Math.min(POT_MINUTES, pot.minute(now) + 1));
        // Dissolved and strained, it leaves the bath and comes slowly to the room.
        Instant from = pot.fedFrom().get();
        return clear.map(c -> stood(
                        MeasurementPoint.LYE, Temperature.celsius(curve.celsiusAt(seconds(from, c) / 60)), 1, c, now))
                .orElseGet(() -> Temperature.celsius(curve.celsiusAt(pot.minute(now))));
    }

    private Temperature batter(Instant now) {
        Optional<Instant> poured = poured(now);
        if (poured.isPresent() && loaf.get().isPresent()) {
            return Temperature.celsius(loaf.get().get().coreCelsiusAt(seconds(poured.get(), now) / 3600));
        }
        Optional<Instant> in = log.first(Entry.LyeIntoFats.class).map(BatchLog.Timed::at);
        return in.map(i -> Situation.mixedAt(BatchFacts.of(plan, log, now))
                                .orElse(plan.mixAt())
                                .celsius()
                        + BATTER_WARMS * (1 - Math.exp(-seconds(i, now) / 60 / BATTER_MINUTES)))
                .map(Temperature::celsius)
                .orElse(room);
    }

    /** The last reading of a pot before the instrument was put there. */
    private Optional<BatchLog.Timed<Entry.TemperatureRead>> before(MeasurementPoint spot) {
        return log.of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == spot && t.at().isBefore(since))
                .reduce((a, b) -> b);
    }

    /**
     * Where a pot has come to that stood in the room, and in the baths that it was put into since.
     *
     * @param faster how much faster than expected it loses its heat to the room
     */
    private Temperature stood(MeasurementPoint spot, Temperature start, double faster, Instant from, Instant now) {
        Temperature at = start;
        Instant last = from;
        Bath in = Bath.ROOM;
        for (BatchLog.Timed<Entry.Bathed> bath : log.of(Entry.Bathed.class)
                .filter(b -> b.entry().pot() == spot && !b.at().isAfter(now))
                .toList()) {
            if (bath.at().isAfter(last)) {
                at = after(at, in, spot, faster, last, bath.at());
                last = bath.at();
            }
            in = bath.entry().into();
        }
        return after(at, in, spot, faster, last, now);
    }

    private Temperature after(
            Temperature start, Bath in, MeasurementPoint spot, double faster, Instant from, Instant to) {
        Weights weights = Weights.planned(plan.formula());
        PotCooling bathed = Pots.inBath(plan, weights, spot);
        PotCooling inRoom = Pots.inRoom(plan, weights, spot, room);
        CoolingBody body = switch (in) {
            case ROOM -> inRoom.with(faster * inRoom.rate(), inRoom.spread()).body(start, room);
            case ICE_BATH -> bathed.body(start, BathAdvice.ICE);
            case COLD_BATH -> bathed.body(start, BathAdvice.TAP);
            case WARM_BATH -> bathed.body(start, BathAdvice.WARM);
        };
        return body.after(seconds(from, to) / 60);
    }

    private Optional<Instant> poured(Instant now) {
        return log.first(Entry.Poured.class).map(BatchLog.Timed::at).filter(at -> !at.isAfter(now));
    }

    private static double seconds(Instant from, Instant to) {
        return Duration.between(from, to).toMillis() / 1000.0;
    }
}
