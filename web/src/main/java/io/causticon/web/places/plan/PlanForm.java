package io.causticon.web.places.plan;

import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.PlanField;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Pouring;
import io.causticon.core.model.plan.Pouring.SizedBy;
import io.causticon.core.model.plan.Settings;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.said.notation.DoseNotation;
import io.causticon.core.model.said.notation.LineNotation;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.shared.Formats;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.springframework.util.LinkedMultiValueMap;
import org.springframework.util.MultiValueMap;

/**
 * What is typed into the composer, as it is typed. Nothing is lost when it cannot be read.
 *
 * @param one the fields that are there once, by name
 * @param fats rows of fat and amount
 * @param liquids rows of liquid, share, state and when it joins
 * @param additives rows of additive, dose and when it joins
 * @param portions rows of layers, colours or cups
 */
record PlanForm(
        Map<String, String> one,
        List<FatRow> fats,
        List<LiquidRow> liquids,
        List<AdditiveRow> additives,
        List<PortionRow> portions) {

    /**
     * A fat: its id, with {@code @} and the label of a lot behind it when one is chosen; its amount; whether its share
     * is locked; whether it goes in after the cook.
     */
    record FatRow(String id, String amount, boolean locked, boolean after) {

        FatRow(String id, String amount, boolean locked) {
            this(id, amount, locked, false);
        }

        FatRow of(String other) {
            return new FatRow(id, other, locked, after);
        }

        String fatId() {
            return id.replaceAll("@.*", "");
        }

        String lot() {
            return id.contains("@") ? id.substring(id.indexOf('@') + 1) : "";
        }

        boolean isBlank() {
            return id.isBlank() && amount.isBlank();
        }
    }

    /** A part of the liquid. */
    record LiquidRow(String id, String amount, String state, String joins) {}

    /** An additive; an empty {@code joins} is when its table advises. */
    record AdditiveRow(String id, String amount, String joins) {}

    /** A layer, colour or cup: its line or share, its own additive and its own liquid. */
    record PortionRow(
            String name,
            String amount,
            String additiveId,
            String additiveDose,
            String additiveJoins,
            String liquidId,
            String liquidDose) {

        PortionRow withAmount(String other) {
            return new PortionRow(name, other, additiveId, additiveDose, additiveJoins, liquidId, liquidDose);
        }

        boolean isBlank() {
            return name.isBlank() && amount.isBlank() && additiveId.isBlank() && liquidId.isBlank();
        }
    }

    /** So many rows at least: most recipes have three to five fats. */
    private static final int FAT_ROWS = 4;

    private static final double USUAL_OUNCES = 0.05;

    /** No recipe has more of anything; one more is read, so that it can be told. */
    static final int MOST_ROWS = 60;

    /** What stands in the form once and is no field of a plan that stands by itself. */
    private static final Set<String> OTHERS = Set.of(
            "name",
            "note",
            "lyeMass",
            "mould",
            "superfat",
            "naohShare",
            "purity",
            "kohPurity",
            "kohCertified",
            "liquidWay",
            "liquidValue",
            "sizedBy",
            "total",
            "fillHeight",
            "overage",
            "spare",
            "thickness",
            "portionWay",
            "lyeRoute",
            "cups",
            "cup",
            "stuck",
            "bowl",
            "scaleTo",
            "slow",
            "firm",
            "mild",
            "keeps",
            "noAnimal",
            "noPalm",
            "without",
            "mostCost",
            "mostChange");

    private static Stream<String> once() {
        return Stream.concat(OTHERS.stream(), PlanFields.ALL.stream().map(PlanField::typed));
    }

    private static <T> void put(PlanField<T> field, Settings settings, Formats formats, Map<String, String> one) {
        one.put(field.typed(), new FieldForm<>(field).typed(settings.get(field), formats));
    }

    /** Of a kitchen scale: a gram, or where it shows ounces a twentieth of one. */
    private static Mass usualStep(Units units) {
        return units.mass() == Units.MassUnit.GRAM ? Mass.grams(1) : Mass.ounces(USUAL_OUNCES);
    }

    /**
     * A form for a new plan.
     *
     * @param mixAt where lye and fats meet in this workshop
     * @param mould to pour it into
     * @param lyeVessel what the lye was last dissolved in; may be empty
     * @param fatsVessel what the fats were last melted in; may be empty
     */
    static PlanForm fresh(Formats formats, Temperature mixAt, String mould, String lyeVessel, String fatsVessel) {
        String step = MassNotation.write(usualStep(formats.units()), formats.units());
        Map<String, String> one = new HashMap<>();
        PlanFields.ALL.forEach(field -> put(field, Settings.USUAL, formats, one));
        one.putAll(Map.of(
                "mould", mould,
                "mixAt", formats.temperatureNumber(mixAt),
                "vessel", lyeVessel,
                "pot", fatsVessel,
                "fatStep", step,
                "lyeStep", step));
        one.putAll(Map.of(
                "superfat", "5",
                "naohShare", "100",
                "purity", "98",
                "kohPurity", "90",
                "liquidWay", "LYE_CONCENTRATION",
                "liquidValue", "33"));
        one.putAll(Map.of(
                "sizedBy", SizedBy.WEIGHTS.name(),
                "overage", "0",
                "thickness", "25",
                "portionWay", Portioning.Way.WHOLE.name(),
                "stuck", "3",
                "mostChange", "20"));
        return new PlanForm(
                one,
                List.of(),
                List.of(new LiquidRow("distilled-water", "100", LiquidState.LIQUID.name(), "LYE")),
                List.of(),
                List.of());
    }

    static PlanForm of(BatchPlan plan, Formats formats) {
        Formula f = plan.formula();
        Pouring pouring = plan.pouring();
        boolean byShare = pouring.sizedBy() != SizedBy.WEIGHTS;
        Map<String, String> one = new HashMap<>();
        one.put("name", plan.name());
        one.put("note", plan.note());
        one.put("mould", plan.mould() == null ? "" : plan.mould().name());
        PlanFields.ALL.forEach(field -> put(field, plan.settings(), formats, one));
        // What follows from a mass is shown, not read again.
        one.put(
                "superfat",
                f.fixed().lye() == null
                        ? percent(f.superfat().fraction())
                        : NumberNotation.write(f.superfat().inPercent(), 1));
        one.put(
                "lyeMass",
                f.fixed().lye() == null ? "" : MassNotation.write(f.fixed().lye(), formats.units()));
        one.put("naohShare", percent(f.alkali().naohShare().fraction()));
        one.put("purity", percent(f.alkali().naohPurity().fraction()));
        one.put("kohPurity", percent(f.alkali().kohPurity().fraction()));
        one.put("kohCertified", f.alkali().kohCertified() ? "on" : "");
        one.put("liquidWay", f.liquidTarget().way().name());
        one.put("liquidValue", f.fixed().liquid() == null ? target(f.liquidTarget()) : followed(f.liquidTarget()));
        one.put("sizedBy", pouring.sizedBy().name());
        one.put("total", MassNotation.write(f.fatMass(), formats.units()));
        one.put("fillHeight", pouring.fillHeight() == null ? "" : NumberNotation.write(pouring.fillHeight(), 1));
        one.put("overage", percent(pouring.overage().fraction()));
        one.put("spare", pouring.spare() == null ? "" : pouring.spare().name());
        one.put("thickness", NumberNotation.write(pouring.thickness(), 1));
        one.put("portionWay", pouring.portioning().way().name());
        boolean divided = pouring.portioning().way() != Portioning.Way.WHOLE;
        one.put("stuck", divided ? percent(pouring.portioning().stuck().fraction()) : "3");
        Vessel bowl = pouring.portioning().bowl();
        one.put("bowl", bowl == null ? "" : bowl.name());
        one.put("lyeRoute", pouring.portioning().route().name());
        one.put(
                "cups",
                pouring.portioning().portions().isEmpty()
                        ? ""
                        : Integer.toString(pouring.portioning().portions().size()));
        one.put("cup", pouring.cup() == null ? "" : MassNotation.write(pouring.cup(), formats.units()));
        one.put("mostChange", "20");
        return new PlanForm(
                one,
                f.fats().stream()
                        .map(p -> new FatRow(
                                p.lot() == null ? p.fat().id() : p.fat().id() + "@" + p.lot(),
                                byShare
                                        ? percent(p.mass().dividedBy(f.fatMass()))
                                        : MassNotation.write(p.mass(), formats.units()),
                                false,
                                p.afterCook()))
                        .toList(),
                f.liquidParts().stream()
                        .map(p -> new LiquidRow(
                                p.liquid().id(),
                                f.fixed().liquid() == null
                                        ? percent(p.share().fraction())
                                        : MassNotation.write(
                                                        p.share().of(f.fixed().liquid()), formats.units()) + " "
                                                + formats.massUnit(),
                                p.state().name(),
                                p.joins().name()))
                        .toList(),
                f.additives().stream()
                        .map(p -> new AdditiveRow(
                                p.additive().id(),
                                DoseNotation.write(p.dose(), formats.units()),
                                p.joins().name()))
                        .toList(),
                pouring.portioning().portions().stream()
                        .map(p -> portion(p, pouring.portioning().way(), formats))
                        .toList());
    }

    private static PortionRow portion(Portion p, Portioning.Way way, Formats formats) {
        String amount = switch (way) {
            case LAYERS -> p.top() == null ? "" : LineNotation.write(p.top());
            case SHARES -> percent(p.share().fraction());
            case WHOLE, CUPS -> "";
        };
        return new PortionRow(
                p.name(),
                amount,
                p.additives().isEmpty() ? "" : p.additives().get(0).additive().id(),
                p.additives().isEmpty()
                        ? ""
                        : DoseNotation.write(p.additives().get(0).dose(), formats.units()),
                p.additives().isEmpty()
                        ? AdditionStage.TRACE.name()
                        : p.additives().get(0).joins().name(),
                p.liquids().isEmpty() ? "" : p.liquids().get(0).liquid().id(),
                p.liquids().isEmpty()
                        ? ""
                        : DoseNotation.write(p.liquids().get(0).dose(), formats.units()));
    }

    static PlanForm typed(MultiValueMap<String, String> typed) {
        Map<String, String> one = new HashMap<>();
        once().forEach(field -> {
            String value = typed.getFirst(field);
            one.put(field, value == null ? "" : value);
        });
        Set<String> locked = Set.copyOf(typed.getOrDefault("fatLock", List.of()));
        Set<String> after = Set.copyOf(typed.getOrDefault("fatAfter", List.of()));
        return new PlanForm(
                one,
                rows(
                        typed,
                        "fatId",
                        i -> new FatRow(
                                at(typed, "fatId", i),
                                at(typed, "fatAmount", i),
                                locked.contains(Integer.toString(i)),
                                after.contains(Integer.toString(i)))),
                rows(
                        typed,
                        "liquidId",
                        i -> new LiquidRow(
                                at(typed, "liquidId", i),
                                at(typed, "liquidAmount", i),
                                at(typed, "liquidState", i),
                                at(typed, "liquidJoins", i))),
                rows(
                        typed,
                        "additiveId",
                        i -> new AdditiveRow(
                                at(typed, "additiveId", i),
                                at(typed, "additiveAmount", i),
                                at(typed, "additiveJoins", i))),
                rows(
                        typed,
                        "portionName",
                        i -> new PortionRow(
                                at(typed, "portionName", i),
                                at(typed, "portionAmount", i),
                                at(typed, "portionAdditiveId", i),
                                at(typed, "portionAdditiveDose", i),
                                at(typed, "portionAdditiveJoins", i),
                                at(typed, "portionLiquidId", i),
                                at(typed, "portionLiquidDose", i))));
    }

    /** The fields that {@link #typed} reads again. */
    MultiValueMap<String, String> fields() {
        MultiValueMap<String, String> fields = new LinkedMultiValueMap<>();
        one.forEach(fields::add);
        for (int i = 0; i < fats.size(); i++) {
            fields.add("fatId", fats.get(i).id());
            fields.add("fatAmount", fats.get(i).amount());
            if (fats.get(i).locked()) {
                fields.add("fatLock", Integer.toString(i));
            }
            if (fats.get(i).after()) {
                fields.add("fatAfter", Integer.toString(i));
            }
        }
        liquids.forEach(row -> {
            fields.add("liquidId", row.id());
            fields.add("liquidAmount", row.amount());
            fields.add("liquidState", row.state());
            fields.add("liquidJoins", row.joins());
        });
        additives.forEach(row -> {
            fields.add("additiveId", row.id());
            fields.add("additiveAmount", row.amount());
            fields.add("additiveJoins", row.joins());
        });
        portions.forEach(row -> {
            fields.add("portionName", row.name());
            fields.add("portionAmount", row.amount());
            fields.add("portionAdditiveId", row.additiveId());
            fields.add("portionAdditiveDose", row.additiveDose());
            fields.add("portionAdditiveJoins", row.additiveJoins());
            fields.add("portionLiquidId", row.liquidId());
            fields.add("portionLiquidDose", row.liquidDose());
        });
        return fields;
    }

    public String get(String field) {
        return one.getOrDefault(field, "");
    }

    public boolean has(String field) {
        return !get(field).isBlank();
    }

    public boolean isByShare() {
        return has("sizedBy") && !get("sizedBy").equals(SizedBy.WEIGHTS.name());
    }

    public boolean isDivided() {
        return has("portionWay") && !get("portionWay").equals(Portioning.Way.WHOLE.name());
    }

    /** Whether each part is made in a jug of its own. */
    public boolean isInJugs() {
        return isDivided() && has("lyeRoute") && !get("lyeRoute").equals(Portioning.LyeRoute.TOGETHER.name());
    }

    PlanForm with(String field, String value) {
        Map<String, String> changed = new HashMap<>(one);
        changed.put(field, value);
        return new PlanForm(changed, fats, liquids, additives, portions);
    }

    PlanForm withFats(List<FatRow> others) {
        return new PlanForm(one, others, liquids, additives, portions);
    }

    PlanForm withLiquids(List<LiquidRow> others) {
        return new PlanForm(one, fats, others, additives, portions);
    }

    PlanForm withAdditives(List<AdditiveRow> others) {
        return new PlanForm(one, fats, liquids, others, portions);
    }

    PlanForm withPortions(List<PortionRow> others) {
        return new PlanForm(one, fats, liquids, additives, others);
    }

    /** The locks and wishes of another form, which a plan does not keep. */
    PlanForm keepingWishesOf(PlanForm other) {
        Set<String> locked =
                other.fats.stream().filter(FatRow::locked).map(FatRow::fatId).collect(Collectors.toSet());
        Map<String, String> changed = new HashMap<>(one);
        List.of("slow", "firm", "mild", "keeps", "noAnimal", "noPalm", "without", "mostCost", "mostChange")
                .forEach(w -> changed.put(w, other.get(w)));
        return new PlanForm(
                changed,
                fats.stream()
                        .map(f -> new FatRow(f.id(), f.amount(), locked.contains(f.fatId()), f.after()))
                        .toList(),
                liquids,
                additives,
                portions);
    }

    /** With an empty row at the end of each list, to type the next into. */
    PlanForm withRoom() {
        return new PlanForm(
                one,
                room(fats.stream().filter(r -> !r.isBlank()).toList(), new FatRow("", "", false), FAT_ROWS),
                room(
                        liquids.stream()
                                .filter(r -> !(r.id().isBlank() && r.amount().isBlank()))
                                .toList(),
                        new LiquidRow("", "", LiquidState.LIQUID.name(), "LYE"),
                        1),
                room(
                        additives.stream()
                                .filter(r -> !(r.id().isBlank() && r.amount().isBlank()))
                                .toList(),
                        new AdditiveRow("", "", ""),
                        1),
                isDivided()
                        ? room(
                                portions.stream().filter(r -> !r.isBlank()).toList(),
                                new PortionRow("", "", "", "", "", "", ""),
                                2)
                        : portions);
    }

    private static <T> List<T> room(List<T> rows, T empty, int least) {
        List<T> more = new ArrayList<>(rows);
        do {
            more.add(empty);
        } while (more.size() < least);
        return more;
    }

    private static <T> List<T> rows(MultiValueMap<String, String> typed, String field, Function<Integer, T> row) {
        return IntStream.range(
                        0,
                        Math.min(
                                MOST_ROWS + 1,
                                typed.getOrDefault(field, List.of()).size()))
                .boxed()
                .map(row)
                .toList();
    }

    private static String at(MultiValueMap<String, String> typed, String field, int index) {
        List<String> values = typed.getOrDefault(field, List.of());
        return index < values.size() ? values.get(index) : "";
    }

    private static String target(LiquidTarget target) {
        return target.way() == LiquidTarget.Way.WATER_TO_LYE
                ? NumberNotation.write(target.value(), 4)
                : percent(target.value());
    }

    private static String followed(LiquidTarget target) {
        return target.way() == LiquidTarget.Way.WATER_TO_LYE
                ? NumberNotation.write(target.value(), 2)
                : NumberNotation.write(100 * target.value(), 1);
    }

    private static String percent(double fraction) {
        return NumberNotation.write(100 * fraction, 4);
    }
}
