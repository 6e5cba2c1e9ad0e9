package io.causticon.core.workshop.preflight;

import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.science.formula.BatterAmount;
import io.causticon.core.science.formula.Composition;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.making.WorkingTime;
import io.causticon.core.science.pots.LyePeak;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** A plan with everything that the families of bites look at, worked out once; collects what they find. */
final class Flight {

    private static final Phrase NOTHING = Phrase.of("");

    final BatchPlan plan;
    final Formula formula;
    final AlkaliBalance balance;
    final Composition composition;
    final BatterAmount batter;
    final WorkingTime time;
    final LyePeak peak;
    final Optional<LoafEnsemble> loaf;
    final WorkshopFacts workshop;
    private final List<PlanRisk> bites = new ArrayList<>();

    Flight(BatchPlan plan, LyePeak peak, Optional<LoafEnsemble> loaf, WorkshopFacts workshop) {
        this.plan = plan;
        this.formula = plan.formula();
        this.balance = AlkaliBalance.of(formula);
        this.composition = Composition.of(formula.fats());
        this.batter = BatterAmount.of(formula);
        this.time = WorkingTime.forecast(plan, workshop.trace());
        this.peak = peak;
        this.loaf = loaf;
        this.workshop = workshop;
    }

    /** Dangerous ones first, each kind in the order in which the work meets them. */
    List<PlanRisk> bites() {
        List<PlanRisk> sorted =
                new ArrayList<>(bites.stream().filter(PlanRisk::dangerous).toList());
        bites.stream().filter(b -> !b.dangerous()).forEach(sorted::add);
        return List.copyOf(sorted);
    }

    void bite(Phrase title, Phrase reason, Phrase advice, PlanChange... changes) {
        bites.add(new PlanRisk(title, reason, advice, List.of(changes), false));
    }

    void bite(Phrase title, Phrase reason, PlanChange... changes) {
        bite(title, reason, NOTHING, changes);
    }

    void danger(Phrase title, Phrase reason, Phrase advice, PlanChange... changes) {
        bites.add(new PlanRisk(title, reason, advice, List.of(changes), true));
    }

    /** A change of the additives that match, one by one. */
    static PlanChange additives(String id, Phrase label, UnaryOperator<AdditivePortion> change) {
        return PlanChange.to(
                id,
                label,
                plan -> plan.with(plan.formula()
                        .withAdditives(
                                plan.formula().additives().stream().map(change).toList())));
    }

    static UnaryOperator<AdditivePortion> only(String id, UnaryOperator<AdditivePortion> change) {
        return a -> a.additive().id().equals(id) ? change.apply(a) : a;
    }
}
