package io.causticon.core.workshop.assessment;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.DoubtKind;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.said.entry.Names;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.AsWeighed;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.facts.WeighingOrder;
import io.causticon.core.science.facts.WeighingTolerance;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** What is odd about something that was weighed, added or read. */
final class WeighingDoubts {

    /** There are as many scraps as there are; a tenth or ten times is a slip all the same. */
    private static final double SCRAP_OFF = 0.6;

    /** A fat that is this much off the plan is a slip of the finger or the wrong jar (a judgement). */
    private static final double FAT_OFF = 0.4;

    /** Alkali is the one thing that must be right (a judgement). */
    private static final double ALKALI_OFF = 0.1;

    /** Where all of it is in and this share more comes, it may have been told twice (a judgement). */
    private static final double MORE = 0.1;

    private static final double NEARLY_ALL = 0.97;
    private static final double TEN = 10;

    /** Degrees Celsius in which nearly all readings lie (judgements). */
    private static final Map<MeasurementPoint, Interval> USUAL = Map.of(
            MeasurementPoint.LYE, Interval.between(-5, 110),
            MeasurementPoint.FATS, Interval.between(15, 85),
            MeasurementPoint.BATTER, Interval.between(16, 70),
            MeasurementPoint.CORE, Interval.between(8, 100),
            MeasurementPoint.ROOM, Interval.between(5, 38));

    private final BatchPlan plan;
    private final BatchLog log;

    WeighingDoubts(BatchPlan plan, BatchLog log) {
        this.plan = plan;
        this.log = log;
    }

    Optional<Doubt> of(Entry.Weighed weighed) {
        Weighable what = weighed.what();
        Mass planned = WeighingOrder.of(plan, log).targets().get(what);
        if (!weighed.mass().isPositive()) {
            return Optional.empty();
        }
        if (planned == null || !planned.isPositive()) {
            return Optional.of(new Doubt(
                    DoubtKind.NOT_IN_PLAN,
                    Phrase.of(
                            "{} of {}: the plan has none of it. It counts in the superfat all the same.",
                            weighed.mass(),
                            name(what))));
        }
        Mass before = AsWeighed.sums(log).get(what);
        return before == null ? first(weighed, planned) : again(weighed, before, planned);
    }

    /** What was begun may be added to until all of it is in. */
    private Optional<Doubt> again(Entry.Weighed weighed, Mass before, Mass planned) {
        boolean wasAll = before.dividedBy(planned) >= NEARLY_ALL;
        boolean more = weighed.mass().dividedBy(planned) > MORE
                || before.plus(weighed.mass()).dividedBy(planned) > 1 + FAT_OFF;
        if (!(wasAll && more)) {
            return Optional.empty();
        }
        return Optional.of(new Doubt(
                DoubtKind.TWICE,
                Phrase.of(
                        "{} of {} more: {} are in by the log, and the plan has {}. Weighed a second time to compare is"
                                + " \u201cagain\u201d.",
                        weighed.mass(),
                        name(weighed.what()),
                        before,
                        planned),
                List.of(new Entry.WeighedAgain(weighed.what(), weighed.mass()))));
    }

    private Optional<Doubt> first(Entry.Weighed weighed, Mass planned) {
        Weighable what = weighed.what();
        double off = Math.abs(weighed.mass().dividedBy(planned) - 1);
        boolean alkali = what.kind() == Weighable.Kind.ALKALI;
        WeighingTolerance tolerance = new WeighingTolerance(plan.scales());
        boolean within = Math.abs(weighed.mass().minus(planned).grams())
                <= 2 * tolerance.of(what, planned).grams();
        if (within || off <= (alkali ? ALKALI_OFF : what.kind() == Weighable.Kind.SCRAP ? SCRAP_OFF : FAT_OFF)) {
            return Optional.empty();
        }
        List<Entry> shifted = Stream.of(1 / TEN, TEN, 1 / TEN / TEN, TEN * TEN)
                .map(f -> weighed.mass().times(f))
                .filter(m -> Math.abs(m.dividedBy(planned) - 1) <= ALKALI_OFF)
                .limit(1)
                .map(m -> (Entry) new Entry.Weighed(what, m, weighed.tare(), weighed.vessel()))
                .toList();
        return Optional.of(new Doubt(
                DoubtKind.FAR_FROM_PLAN,
                Phrase.of(
                        "{} of {}: the plan has {}." + (shifted.isEmpty() ? "" : " Maybe a decimal point slipped."),
                        weighed.mass(),
                        name(what),
                        planned),
                shifted));
    }

    /** The same thing of the same mass into the same part: it may be told twice. */
    Optional<Doubt> of(Entry.Added added) {
        boolean twice = added.mass() != null
                && log.of(Entry.Added.class)
                        .anyMatch(a -> a.entry().what().isCalled(added.what().name())
                                && added.mass().equals(a.entry().mass())
                                && String.valueOf(added.portion())
                                        .equals(String.valueOf(a.entry().portion())));
        return twice
                ? Optional.of(new Doubt(
                        DoubtKind.TWICE,
                        Phrase.of(
                                "{} of {} is logged already. Did it go in a second time?",
                                added.mass(),
                                added.what().name())))
                : Optional.empty();
    }

    Optional<Doubt> of(Entry.TemperatureRead read) {
        Interval usual = USUAL.get(read.spot());
        double celsius = read.temperature().celsius();
        if (usual.contains(celsius)) {
            return Optional.empty();
        }
        if (read.spot() != MeasurementPoint.ROOM && celsius > usual.high() && BatchFacts.isCooked(plan, log)) {
            return Optional.empty();
        }
        // The same number in the other scale.
        List<Entry> other = Stream.of(
                        Temperature.fahrenheit(celsius).celsius(),
                        Temperature.celsius(celsius).inFahrenheit())
                .filter(usual::contains)
                .limit(1)
                .map(c -> (Entry) new Entry.TemperatureRead(read.spot(), Temperature.celsius(c)))
                .toList();
        return Optional.of(new Doubt(
                DoubtKind.ODD_TEMPERATURE,
                Phrase.of(
                        "{} is odd here" + (other.isEmpty() ? "." : ". Maybe it was read in the other scale."),
                        read.temperature()),
                other));
    }

    /** Fats of the plan that were never weighed while others were, each with its mass; none where nobody weighs. */
    List<Phrase> fatsLeftOut() {
        Map<Weighable, Mass> weighed = AsWeighed.sums(log);
        if (plan.isRework() || weighed.keySet().stream().noneMatch(w -> w.kind() == Weighable.Kind.FAT)) {
            return List.of();
        }
        return plan.formula().fats().stream()
                .filter(f -> !f.afterCook()
                        && !weighed.containsKey(Weighable.fat(f.fat().id())))
                .map(f -> Phrase.of("{} {}", f.fat().name(), f.mass()))
                .toList();
    }

    private String name(Weighable what) {
        return new Names(plan, log.substances()).of(what);
    }
}
