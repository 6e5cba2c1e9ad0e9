package io.causticon.web.places.plan;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.PlanField;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.science.forecast.BarCharacter;
import io.causticon.core.science.forecast.Trait;
import io.causticon.core.science.formula.Composition;
import io.causticon.core.science.making.TraceKnowledge;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.account.Maker;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Two recipes, or two versions of one, row by row. */
record Comparison(List<Block> blocks) {

    /** Rows that belong together. */
    record Block(String title, List<Row> rows) {}

    /** One value in both. */
    record Row(String what, String first, String second) {

        public boolean differs() {
            return !first.equals(second);
        }
    }

    static Comparison of(BatchPlan first, BatchPlan second, TraceKnowledge trace, Maker maker) {
        Formats f = maker.formats();
        List<Block> blocks = new ArrayList<>();
        blocks.add(new Block("Fats", merged(fats(first, f), fats(second, f))));
        blocks.add(new Block("Lye and liquid", merged(lye(first, f), lye(second, f))));
        blocks.add(new Block("How it is made", merged(settings(first, f), settings(second, f))));
        blocks.add(new Block("Additives", merged(additives(first, f), additives(second, f))));
        blocks.add(new Block("Layers, colours, cups", merged(portions(first, f), portions(second, f))));
        blocks.add(new Block("What the fats bring", merged(composition(first, f), composition(second, f))));
        blocks.add(new Block("How it will be", merged(traits(first, trace, f), traits(second, trace, f))));
        return new Comparison(blocks.stream().filter(b -> !b.rows().isEmpty()).toList());
    }

    private static List<Row> merged(Map<String, String> first, Map<String, String> second) {
        Map<String, Row> rows = new LinkedHashMap<>();
        first.forEach((what, value) -> rows.put(what, new Row(what, value, second.getOrDefault(what, "\u2013"))));
        second.forEach((what, value) -> rows.putIfAbsent(what, new Row(what, "\u2013", value)));
        return List.copyOf(rows.values());
    }

    private static Map<String, String> fats(BatchPlan plan, Formats f) {
        Formula formula = plan.formula();
        Map<String, String> rows = new LinkedHashMap<>();
        formula.fats()
                .forEach(p -> rows.put(
                        p.fat().name(),
                        f.mass(p.mass()) + " \u00b7 "
                                + Formats.number(100 * p.mass().dividedBy(formula.fatMass()), 1) + " %"));
        rows.put("together", f.mass(formula.fatMass()));
        return rows;
    }

    private static Map<String, String> lye(BatchPlan plan, Formats f) {
        AlkaliBalance b = AlkaliBalance.of(plan.formula());
        Map<String, String> rows = new LinkedHashMap<>();
        rows.put("superfat", f.percent(plan.formula().superfat(), 1));
        if (b.naoh().isPositive()) {
            rows.put("NaOH", f.mass(b.naoh()));
        }
        if (b.koh().isPositive()) {
            rows.put("KOH", f.mass(b.koh()));
        }
        b.liquids().forEach(l -> rows.merge(l.words(), f.mass(l.mass()), (x, y) -> x + " + " + y));
        rows.put("lye concentration", f.percent(b.concentration(), 1));
        return rows;
    }

    private static Map<String, String> settings(BatchPlan plan, Formats f) {
        Map<String, String> rows = new LinkedHashMap<>();
        PlanFields.ALL.stream()
                .filter(field -> field.isFor(plan.settings()))
                .forEach(field -> rows.put(field.words(), told(field, plan, f)));
        return rows;
    }

    private static <T> String told(PlanField<T> field, BatchPlan plan, Formats f) {
        return new FieldForm<>(field).told(plan.get(field), f);
    }

    private static Map<String, String> additives(BatchPlan plan, Formats f) {
        Map<String, String> rows = new LinkedHashMap<>();
        plan.formula().additives().forEach(a -> rows.put(a.additive().name(), f.mass(a.mass())));
        return rows;
    }

    private static Map<String, String> portions(BatchPlan plan, Formats f) {
        Map<String, String> rows = new LinkedHashMap<>();
        for (Reckoning.PortionWords p : new PortionTable(plan, f).words()) {
            rows.put(
                    p.name(),
                    p.batter() + ", superfat " + p.superfat() + (p.own().isEmpty() ? "" : ", " + p.own()));
        }
        return rows;
    }

    private static Map<String, String> composition(BatchPlan plan, Formats f) {
        Composition c = Composition.of(plan.formula().fats());
        Map<String, String> rows = new LinkedHashMap<>();
        rows.put("saturated", f.percent(c.saturated(), 0));
        rows.put("iodine value", Formats.number(c.iodineValue(), 0));
        rows.put("saponification value", Formats.number(c.saponificationValue(), 0));
        plan.allergens().forEach(a -> rows.put("allergen: " + a, "in it"));
        return rows;
    }

    private static Map<String, String> traits(BatchPlan plan, TraceKnowledge trace, Formats f) {
        Map<String, String> rows = new LinkedHashMap<>();
        for (Trait trait : BarCharacter.of(plan, trace)) {
            rows.put(trait.name(), f.phrase(trait.verdict()));
        }
        return rows;
    }
}
