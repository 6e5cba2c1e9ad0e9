package io.causticon.web.places.plan;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.Fat;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.shelf.Lot;
import io.causticon.web.store.shelf.LotKind;
import io.causticon.web.store.shelf.Pantry;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What the composer's lists offer. What an opened version still uses is offered too, also when it was put away since.
 *
 * @param fats each fat, and behind it each of its lots
 * @param liquids by the order of their table
 * @param additives by name
 * @param moulds by name
 * @param spares moulds of cavities, for what is left over
 * @param vessels for lye, fats and cups
 * @param allergens food allergens that any substance carries
 */
record Choices(
        Options fats,
        Options liquids,
        Options additives,
        List<Choice> moulds,
        List<Choice> spares,
        List<Choice> vessels,
        List<String> allergens) {

    /** One choice. */
    record Choice(String value, String name) {}

    /** Whether a liquid can be made from powder and water. */
    public boolean isMadeFromPowder(String liquid) {
        return Catalogue.standard()
                .findLiquid(liquid)
                .flatMap(Catalogue.standard()::powderOf)
                .isPresent();
    }

    static Choices of(PlanForm form, Pantry pantry, @Nullable BatchPlan before) {
        return new Choices(
                Options.of(fats(form, pantry, before)),
                Options.of(pantry.catalogue().liquids().stream()
                        .map(l -> new Choice(l.id(), l.name()))
                        .toList()),
                Options.of(additives(form, pantry, before)),
                moulds(form, pantry),
                pantry.moulds().stream()
                        .filter(m -> m.kind() == MouldKind.CAVITIES || m.kind() == MouldKind.CUSTOM)
                        .map(m -> new Choice(m.name(), m.name()))
                        .toList(),
                vessels(form, pantry),
                allergens(pantry));
    }

    /** With those that this plan was made with and that were put away since. */
    private static List<Choice> vessels(PlanForm form, Pantry pantry) {
        List<Choice> vessels = new ArrayList<>(pantry.vessels().stream()
                .map(v -> new Choice(v.name(), v.name()))
                .toList());
        Stream.of("vessel", "pot", "bowl")
                .map(form::get)
                .filter(name -> !name.isBlank()
                        && vessels.stream().noneMatch(c -> c.value().equals(name)))
                .distinct()
                .toList()
                .forEach(name -> vessels.add(new Choice(name, name + ", put away")));
        return vessels;
    }

    private static List<Choice> fats(PlanForm form, Pantry pantry, @Nullable BatchPlan before) {
        List<Choice> fats = new ArrayList<>();
        for (Fat fat : pantry.catalogue().fats().stream()
                .sorted(Comparator.comparing(Fat::name))
                .toList()) {
            fats.add(new Choice(fat.id(), fat.name()));
            pantry.lots().stream()
                    .filter(l -> l.kind() == LotKind.FAT && l.substance().equals(fat.id()))
                    .forEach(l -> fats.add(new Choice(
                            fat.id() + "@" + l.label(), fat.shortName() + ", lot " + l.label() + certified(l))));
        }
        form.fats().stream()
                .filter(row -> !row.id().isBlank()
                        && fats.stream().noneMatch(c -> c.value().equals(row.id())))
                .forEach(row -> fats.add(new Choice(row.id(), nameBefore(row, before) + ", put away")));
        return fats;
    }

    private static String certified(Lot lot) {
        return lot.saponification() == null ? "" : " (" + Formats.number(lot.saponification(), 1) + ")";
    }

    private static String nameBefore(PlanForm.FatRow row, @Nullable BatchPlan before) {
        return before == null
                ? row.id()
                : before.formula().fats().stream()
                        .filter(p -> p.fat().id().equals(row.fatId()))
                        .map(p -> p.fat().name() + (row.lot().isEmpty() ? "" : ", lot " + row.lot()))
                        .findFirst()
                        .orElse(row.id());
    }

    private static List<Choice> additives(PlanForm form, Pantry pantry, @Nullable BatchPlan before) {
        List<Choice> additives = new ArrayList<>(pantry.catalogue().additives().stream()
                .sorted(Comparator.comparing(Additive::name))
                .map(a -> new Choice(a.id(), a.name()))
                .toList());
        if (before != null) {
            before.formula().additives().stream()
                    .map(p -> p.additive())
                    .filter(a -> additives.stream().noneMatch(c -> c.value().equals(a.id())))
                    .forEach(a -> additives.add(new Choice(a.id(), a.name() + ", put away")));
        }
        return additives;
    }

    private static List<Choice> moulds(PlanForm form, Pantry pantry) {
        List<Choice> moulds = new ArrayList<>(pantry.moulds().stream()
                .map(Mould::name)
                .map(n -> new Choice(n, n))
                .toList());
        String chosen = form.get("mould");
        if (!chosen.isBlank() && moulds.stream().noneMatch(c -> c.value().equals(chosen))) {
            moulds.add(new Choice(chosen, chosen + ", put away"));
        }
        return moulds;
    }

    private static List<String> allergens(Pantry pantry) {
        TreeSet<String> names = new TreeSet<>();
        pantry.catalogue().fats().forEach(f -> names.addAll(f.allergens()));
        pantry.catalogue().liquids().forEach(l -> names.addAll(l.allergens()));
        return List.copyOf(names);
    }
}
