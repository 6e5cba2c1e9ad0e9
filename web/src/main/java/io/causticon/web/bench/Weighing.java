package io.causticon.web.bench;

import io.causticon.core.formula.Weights;
import io.causticon.core.observation.AsWeighed;
import io.causticon.core.observation.SwappedFats;
import io.causticon.core.observation.Weighable;
import io.causticon.core.quantity.Mass;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.EntryWords;
import io.causticon.web.shared.Formats;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What is to be weighed, what was, and what that makes of the superfat. */
final class Weighing {

    private static final double CLOSE = 0.005;
    private static final double ALARMING = 0.02;

    private final Batch batch;
    private final Formats formats;
    private final Map<Weighable, Mass> targets = new LinkedHashMap<>();
    private final Map<Weighable, Mass> logged;

    Weighing(Batch batch, Formats formats) {
        this.batch = batch;
        this.formats = formats;
        this.logged = AsWeighed.sums(batch.log());
        Weights planned = Weights.planned(batch.plan().formula());
        planned.fats().forEach(f -> targets.put(Weighable.fat(f.fat().id()), f.mass()));
        planned.liquids().forEach(l -> targets.merge(Weighable.liquid(l.liquid().id()), l.mass(), Mass::plus));
        if (planned.naoh().isPositive()) {
            targets.put(Weighable.NAOH, planned.naoh());
        }
        if (planned.koh().isPositive()) {
            targets.put(Weighable.KOH, planned.koh());
        }
        planned.additives().forEach(a -> targets.put(Weighable.additive(a.additive().id()), a.mass()));
    }

    BenchPage.Weigh page() {
        List<BenchPage.Item> items = new ArrayList<>();
        targets.forEach((what, target) -> items.add(item(what, target)));
        AsWeighed weighed = AsWeighed.of(batch.plan(), batch.log());
        double excess = weighed.superfat().probabilityBelow(0);
        return new BenchPage.Weigh(
                items.stream().filter(i -> i.state().equals("open")).findFirst().orElse(null),
                items,
                Formats.number(100 * weighed.superfat().value(), 1) + " \u00b1 "
                        + Formats.number(100 * weighed.superfat().halfWidth95(), 1) + " %",
                Formats.probability(excess),
                excess >= ALARMING,
                formats.massUnit());
    }

    /** What must be said aloud while it can still be mended. */
    List<BenchPage.Warning> warnings() {
        List<BenchPage.Warning> warnings = new ArrayList<>();
        AsWeighed weighed = AsWeighed.of(batch.plan(), batch.log());
        swap(weighed, warnings);
        double excess = weighed.superfat().probabilityBelow(0);
        if (!logged.isEmpty() && excess >= ALARMING) {
            warnings.add(new BenchPage.Warning(
                    "These weights leave excess alkali: " + Formats.probability(excess),
                    "Superfat as weighed " + Formats.number(100 * weighed.superfat().value(), 1)
                            + " %. Stop before the lye goes in: weigh again, or add the fat that is missing.",
                    true));
        }
        return warnings;
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
            boolean close = Math.abs(off.grams()) <= Math.max(CLOSE * target.grams(), 0.6);
            state = close ? "done" : "off";
            difference = close ? "" : (off.grams() > 0 ? "+" : "") + formats.mass(off);
        }
        return new BenchPage.Item(
                what.kind().name(),
                what.id(),
                EntryWords.name(what),
                EntryWords.mark(what),
                formats.mass(target),
                formats.massNumber(target),
                got == null ? "" : formats.mass(got),
                difference,
                state);
    }
}
