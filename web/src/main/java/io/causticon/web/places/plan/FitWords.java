package io.causticon.web.places.plan;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.science.cure.Schedule;
import io.causticon.core.science.fit.Proposal;
import io.causticon.core.science.formula.Composition;
import io.causticon.core.science.formula.OxidationIndex;
import io.causticon.core.science.making.TraceKnowledge;
import io.causticon.core.science.making.WorkingTime;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.account.Maker;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * A proposal in words.
 *
 * @param moves which shares change and what each change buys
 * @param effects what the bar was and what it becomes
 * @param unmet what cannot be reached within the limits
 */
record FitWords(List<Move> moves, List<Effect> effects, String unmet) {

    /** One share that changes. */
    record Move(String fat, String from, String to, String buys) {}

    /** One thing that changes. */
    record Effect(String what, String before, String after) {}

    private static final double NOTABLE = 0.05;

    static FitWords of(
            BatchPlan before, Proposal proposal, Map<String, BigDecimal> prices, TraceKnowledge trace, Maker maker) {
        BatchPlan after = before.with(proposal.formula());
        List<Effect> effects = new ArrayList<>();
        effects.add(new Effect("light trace", minutes(before, trace), minutes(after, trace)));
        effects.add(new Effect("unmould after", hours(before), hours(after)));
        effects.add(new Effect("short saturated", family(before), family(after)));
        effects.add(new Effect("linoleic and linolenic", stale(before), stale(after)));
        if (!prices.isEmpty()) {
            effects.add(new Effect(
                    maker.currency() + " a kg of fats",
                    Composer.perKilogram(before.formula().fats(), prices).toString(),
                    Composer.perKilogram(after.formula().fats(), prices).toString()));
        }
        return new FitWords(
                proposal.moves().stream().map(FitWords::move).toList(), effects, String.join(", ", proposal.unmet()));
    }

    private static Move move(Proposal.Move m) {
        String buys = m.buys().stream()
                .filter(b -> Math.abs(b.part()) >= NOTABLE)
                .map(b -> Formats.signed(100 * b.part(), 0) + " % of " + b.aim())
                .collect(Collectors.joining(", "));
        return new Move(
                m.fat().name(),
                Formats.number(m.from().inPercent(), 1),
                Formats.number(m.to().inPercent(), 1) + " %",
                buys.isEmpty() ? "keeps the bar like itself" : buys);
    }

    private static String minutes(BatchPlan plan, TraceKnowledge trace) {
        return Formats.number(WorkingTime.forecast(plan, trace).minutes(), 0) + " min";
    }

    private static String hours(BatchPlan plan) {
        return Schedule.of(plan).unmould().toHours() + " h";
    }

    private static String family(BatchPlan plan) {
        return Formats.number(
                        Composition.of(plan.formula().fats())
                                .of(Family.SHORT_SATURATED)
                                .inPercent(),
                        0) + " %";
    }

    private static String stale(BatchPlan plan) {
        OxidationIndex s = OxidationIndex.of(plan.formula());
        return Formats.number(s.linoleic().inPercent() + s.linolenic().inPercent(), 0) + " %";
    }
}
