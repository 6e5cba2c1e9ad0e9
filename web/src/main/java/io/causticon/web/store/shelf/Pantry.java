package io.causticon.web.store.shelf;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.model.substance.Fat;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * All that stands on the shelf at one moment.
 *
 * @param catalogue the tables with the workshop's own fats and fragrances
 * @param moulds by name
 * @param vessels by name
 * @param lots by label
 */
public record Pantry(Catalogue catalogue, List<Mould> moulds, List<Vessel> vessels, List<Lot> lots) {

    public Optional<Mould> mould(String name) {
        return moulds.stream().filter(m -> m.name().equals(name)).findFirst();
    }

    public Optional<Vessel> vessel(String name) {
        return vessels.stream().filter(v -> v.name().equals(name)).findFirst();
    }

    public Optional<Lot> lot(String label) {
        return lots.stream().filter(l -> l.label().equals(label)).findFirst();
    }

    /** Price of a kilogram by substance; of several lots the one that is to be used first. */
    public Map<String, BigDecimal> prices() {
        Map<String, Lot> first = new HashMap<>();
        lots.stream().filter(l -> l.perKilogram() != null).forEach(l -> first.merge(l.substance(), l, Pantry::sooner));
        Map<String, BigDecimal> prices = new HashMap<>();
        first.forEach((substance, lot) -> prices.put(substance, lot.perKilogram()));
        return prices;
    }

    /** Fats of which there is a lot. */
    public Collection<Fat> fatsAtHand() {
        return lots.stream()
                .filter(l -> l.kind() == LotKind.FAT)
                .flatMap(l -> catalogue.findFat(l.substance()).stream())
                .collect(Collectors.toMap(Fat::id, f -> f, (a, b) -> a))
                .values();
    }

    public Set<String> lotsPastUse(LocalDate today) {
        return lots.stream().filter(l -> l.isPast(today)).map(Lot::label).collect(Collectors.toSet());
    }

    private static Lot sooner(Lot a, Lot b) {
        if (a.useBy() == null) {
            return b.useBy() == null ? a : b;
        }
        return b.useBy() != null && b.useBy().isBefore(a.useBy()) ? b : a;
    }
}
