package io.causticon.web.shelf;

import io.causticon.core.formula.Mould;
import io.causticon.core.formula.MouldKind;
import io.causticon.core.quantity.Mass;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Moulds and vessels of the workshop. */
@Service
public class ShelfService {

    /** So that a first batch can be planned before anything was measured. */
    private static final Mould FIRST_MOULD = new Mould("wooden loaf", MouldKind.WOODEN_LOAF, 240, 85, 70, 1);

    private final MouldRepository moulds;
    private final VesselRepository vessels;

    ShelfService(MouldRepository moulds, VesselRepository vessels) {
        this.moulds = moulds;
        this.vessels = vessels;
    }

    @Transactional(readOnly = true)
    public List<Mould> moulds() {
        List<Mould> known =
                moulds.findAllByOrderByName().stream().map(MouldRow::mould).toList();
        return known.isEmpty() ? List.of(FIRST_MOULD) : known;
    }

    public Optional<Mould> mould(String name) {
        return moulds().stream().filter(m -> m.name().equals(name)).findFirst();
    }

    /** Masses of vessels by their names in small letters. */
    @Transactional(readOnly = true)
    public Map<String, Mass> vesselMasses() {
        return vessels.findAll().stream()
                .collect(Collectors.toMap(v -> v.name().toLowerCase(Locale.ROOT), VesselRow::mass));
    }

    @Transactional
    public void addMould(Mould mould) {
        moulds.save(new MouldRow(mould));
    }

    @Transactional
    public void addVessel(String name, Mass mass) {
        vessels.save(new VesselRow(name, mass));
    }
}
