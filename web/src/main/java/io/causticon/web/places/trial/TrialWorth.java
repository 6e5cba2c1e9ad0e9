package io.causticon.web.places.trial;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.formula.BatterAmount;
import io.causticon.core.science.formula.Cost;
import io.causticon.core.science.formula.FormulaCheck;
import io.causticon.core.science.trial.Effect;
import io.causticon.core.science.trial.Worth;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What arms cost beside what they gave, in a sentence each. */
final class TrialWorth {

    private static final Mass BAR = Mass.grams(100);

    private final Map<String, BigDecimal> prices;
    private final String currency;

    /** @param prices of a kilogram by the id of the substance */
    TrialWorth(Map<String, BigDecimal> prices, String currency) {
        this.prices = prices;
        this.currency = currency;
    }

    /** In the order of the arms, without the control. */
    List<TrialPage.WorthWords> words(List<ArmStanding> standing, List<Effect> effects) {
        List<TrialPage.WorthWords> all = new ArrayList<>();
        Optional<BatchPlan> control = standing.get(0).plan();
        for (int i = 1; i < standing.size(); i++) {
            Optional<BatchPlan> plan = standing.get(i).plan();
            String name = standing.get(i).arm().name();
            if (control.isPresent() && plan.isPresent() && isSound(control.get()) && isSound(plan.get())) {
                BigDecimal dearer = dearer(control.get().formula(), plan.get().formula());
                int more = Math.max(
                        0, things(plan.get().formula()) - things(control.get().formula()));
                all.add(new TrialPage.WorthWords(
                        words(
                                Worth.of(name, effects, dearer, more),
                                unpriced(control.get().formula(), plan.get().formula())),
                        i,
                        name,
                        !standing.get(i).isOut()));
            }
        }
        return all;
    }

    private static boolean isSound(BatchPlan plan) {
        return !plan.isRework() && FormulaCheck.of(plan.formula()).isEmpty();
    }

    private static int things(Formula formula) {
        return formula.fats().size()
                + AlkaliBalance.of(formula).liquids().size()
                + formula.additives().size();
    }

    /** What has no price and is in only one of the two. */
    private List<String> unpriced(Formula control, Formula other) {
        List<String> both = Cost.of(control, prices).unpriced();
        List<String> own = Cost.of(other, prices).unpriced();
        return Stream.concat(
                        own.stream().filter(u -> !both.contains(u)),
                        both.stream().filter(u -> !own.contains(u)))
                .distinct()
                .toList();
    }

    /**
     * A bar of 100 g more than one of the control; null where something that only one of them has is without a price.
     */
    private @Nullable BigDecimal dearer(Formula control, Formula other) {
        Cost one = Cost.of(control, prices);
        Cost two = Cost.of(other, prices);
        return one.unpriced().equals(two.unpriced())
                ? aBar(two, other).subtract(aBar(one, control)).setScale(2, RoundingMode.HALF_UP)
                : null;
    }

    private static BigDecimal aBar(Cost cost, Formula formula) {
        return cost.total()
                .multiply(BigDecimal.valueOf(
                        BAR.dividedBy(BatterAmount.of(formula).mass())));
    }

    private String words(Worth worth, List<String> unpriced) {
        BigDecimal dearer = worth.dearerABar();
        String price = dearer == null
                ? "no price of " + String.join(", ", unpriced) + " on the Shelf"
                : dearer.signum() == 0
                        ? "costs the same"
                        : currency + " " + dearer.abs().toPlainString() + " a bar of 100 g "
                                + (dearer.signum() > 0 ? "dearer" : "cheaper");
        String effort = worth.moreToWeigh() == 0
                ? ""
                : worth.moreToWeigh() == 1
                        ? ", one thing more to weigh"
                        : ", " + worth.moreToWeigh() + " things more to weigh";
        return price + effort + ". "
                + switch (worth.kind()) {
                    case NOT_JUDGED -> "Nobody judged it beside the control.";
                    case NOTHING_FOUND -> "Hands found nothing for it so far.";
                    case CHEAPER_AND_ALIKE -> "Hands found nothing against it so far, either.";
                    case FOUND ->
                        worth.strongest()
                                .map(e -> "For that, " + TrialResults.told(e) + " at " + e.age() + ".")
                                .orElse("");
                };
    }
}
