package io.causticon.web.plan;

import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.Formula;
import io.causticon.core.formula.LiquidTarget;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.shared.Formats;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.util.MultiValueMap;

/**
 * What is typed into the composer, as it is typed. Nothing is lost when it cannot be read.
 *
 * @param fats rows of fat and mass
 * @param liquids rows of liquid, share and state
 * @param additives rows of additive and mass
 */
record PlanForm(
        String name,
        String note,
        String process,
        String gel,
        String mould,
        String mixAt,
        String superfat,
        String naohShare,
        String purity,
        String kohPurity,
        String liquidWay,
        String liquidValue,
        String fatStep,
        String lyeStep,
        List<Row> fats,
        List<Row> liquids,
        List<Row> additives) {

    /** A row: which substance, how much, and for liquids whether frozen. */
    record Row(String id, String amount, String state) {

        boolean isBlank() {
            return id.isBlank() && amount.isBlank();
        }
    }

    /** So many rows at least: most recipes have three to five fats. */
    private static final int FAT_ROWS = 4;

    private static final Row EMPTY = new Row("", "", "liquid");

    static PlanForm fresh(Formats formats, String mould) {
        String step = formats.massInput(Mass.grams(1));
        String mixAt = formats.temperatureNumber(Temperature.celsius(40));
        return new PlanForm(
                "", "", "COLD", "ALLOW", mould, mixAt, "5", "100", "98", "90", "LYE_CONCENTRATION", "33", step, step,
                List.of(), List.of(new Row("distilled-water", "100", "liquid")), List.of());
    }

    static PlanForm of(BatchPlan plan, Formats formats) {
        Formula f = plan.formula();
        return new PlanForm(
                plan.name(),
                plan.note(),
                plan.process().name(),
                plan.gel().name(),
                plan.mould() == null ? "" : plan.mould().name(),
                plain(formats.temperatureNumber(plan.mixAt())),
                trimmed(f.superfat().inPercent()),
                trimmed(f.alkali().naohShare().inPercent()),
                trimmed(f.alkali().naohPurity().inPercent()),
                trimmed(f.alkali().kohPurity().inPercent()),
                f.liquidTarget().way().name(),
                target(f.liquidTarget()),
                formats.massInput(plan.scales().fatStep()),
                formats.massInput(plan.scales().lyeStep()),
                f.fats().stream().map(p -> new Row(p.fat().id(), formats.massInput(p.mass()), "")).toList(),
                f.liquidParts().stream()
                        .map(p -> new Row(
                                p.liquid().id(), trimmed(p.share().inPercent()), p.frozen() ? "frozen" : "liquid"))
                        .toList(),
                f.additives().stream().map(p -> new Row(p.additive().id(), formats.massInput(p.mass()), "")).toList());
    }

    static PlanForm typed(MultiValueMap<String, String> typed) {
        return new PlanForm(
                one(typed, "name"),
                one(typed, "note"),
                one(typed, "process"),
                one(typed, "gel"),
                one(typed, "mould"),
                one(typed, "mixAt"),
                one(typed, "superfat"),
                one(typed, "naohShare"),
                one(typed, "purity"),
                one(typed, "kohPurity"),
                one(typed, "liquidWay"),
                one(typed, "liquidValue"),
                one(typed, "fatStep"),
                one(typed, "lyeStep"),
                rows(typed, "fat"),
                rows(typed, "liquid"),
                rows(typed, "additive"));
    }

    PlanForm named(String otherName) {
        return new PlanForm(
                otherName, note, process, gel, mould, mixAt, superfat, naohShare, purity, kohPurity, liquidWay,
                liquidValue, fatStep, lyeStep, fats, liquids, additives);
    }

    /** With an empty row at the end of each list, to type the next into. */
    PlanForm withRoom() {
        return new PlanForm(
                name, note, process, gel, mould, mixAt, superfat, naohShare, purity, kohPurity, liquidWay, liquidValue,
                fatStep, lyeStep, room(fats, FAT_ROWS), room(liquids, 1), room(additives, 2));
    }

    private static List<Row> room(List<Row> rows, int least) {
        List<Row> more = new ArrayList<>(rows.stream().filter(r -> !r.isBlank()).toList());
        do {
            more.add(EMPTY);
        } while (more.size() < least);
        return more;
    }

    private static List<Row> rows(MultiValueMap<String, String> typed, String kind) {
        List<String> ids = typed.getOrDefault(kind + "Id", List.of());
        List<String> amounts = typed.getOrDefault(kind + "Amount", List.of());
        List<String> states = typed.getOrDefault(kind + "State", List.of());
        List<Row> rows = new ArrayList<>();
        for (int i = 0; i < ids.size(); i++) {
            rows.add(new Row(
                    ids.get(i), i < amounts.size() ? amounts.get(i) : "", i < states.size() ? states.get(i) : "liquid"));
        }
        return rows;
    }

    private static String one(MultiValueMap<String, String> typed, String field) {
        String value = typed.getFirst(field);
        return value == null ? "" : value;
    }

    private static String target(LiquidTarget target) {
        return target.way() == LiquidTarget.Way.WATER_TO_LYE
                ? trimmed(target.value())
                : trimmed(100 * target.value());
    }

    private static String trimmed(double number) {
        String text = String.format(Locale.ROOT, "%.4f", number);
        return text.replaceAll("0+$", "").replaceAll("\\.$", "");
    }

    private static String plain(String number) {
        return number.replace('\u2212', '-');
    }
}
