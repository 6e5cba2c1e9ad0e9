package io.causticon.web.places.plan;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring.SizedBy;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.fit.Fitter;
import io.causticon.core.science.fit.Goals;
import io.causticon.core.science.fit.Proposal;
import io.causticon.core.science.fit.Wish;
import io.causticon.core.science.formula.Portions;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.shelf.Pantry;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * Changes of a form that the maker asks for with one button: another size, shares that make a whole, a fit to what she
 * wants.
 */
final class Composer {

    /** Fats that may join when nothing at hand will do: common ones of every family. */
    private static final List<String> COMMON = List.of(
            "olive-oil",
            "sunflower-oil-high-oleic",
            "rice-bran-oil",
            "coconut-oil-76",
            "babassu-oil",
            "shea-butter",
            "cocoa-butter",
            "lard",
            "tallow-beef",
            "palm-oil",
            "castor-oil",
            "canola-oil-high-oleic");

    private static final Map<String, Wish> WISHES = Map.of(
            "slow",
            Wish.SLOW_BATTER,
            "firm",
            Wish.FIRM_IN_A_DAY,
            "mild",
            Wish.MILD,
            "keeps",
            Wish.KEEPS,
            "noAnimal",
            Wish.NO_ANIMAL,
            "noPalm",
            Wish.NO_PALM);

    private static final double LARGEST_FACTOR = 1000;

    private static final String WATER = "distilled-water";

    private Composer() {}

    /** Scales to a mass of fats, or by a factor such as {@code 1.5x}. */
    static PlanForm scaled(PlanForm form, BatchPlan plan, Maker maker) {
        String typed = form.get("scaleTo").trim().toLowerCase(Locale.ROOT);
        Mass now = plan.formula().fatMass();
        Mass wanted;
        if (typed.matches(".*[x\u00d7]$")) {
            double factor = NumberNotation.read("scaleTo", typed.substring(0, typed.length() - 1));
            if (factor > LARGEST_FACTOR) {
                throw ProblemsException.of("scaleTo", ProblemKey.TOO_HIGH, "A factor", factor, LARGEST_FACTOR);
            }
            wanted = now.times(factor);
        } else {
            wanted = MassNotation.read("scaleTo", typed, maker.units());
        }
        if (!wanted.isPositive()) {
            throw ProblemsException.of("scaleTo", ProblemKey.TOO_LOW, "A mass", wanted, Mass.ZERO);
        }
        PlanForm fresh = PlanForm.of(plan.with(plan.formula().scaledTo(wanted)), maker.formats())
                .keepingWishesOf(form);
        boolean follows =
                plan.pouring().sizedBy() == SizedBy.MOULD || plan.pouring().sizedBy() == SizedBy.CUPS;
        return follows ? fresh.with("sizedBy", SizedBy.TOTAL.name()) : fresh;
    }

    /** The same recipe, told by masses, by shares of a total, or by shares of what the mould takes. */
    static PlanForm sizedBy(PlanForm form, BatchPlan plan, SizedBy by, Maker maker) {
        PlanForm masses = PlanForm.of(plan, maker.formats()).keepingWishesOf(form);
        Formula f = plan.formula();
        List<PlanForm.FatRow> rows = new ArrayList<>();
        for (int i = 0; i < f.fats().size(); i++) {
            FatPortion p = f.fats().get(i);
            String amount = by == SizedBy.WEIGHTS
                    ? MassNotation.write(p.mass(), maker.units())
                    : NumberNotation.write(100 * p.mass().dividedBy(f.fatMass()), 3);
            rows.add(masses.fats().get(i).of(amount));
        }
        return masses.withFats(rows).with("sizedBy", by.name());
    }

    /**
     * Puts a row before the one above it. Layers change places and not edges: what is swapped is what they are made of,
     * and the lines on the end face stay where they were drawn.
     *
     * @param list fat, liquid, additive or part
     * @return the form as it is if there is no such row
     */
    static PlanForm up(PlanForm form, String list, int row) {
        return switch (list) {
            case "fat" -> form.withFats(swapped(form.fats(), row));
            case "liquid" -> form.withLiquids(swapped(form.liquids(), row));
            case "additive" -> form.withAdditives(swapped(form.additives(), row));
            case "part" ->
                form.withPortions(
                        form.get("portionWay").equals(Portioning.Way.LAYERS.name())
                                ? withAmountsOf(form.portions(), swapped(form.portions(), row))
                                : swapped(form.portions(), row));
            default -> form;
        };
    }

    private static <T> List<T> swapped(List<T> rows, int row) {
        if (row < 1 || row >= rows.size()) {
            return rows;
        }
        List<T> changed = new ArrayList<>(rows);
        Collections.swap(changed, row - 1, row);
        return changed;
    }

    private static List<PlanForm.PortionRow> withAmountsOf(
            List<PlanForm.PortionRow> edges, List<PlanForm.PortionRow> rows) {
        return IntStream.range(0, rows.size())
                .mapToObj(i -> rows.get(i).withAmount(edges.get(i).amount()))
                .toList();
    }

    /** Brings the shares that are not locked to a whole, in proportion; equal ones where none has a share yet. */
    static PlanForm evened(PlanForm form) {
        double locked = 0;
        double free = 0;
        int open = 0;
        for (PlanForm.FatRow row : form.fats()) {
            if (!row.id().isBlank()) {
                double share = number(row.amount());
                locked += row.locked() ? share : 0;
                free += row.locked() ? 0 : share;
                open += row.locked() ? 0 : 1;
            }
        }
        if (open == 0 || locked > 100) {
            throw ProblemsException.of("fats", ProblemKey.SHARES_DO_NOT_SUM, Share.percent(locked));
        }
        double rest = 100 - locked;
        double factor = free > 0 ? rest / free : 0;
        int equal = open;
        List<PlanForm.FatRow> rows = form.fats().stream()
                .map(row -> row.id().isBlank() || row.locked()
                        ? row
                        : row.of(NumberNotation.write(factor > 0 ? number(row.amount()) * factor : rest / equal, 3)))
                .toList();
        return form.withFats(rows);
    }

    /**
     * A milk made from powder and water: as much of both as makes the row's amount, as cold, at the same time.
     *
     * @param row of the liquid
     * @return the form as it is if there is no such powder
     */
    static PlanForm fromPowder(PlanForm form, int row, Formats formats) {
        if (row < 0 || row >= form.liquids().size()) {
            return form;
        }
        PlanForm.LiquidRow milk = form.liquids().get(row);
        Catalogue tables = Catalogue.standard();
        return tables.findLiquid(milk.id())
                .flatMap(whole -> tables.powderOf(whole).map(powder -> {
                    Share share = powder.shareIn(whole);
                    List<PlanForm.LiquidRow> rows = new ArrayList<>(form.liquids());
                    rows.set(
                            row,
                            new PlanForm.LiquidRow(
                                    powder.id(),
                                    part(milk.amount(), share, formats),
                                    LiquidState.LIQUID.name(),
                                    milk.joins()));
                    rows.add(
                            row + 1,
                            new PlanForm.LiquidRow(
                                    WATER,
                                    part(milk.amount(), Share.fraction(1 - share.fraction()), formats),
                                    milk.state(),
                                    milk.joins()));
                    return form.withLiquids(rows);
                }))
                .orElse(form);
    }

    /**
     * Lays equal cups out, as many as are asked for: those that are there stay, others get what the first gets. Where
     * the batter in each is told, the fats follow from that.
     *
     * @param plan what the form says so far; empty if it is none yet
     * @throws ProblemsException if their number cannot be
     */
    static PlanForm cups(PlanForm form, Optional<BatchPlan> plan, Maker maker) {
        double many = NumberNotation.read("cups", form.get("cups"));
        if (many < 1 || many > Portions.MOST) {
            throw ProblemsException.of(
                    "cups",
                    many < 1 ? ProblemKey.TOO_LOW : ProblemKey.TOO_HIGH,
                    "A number of cups",
                    many,
                    many < 1 ? 1.0 : Portions.MOST);
        }
        if (many != Math.rint(many)) {
            throw ProblemsException.of("cups", ProblemKey.NOT_A_NUMBER, form.get("cups"));
        }
        List<PlanForm.PortionRow> there = form.portions().stream()
                .filter(p -> !p.isBlank())
                .limit((long) many)
                .toList();
        List<PlanForm.PortionRow> rows = new ArrayList<>(there);
        while (rows.size() < (int) many) {
            PlanForm.PortionRow first =
                    rows.isEmpty() ? new PlanForm.PortionRow("", "", "", "", "", "", "") : rows.get(0);
            rows.add(new PlanForm.PortionRow(
                    "cup " + (rows.size() + 1),
                    "",
                    first.additiveId(),
                    first.additiveDose(),
                    first.additiveJoins(),
                    first.liquidId(),
                    first.liquidDose()));
        }
        PlanForm laid = form.withPortions(rows).with("portionWay", Portioning.Way.CUPS.name());
        if (!form.has("cup")) {
            return laid;
        }
        boolean already = form.get("sizedBy").equals(SizedBy.CUPS.name());
        return already
                ? laid
                : inShares(form, plan, maker)
                        .withPortions(rows)
                        .with("portionWay", Portioning.Way.CUPS.name())
                        .with("sizedBy", SizedBy.CUPS.name())
                        .with("cup", form.get("cup"))
                        .with("cups", form.get("cups"));
    }

    /** The fats as shares; one fat alone is all of them. */
    private static PlanForm inShares(PlanForm form, Optional<BatchPlan> plan, Maker maker) {
        List<PlanForm.FatRow> fats =
                form.fats().stream().filter(f -> !f.id().isBlank()).toList();
        if (fats.size() == 1) {
            return form.withFats(List.of(fats.get(0).of("100")));
        }
        return form.isByShare() || plan.isEmpty() ? form : sizedBy(form, plan.get(), SizedBy.TOTAL, maker);
    }

    /** A part of what was typed, in the way it was typed; of all where nothing was. */
    private static String part(String amount, Share share, Formats formats) {
        if (amount.chars().anyMatch(Character::isLetter)) {
            Mass mass =
                    MassNotation.read("liquidParts", amount, formats.units()).times(share.fraction());
            return MassNotation.write(mass, formats.units()) + " " + formats.massUnit();
        }
        double typed = amount.isBlank() ? 100 : NumberNotation.read("liquidParts", amount.replace("%", ""));
        return NumberNotation.write(typed * share.fraction(), 2);
    }

    private static double number(String amount) {
        return amount.isBlank() ? 0 : Math.max(0, NumberNotation.read("fats", amount.replace("%", "")));
    }

    /** What comes nearest to the wishes that are ticked. */
    static Proposal fit(PlanForm form, BatchPlan plan, Pantry pantry) {
        return Fitter.fit(plan, candidates(pantry), goals(form, plan, pantry));
    }

    /** Fats that may join: what is at hand, and common ones. */
    private static Collection<Fat> candidates(Pantry pantry) {
        Map<String, Fat> fats = new LinkedHashMap<>();
        pantry.fatsAtHand().forEach(f -> fats.put(f.id(), f));
        COMMON.forEach(id -> fats.putIfAbsent(id, Catalogue.standard().fat(id)));
        return fats.values();
    }

    private static Goals goals(PlanForm form, BatchPlan plan, Pantry pantry) {
        Problems problems = new Problems();
        FieldReader fields = new FieldReader(new Units(Units.MassUnit.GRAM, Units.TemperatureUnit.CELSIUS), problems);
        Set<Wish> wishes = EnumSet.noneOf(Wish.class);
        WISHES.forEach((field, wish) -> {
            if (form.has(field)) {
                wishes.add(wish);
            }
        });
        Set<String> without = Arrays.stream(form.get("without").split(","))
                .map(String::strip)
                .filter(w -> !w.isBlank())
                .collect(Collectors.toSet());
        OptionalDouble cost = form.has("mostCost")
                ? OptionalDouble.of(fields.number("mostCost", form.get("mostCost"), 0))
                : OptionalDouble.empty();
        Share most = form.has("mostChange")
                ? fields.percent("mostChange", form.get("mostChange"), Share.percent(20))
                : Share.WHOLE;
        fields.checkShare("mostChange", most);
        Set<String> locked = form.fats().stream()
                .filter(PlanForm.FatRow::locked)
                .map(PlanForm.FatRow::fatId)
                .collect(Collectors.toSet());
        Map<String, Double> prices = pantry.prices().entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getKey, e -> e.getValue().doubleValue()));
        if (cost.isPresent()) {
            plan.formula().fats().stream()
                    .filter(p -> !prices.containsKey(p.fat().id()))
                    .findFirst()
                    .ifPresent(p -> problems.add(
                            "mostCost", ProblemKey.UNKNOWN_PRICE, p.fat().name()));
        }
        Goals goals = new Goals(wishes, without, cost, prices, most, locked);
        if (goals.isEmpty() && problems.isEmpty()) {
            problems.add("fit", ProblemKey.NOTHING_WANTED);
        }
        problems.throwIfAny();
        return goals;
    }

    /** Cost of a kilogram of these fats. */
    static BigDecimal perKilogram(List<FatPortion> fats, Map<String, BigDecimal> prices) {
        BigDecimal sum = BigDecimal.ZERO;
        double total = fats.stream().mapToDouble(p -> p.mass().grams()).sum();
        for (FatPortion p : fats) {
            sum = sum.add(prices.getOrDefault(p.fat().id(), BigDecimal.ZERO)
                    .multiply(BigDecimal.valueOf(p.mass().grams() / total)));
        }
        return sum.setScale(2, RoundingMode.HALF_UP);
    }
}
