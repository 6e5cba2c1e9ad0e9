package io.causticon.web.store.shelf;

import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.web.store.batch.Belongings;
import io.causticon.web.store.batch.JudgedAgain;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Moulds, vessels, fats and fragrances of the workshop's own, lots. What is put away is kept, for old recipes. */
@Service
public class ShelfService implements Belongings {

    /** So that a first batch can be planned before anything was measured. */
    private static final Mould FIRST_MOULD = new Mould("wooden loaf", MouldKind.WOODEN_LOAF, 240, 85, 70, 1);

    private final MouldRepository moulds;
    private final VesselRepository vessels;
    private final OwnFatRepository fats;
    private final OwnFragranceRepository fragrances;
    private final LotRepository lots;

    /** Looked for when something changed: it reads this itself. */
    private final ObjectProvider<JudgedAgain> judged;

    /** Null when it is not known as it stands. */
    private volatile @Nullable Owned owned;

    /** How often it changed since the start. */
    private volatile int changes;

    ShelfService(
            MouldRepository moulds,
            VesselRepository vessels,
            OwnFatRepository fats,
            OwnFragranceRepository fragrances,
            LotRepository lots,
            ObjectProvider<JudgedAgain> judged) {
        this.moulds = moulds;
        this.vessels = vessels;
        this.fats = fats;
        this.fragrances = fragrances;
        this.lots = lots;
        this.judged = judged;
    }

    @Transactional(readOnly = true)
    public Pantry pantry() {
        List<Mould> known = moulds.findByRetiredFalseOrderByName().stream()
                .flatMap(r -> r.mould().stream())
                .toList();
        return new Pantry(
                Catalogue.standard()
                        .with(
                                fats.findByRetiredFalseOrderByName().stream()
                                        .flatMap(r -> r.fat().stream())
                                        .toList(),
                                fragrances.findByRetiredFalseOrderByName().stream()
                                        .flatMap(r -> r.additive().stream())
                                        .toList()),
                known.isEmpty() ? List.of(FIRST_MOULD) : known,
                vessels.findByRetiredFalseOrderByName().stream()
                        .flatMap(r -> r.vessel().stream())
                        .toList(),
                lots.findByRetiredFalseOrderByLabel().stream()
                        .flatMap(r -> r.lot().stream())
                        .toList());
    }

    /**
     * Something that stands on the shelf and cannot be understood. It counts for nothing and can be put away.
     *
     * @param kind of it, as forms name it
     * @param id as forms name it
     * @param name what stands on it
     */
    public record Unreadable(String kind, String id, String name) {}

    @Transactional(readOnly = true)
    public List<Unreadable> unreadable() {
        List<Unreadable> found = new ArrayList<>();
        moulds.findByRetiredFalseOrderByName().stream()
                .filter(r -> r.mould().isEmpty())
                .forEach(r -> found.add(new Unreadable("mould", r.name(), r.name())));
        vessels.findByRetiredFalseOrderByName().stream()
                .filter(r -> r.vessel().isEmpty())
                .forEach(r -> found.add(new Unreadable("vessel", r.name(), r.name())));
        fats.findByRetiredFalseOrderByName().stream()
                .filter(r -> r.fat().isEmpty())
                .forEach(r -> found.add(new Unreadable("fat", r.id, r.name)));
        fragrances.findByRetiredFalseOrderByName().stream()
                .filter(r -> r.additive().isEmpty())
                .forEach(r -> found.add(new Unreadable("fragrance", r.id, r.name)));
        lots.findByRetiredFalseOrderByLabel().stream()
                .filter(r -> r.lot().isEmpty())
                .forEach(r -> found.add(new Unreadable("lot", r.id.toString(), r.label)));
        return found;
    }

    /** Labels of lots by what is in them. */
    public Map<String, List<String>> lotLabels() {
        return pantry().lots().stream()
                .collect(Collectors.groupingBy(Lot::substance, Collectors.mapping(Lot::label, Collectors.toList())));
    }

    /**
     * What lines of a log may name.
     *
     * @param vessels with their masses
     * @param substances the tables and the workshop's own
     */
    private record Owned(KnownVessels vessels, Catalogue substances) {}

    @Override
    public KnownVessels knownVessels() {
        return owned().vessels();
    }

    @Override
    public Catalogue substances() {
        return owned().substances();
    }

    /** Also what was put away: old batches were weighed in it, and of it. */
    private Owned owned() {
        Owned known = owned;
        if (known != null) {
            return known;
        }
        int before = changes;
        Catalogue substances = Catalogue.standard()
                .with(
                        fats.findAll().stream().flatMap(r -> r.fat().stream()).toList(),
                        fragrances.findAll().stream()
                                .flatMap(r -> r.additive().stream())
                                .toList());
        Owned now = new Owned(vesselsOf(vessels.findAll()), substances);
        synchronized (this) {
            // What was read while somebody wrote may be what was there before.
            if (changes == before) {
                owned = now;
            }
        }
        return now;
    }

    private static KnownVessels vesselsOf(List<VesselRow> rows) {
        Map<String, Mass> masses = new HashMap<>();
        Map<String, String> names = new HashMap<>();
        // Those that are in use come last, and are believed before one of the same name that was put away.
        rows.stream()
                .sorted(Comparator.comparing(VesselRow::retired).reversed())
                .forEach(row -> row.vessel().ifPresent(v -> {
                    String name = v.name().trim().toLowerCase(Locale.ROOT);
                    masses.put(name, v.mass());
                    names.values().removeIf(name::equals);
                    names.put(row.id(), name);
                }));
        return new KnownVessels(masses, names);
    }

    /**
     * What stands here is not what stood here: rows came or went by another door. Within the transaction that moves
     * them.
     */
    public void changedOtherwise() {
        readAnewOnceWritten();
    }

    private void readAnewOnceWritten() {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                synchronized (ShelfService.this) {
                    changes++;
                    owned = null;
                }
                // What a vessel weighs is evidence of every batch that was weighed in it.
                judged.getObject().look();
            }
        });
    }

    /**
     * Adds a mould. The one that there is to begin with does not vanish with the first of her own: it can be put away
     * like any other.
     */
    @Transactional
    public void addOwnMould(Mould mould) {
        if (moulds.count() == 0 && !mould.name().equals(FIRST_MOULD.name())) {
            moulds.save(new MouldRow(FIRST_MOULD));
        }
        addMould(mould);
    }

    @Transactional
    public void addMould(Mould mould) {
        moulds.findByName(mould.name())
                .ifPresentOrElse(
                        row -> {
                            checkFree(row.retired(), mould.name());
                            row.change(mould);
                        },
                        () -> moulds.save(new MouldRow(mould)));
    }

    @Transactional
    public void addVessel(Vessel vessel) {
        // Names are said at the bench, where nobody hears capitals.
        List<VesselRow> alike = vessels.findByNameIgnoreCase(vessel.name());
        checkFree(alike.stream().allMatch(VesselRow::retired), vessel.name());
        alike.stream()
                .filter(r -> r.name().equals(vessel.name()))
                .findFirst()
                .ifPresentOrElse(row -> row.change(vessel), () -> vessels.save(new VesselRow(vessel)));
        readAnewOnceWritten();
    }

    /** Adds a fat that is like another in its acids. */
    @Transactional
    public void addFat(String name, String likeId, double saponification, double iodine, boolean animal) {
        String id = ownId(name);
        OwnFatRow row = fats.findById(id).orElseGet(OwnFatRow::new);
        checkFree(row.id.isEmpty() || row.retired, name);
        row.id = id;
        row.name = name;
        row.likeId = likeId;
        row.saponification = saponification;
        row.iodine = iodine;
        row.animal = animal;
        row.retired = false;
        fats.save(row);
        readAnewOnceWritten();
    }

    /** Adds a fragrance; its limit is in g per kg of fats, null when it is not known. */
    @Transactional
    public void addFragrance(FragranceSheet sheet) {
        String id = ownId(sheet.name());
        OwnFragranceRow row = fragrances.findById(id).orElseGet(OwnFragranceRow::new);
        checkFree(row.id.isEmpty() || row.retired, sheet.name());
        row.id = id;
        row.name = sheet.name();
        row.cap = sheet.cap();
        row.behaviour = String.join(",", sheet.behaviour());
        row.allergens = String.join(FragranceSheet.SEPARATOR, sheet.allergens());
        row.note = sheet.note();
        row.retired = false;
        fragrances.save(row);
        readAnewOnceWritten();
    }

    @Transactional
    public void addLot(Lot lot) {
        LotRow row = lots.findByLabel(lot.label()).orElseGet(LotRow::new);
        checkFree(row.label.isEmpty() || row.retired, lot.label());
        row.kind = lot.kind().name();
        row.substance = lot.substance();
        row.label = lot.label();
        row.saponification = lot.saponification();
        row.perKilogram = lot.perKilogram();
        row.useBy = lot.useBy();
        row.retired = false;
        lots.save(row);
    }

    /** Puts something away. What is not there any more is away already. */
    @Transactional
    public void putAway(String kind, String id) {
        switch (kind) {
            case "mould" -> moulds.findByName(id).ifPresent(MouldRow::retire);
            case "vessel" -> vessels.findByName(id).ifPresent(VesselRow::retire);
            case "fat" -> fats.findById(id).ifPresent(f -> f.retired = true);
            case "fragrance" -> fragrances.findById(id).ifPresent(f -> f.retired = true);
            case "lot" ->
                lots.findAll().stream().filter(l -> l.id.toString().equals(id)).forEach(l -> l.retired = true);
            default -> throw ProblemsException.of("kind", ProblemKey.NOT_A_CHOICE, kind);
        }
        readAnewOnceWritten();
    }

    /** Something that was put away. */
    public record PutAway(String kind, String id, String name) {}

    /** All that was put away, by kind and name. */
    @Transactional(readOnly = true)
    public List<PutAway> away() {
        return Stream.of(
                        moulds.findAll().stream()
                                .filter(MouldRow::retired)
                                .map(r -> new PutAway("mould", r.name(), r.name())),
                        vessels.findAll().stream()
                                .filter(VesselRow::retired)
                                .map(r -> new PutAway("vessel", r.name(), r.name())),
                        fats.findAll().stream().filter(r -> r.retired).map(r -> new PutAway("fat", r.id, r.name)),
                        fragrances.findAll().stream()
                                .filter(r -> r.retired)
                                .map(r -> new PutAway("fragrance", r.id, r.name)),
                        lots.findAll().stream()
                                .filter(r -> r.retired)
                                .map(r -> new PutAway("lot", r.id.toString(), r.label)))
                .flatMap(s -> s)
                .sorted(Comparator.comparing(PutAway::kind).thenComparing(PutAway::name))
                .toList();
    }

    /**
     * Brings something back as it was.
     *
     * @throws ProblemsException if another jug is called the same by now
     */
    @Transactional
    public void bringBack(String kind, String id) {
        switch (kind) {
            case "mould" -> moulds.findByName(id).ifPresent(MouldRow::bringBack);
            case "vessel" -> {
                checkFree(vessels.findByNameIgnoreCase(id).stream().allMatch(VesselRow::retired), id);
                vessels.findByName(id).ifPresent(VesselRow::bringBack);
            }
            case "fat" -> fats.findById(id).ifPresent(f -> f.retired = false);
            case "fragrance" -> fragrances.findById(id).ifPresent(f -> f.retired = false);
            case "lot" ->
                lots.findAll().stream().filter(l -> l.id.toString().equals(id)).forEach(l -> l.retired = false);
            default -> throw ProblemsException.of("kind", ProblemKey.NOT_A_CHOICE, kind);
        }
        readAnewOnceWritten();
    }

    private static void checkFree(boolean free, String name) {
        if (!free) {
            throw ProblemsException.of("name", ProblemKey.NAME_TAKEN, name);
        }
    }

    private static String ownId(String name) {
        String slug =
                name.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\d]+", "-").replaceAll("^-|-$", "");
        return "own-" + (slug.length() > 50 ? slug.substring(0, 50) : slug);
    }
}
