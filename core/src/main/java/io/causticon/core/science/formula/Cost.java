package io.causticon.core.science.formula;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.quantity.Mass;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * What the ingredients of a batch cost.
 *
 * @param total in the workshop's money, to the hundredth, rounded half up once at the end
 * @param unpriced names of what has no price and is not in it; water and ice cost nothing
 */
public record Cost(BigDecimal total, List<String> unpriced) {

    /** Under which a price of sodium or potassium hydroxide is kept. */
    public static final String NAOH = "naoh";

    public static final String KOH = "koh";

    private static final int HUNDREDTHS = 2;
    private static final int EXACT = 12;
    private static final BigDecimal GRAMS_PER_KILOGRAM = BigDecimal.valueOf(1000);

    public Cost {
        unpriced = List.copyOf(unpriced);
    }

    /**
     * @param formula what is bought
     * @param perKilogram prices of a kilogram by the id of the substance
     */
    public static Cost of(Formula formula, Map<String, BigDecimal> perKilogram) {
        Bill bill = new Bill(perKilogram);
        AlkaliBalance balance = AlkaliBalance.of(formula);
        formula.fats().forEach(p -> bill.add(p.fat().id(), p.fat().name(), p.mass()));
        bill.add(NAOH, "sodium hydroxide", balance.naoh());
        bill.add(KOH, "potassium hydroxide", balance.koh());
        balance.liquids().stream()
                .filter(l -> l.liquid().water().fraction() < 1)
                .forEach(l -> bill.add(l.liquid().id(), l.liquid().name(), l.mass()));
        formula.additives()
                .forEach(a -> bill.add(a.additive().id(), a.additive().name(), a.mass()));
        return new Cost(bill.sum.setScale(HUNDREDTHS, RoundingMode.HALF_UP), bill.unpriced);
    }

    /** Cost of one of so many bars. */
    public BigDecimal perBar(int bars) {
        return total.divide(BigDecimal.valueOf(bars), HUNDREDTHS, RoundingMode.HALF_UP);
    }

    private static final class Bill {

        private final Map<String, BigDecimal> perKilogram;
        private final List<String> unpriced = new ArrayList<>();
        private BigDecimal sum = BigDecimal.ZERO;

        Bill(Map<String, BigDecimal> perKilogram) {
            this.perKilogram = perKilogram;
        }

        void add(String id, String name, Mass mass) {
            BigDecimal price = perKilogram.get(id);
            if (!mass.isPositive()) {
                return;
            }
            if (price == null) {
                unpriced.add(name);
                return;
            }
            sum = sum.add(price.multiply(BigDecimal.valueOf(mass.grams()))
                    .divide(GRAMS_PER_KILOGRAM, EXACT, RoundingMode.HALF_UP));
        }
    }
}
