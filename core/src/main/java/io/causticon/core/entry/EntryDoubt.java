package io.causticon.core.entry;

import io.causticon.core.formula.BatchPlan;
import io.causticon.core.observation.AsWeighed;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.observation.BatchLog;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.MeasurementPoint;
import io.causticon.core.observation.Weighable;
import io.causticon.core.observation.WeighingOrder;
import io.causticon.core.observation.WeighingTolerance;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.wording.Phrase;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Something that can be, and that hardly ever is: asked about before it is taken. What cannot be at all is refused by
 * {@link io.causticon.core.observation.EntryCheck}.
 *
 * @param words what is odd about it
 * @param meant what it may have been meant to say; empty where nothing is near
 */
public record EntryDoubt(Phrase words, Optional<Entry> meant) {

    /** A fat that is this much off the plan is a slip of the finger or the wrong jar (a judgement). */
    /** There are as many scraps as there are; a tenth or ten times is a slip all the same. */
    private static final double SCRAP_OFF = 0.6;

    private static final double FAT_OFF = 0.4;

    /** Alkali is the one thing that must be right (a judgement). */
    private static final double ALKALI_OFF = 0.1;

    private static final double TEN = 10;

    /** Degrees Celsius in which nearly all readings lie (judgements). */
    private static final Map<MeasurementPoint, Interval> USUAL = Map.of(
            MeasurementPoint.LYE, Interval.between(-5, 110),
            MeasurementPoint.FATS, Interval.between(15, 85),
            MeasurementPoint.BATTER, Interval.between(16, 70),
            MeasurementPoint.CORE, Interval.between(8, 100),
            MeasurementPoint.ROOM, Interval.between(5, 38));

    /** Empty where nothing is odd. */
    public static Optional<EntryDoubt> of(Entry entry, BatchPlan plan, BatchLog log) {
        if (entry instanceof Entry.Weighed weighed) {
            return ofWeight(weighed, plan, log);
        }
        if (entry instanceof Entry.TemperatureRead read) {
            return ofTemperature(read, plan, log);
        }
        return Optional.empty();
    }

    /** What was begun may be added to in any amount; the first weight of it is what the plan has, or nearly. */
    private static Optional<EntryDoubt> ofWeight(Entry.Weighed weighed, BatchPlan plan, BatchLog log) {
        Weighable what = weighed.what();
        Mass planned = WeighingOrder.of(plan, log).targets().get(what);
        if (planned == null || !planned.isPositive() || !weighed.mass().isPositive() || AsWeighed.sums(log).containsKey(what)) {
            return Optional.empty();
        }
        double off = Math.abs(weighed.mass().dividedBy(planned) - 1);
        boolean alkali = what.kind() == Weighable.Kind.ALKALI;
        WeighingTolerance tolerance = new WeighingTolerance(plan.scales());
        boolean within = Math.abs(weighed.mass().minus(planned).grams()) <= 2 * tolerance.of(what, planned).grams();
        if (within || off <= (alkali ? ALKALI_OFF : what.kind() == Weighable.Kind.SCRAP ? SCRAP_OFF : FAT_OFF)) {
            return Optional.empty();
        }
        Optional<Entry> shifted = Stream.of(1 / TEN, TEN, 1 / TEN / TEN, TEN * TEN)
                .map(f -> weighed.mass().times(f))
                .filter(m -> Math.abs(m.dividedBy(planned) - 1) <= ALKALI_OFF)
                .findFirst()
                .map(m -> new Entry.Weighed(what, m, weighed.tare(), weighed.vessel()));
        return Optional.of(new EntryDoubt(
                Phrase.of("{} of {}: the plan has {}." + (shifted.isPresent() ? " Maybe a decimal point slipped." : ""),
                        weighed.mass(), new Names(plan, log.substances()).of(what), planned),
                shifted));
    }

    private static Optional<EntryDoubt> ofTemperature(Entry.TemperatureRead read, BatchPlan plan, BatchLog log) {
        Interval usual = USUAL.get(read.spot());
        double celsius = read.temperature().celsius();
        boolean cooking = BatchFacts.isCooked(plan, log);
        boolean cooked = cooking && read.spot() != MeasurementPoint.ROOM && celsius > usual.high();
        if (usual.contains(celsius) || cooked) {
            return Optional.empty();
        }
        // The same number in the other scale.
        Optional<Entry> other = Stream.of(Temperature.fahrenheit(celsius).celsius(), Temperature.celsius(celsius).inFahrenheit())
                .filter(usual::contains)
                .findFirst()
                .map(c -> new Entry.TemperatureRead(read.spot(), Temperature.celsius(c)));
        return Optional.of(new EntryDoubt(
                Phrase.of("{} is odd here" + (other.isPresent() ? ". Maybe it was read in the other scale." : "."), read.temperature()), other));
    }
}
