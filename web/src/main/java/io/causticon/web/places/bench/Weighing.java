package io.causticon.web.places.bench;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.facts.AsWeighed;
import io.causticon.core.science.facts.SwappedFats;
import io.causticon.core.science.facts.WeighOutAdvice;
import io.causticon.core.science.facts.WeighingOrder;
import io.causticon.core.science.facts.WeighingTolerance;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.batch.Batch;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** What is to be weighed, what was, and what that makes of the superfat. */
final class Weighing {

    private final Batch batch;
    private final Formats formats;
    private final WeighingOrder order;
    private final Map<Weighable, Mass> targets;
    private final Map<Weighable, Mass> logged;
    private final KnownVessels vessels;
    private final WeighingTolerance tolerance;

    Weighing(Batch batch, Formats formats, KnownVessels vessels) {
        this.vessels = vessels;
        this.batch = batch;
        this.tolerance = new WeighingTolerance(batch.plan().scales());
        this.formats = formats;
        this.logged = AsWeighed.sums(batch.log());
        this.order = WeighingOrder.of(batch.plan(), batch.log());
        this.targets = order.targets();
    }

    BenchPage.Weigh page() {
        List<BenchPage.Item> items = new ArrayList<>();
        targets.forEach((what, target) -> items.add(item(what, target)));
        AsWeighed weighed = AsWeighed.of(batch.plan(), batch.log());
        double excess = weighed.superfat().probabilityBelow(0);
        return new BenchPage.Weigh(
                order.isForTheSecondTime()
                        ? null
                        : order.next().map(w -> item(w, targets.get(w))).orElse(null),
                order.again().map(w -> item(w, targets.get(w))).orElse(null),
                items,
                WeighOutAdvice.of(batch.plan(), batch.log(), vessels).stream()
                        .map(this::words)
                        .toList(),
                weighed.isComplete(),
                Formats.percent(weighed.superfat()),
                Formats.probability(excess),
                excess >= Superfat.ALARMING_EXCESS.fraction(),
                formats.massUnit());
    }

    /** What must be said aloud while it can still be mended. */
    List<BenchPage.Warning> warnings() {
        List<BenchPage.Warning> warnings = new ArrayList<>();
        AsWeighed weighed = AsWeighed.of(batch.plan(), batch.log());
        swap(weighed, warnings);
        twice(warnings);
        double excess = weighed.superfat().probabilityBelow(0);
        if (!logged.isEmpty() && excess >= Superfat.ALARMING_EXCESS.fraction()) {
            warnings.add(new BenchPage.Warning(
                    "These weights leave excess alkali: " + Formats.probability(excess),
                    (weighed.isComplete() ? "Superfat as weighed " : "Superfat, if the rest goes in as planned, ")
                            + Formats.number(100 * weighed.superfat().value(), 1)
                            + " %. Stop before the lye goes in: weigh again, or add the fat that is missing.",
                    true));
        }
        return warnings;
    }

    private void twice(List<BenchPage.Warning> warnings) {
        batch.log().of(Entry.WeighedAgain.class).forEach(e -> {
            Mass first = logged.getOrDefault(e.entry().what(), Mass.ZERO);
            if (tolerance.isOff(e.entry().what(), first, e.entry().mass())) {
                warnings.add(new BenchPage.Warning(
                        batch.names().of(e.entry().what()) + ": the two weighings differ by "
                                + formats.mass(Mass.grams(
                                        Math.abs(first.minus(e.entry().mass()).grams()))),
                        formats.mass(first) + " first, "
                                + formats.mass(e.entry().mass())
                                + " the second time. Tare, put it on once more, and amend the line that was wrong.",
                        true));
            }
        });
    }

    private BenchPage.Advice words(WeighOutAdvice a) {
        List<String> ways = new ArrayList<>();
        if (a.ounces()) {
            ways.add("The number would fit in ounces: was the scale set to them?");
        }
        a.vesselMissing()
                .ifPresent(m -> ways.add("The difference is what the " + a.vessel() + " weighs, " + formats.mass(m)
                        + ": was the tare taken?"));
        ways.add("Leave it: " + left(a) + ".");
        boolean more = a.weighed().isMoreThan(a.planned());
        if (!more) {
            ways.add("Or add " + formats.mass(a.planned().minus(a.weighed())) + ": tare, weigh what is added, tap.");
        }
        a.factor().ifPresent(f -> ways.add("Or scale the rest: " + rest(f) + "."));
        String missing = more ? "" : formats.massInput(a.planned().minus(a.weighed()));
        return new BenchPage.Advice(
                batch.names().of(a.what()) + " is "
                        + formats.mass(Mass.grams(
                                Math.abs(a.weighed().minus(a.planned()).grams()))) + (more ? " over" : " under"),
                ways,
                a.what().kind().name(),
                a.what().id(),
                missing,
                a.factor()
                        .map(f -> "scale the rest by " + String.format(Locale.ROOT, "%.6f", f))
                        .orElse(""));
    }

    /** What it means to go on with it as it is. */
    private String left(WeighOutAdvice a) {
        return switch (a.what().kind()) {
            case FAT, ALKALI ->
                "superfat " + Formats.percent(a.accepted()) + ", excess alkali "
                        + Formats.probability(a.accepted().probabilityBelow(0));
            // Nothing is advised of scraps: they are weighed as they are there.
            case SCRAP -> "";
            case LIQUID ->
                "the lye is " + Formats.number(100 * a.concentration().fraction(), 1) + " % instead of "
                        + Formats.number(
                                100
                                        * AlkaliBalance.of(batch.plan().formula())
                                                .concentration()
                                                .fraction(),
                                1)
                        + (a.weighed().isMoreThan(a.planned())
                                ? " %, slower and longer to dry"
                                : " %, quicker and hotter");
            case ADDITIVE ->
                Formats.number(
                                100
                                        * a.weighed()
                                                .dividedBy(
                                                        batch.plan().formula().fatMass()),
                                1) + " % of the fats instead of "
                        + Formats.number(
                                100
                                        * a.planned()
                                                .dividedBy(
                                                        batch.plan().formula().fatMass()),
                                1)
                        + " %; look at the supplier's limit";
        };
    }

    /** What everything else has to come to, if the whole recipe grows by a factor. */
    private String rest(double factor) {
        return targets.entrySet().stream()
                .filter(t -> t.getKey().kind() != Weighable.Kind.ADDITIVE)
                .map(t -> batch.names().of(t.getKey()) + " "
                        + formats.mass(t.getValue().times(factor)))
                .reduce((x, y) -> x + ", " + y)
                .orElse("");
    }

    private void swap(AsWeighed weighed, List<BenchPage.Warning> warnings) {
        SwappedFats.in(Weights.planned(batch.plan().formula()), weighed.weights())
                .ifPresent(s -> warnings.add(new BenchPage.Warning(
                        s.first().fat().shortName() + " and " + s.second().fat().shortName() + " look swapped",
                        "Each was logged with about the other's mass. Together they still come to "
                                + formats.mass(s.gotFirst().plus(s.gotSecond()))
                                + ", so the total cannot show it. The lye was reckoned for the plan.",
                        true)));
    }

    private BenchPage.Item item(Weighable what, Mass target) {
        Mass got = logged.get(what);
        String difference = "";
        String state = "open";
        if (got != null) {
            Mass off = got.minus(target);
            boolean close = !tolerance.isOff(what, target, got);
            state = close ? "done" : "off";
            difference = close ? "" : (off.grams() > 0 ? "+" : "") + formats.mass(off);
        }
        return new BenchPage.Item(
                what.kind().name(),
                what.id(),
                batch.names().of(what),
                EntryWords.mark(what),
                formats.mass(target),
                formats.massNumber(target),
                formats.massInput(tolerance.of(what, target)),
                got == null ? "" : formats.mass(got),
                difference,
                state);
    }
}
