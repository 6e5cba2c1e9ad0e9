package io.causticon.web.exchange.carry;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.said.intake.RecipeSheet;
import io.causticon.core.model.said.intake.SheetDays;
import io.causticon.core.model.said.intake.TimeShape;
import io.causticon.web.places.plan.NotedPlans;
import io.causticon.web.shared.Kept;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.arrival.ArrivalRow;
import io.causticon.web.store.arrival.KnownTables;
import io.causticon.web.store.arrival.LaidAside;
import io.causticon.web.store.document.DocumentFault;
import io.causticon.web.store.document.RowStore;
import io.causticon.web.store.recipe.RecipeService;
import java.io.InputStream;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Recipes from somebody's own table: what each column is, is guessed, shown and put right; what cannot be read says why
 * in its row.
 */
@Service
class SheetFiles {

    /** Under which it is said how days are meant. */
    static final String DAYS = "days";

    private static final int COLUMNS_SHOWN = 24;
    private static final int ROWS_SHOWN = 5;
    private static final int LONGEST_NAME = 80;
    private static final int LISTED = 20;

    private final LaidAside laidAside;
    private final KnownTables known;
    private final NotedPlans plans;
    private final RecipeService recipes;
    private final SheetBatches made;
    private final RowStore store;
    private final TransactionTemplate transaction;
    private final Clock clock;

    SheetFiles(
            LaidAside laidAside,
            KnownTables known,
            NotedPlans plans,
            RecipeService recipes,
            SheetBatches made,
            RowStore store,
            PlatformTransactionManager transactions,
            Clock clock) {
        this.laidAside = laidAside;
        this.known = known;
        this.plans = plans;
        this.recipes = recipes;
        this.made = made;
        this.store = store;
        this.transaction = new TransactionTemplate(transactions);
        this.clock = clock;
    }

    /** @throws DocumentFault if it is no table */
    UUID lay(InputStream in, String source, Maker maker) {
        return laidAside.lay(in, source, maker.displayName(), ArrivalRow.Kind.SHEET, null, file -> {
            if (SheetRows.read(file).isEmpty()) {
                throw new DocumentFault("There is no row in this table.");
            }
        });
    }

    /**
     * A recipe of the table, as it is understood.
     *
     * @param row where it begins, counted from 1
     * @param words what it says, as a note
     * @param here whether a recipe of this name is here already
     * @param batch the batch that was made of it; empty where the table tells of none
     * @param batchProblem why that batch cannot be taken; empty where it can
     */
    record Read(
            String name,
            int row,
            String words,
            NotedPlans.Noted noted,
            boolean here,
            Optional<SheetBatches.Made> batch,
            String batchProblem) {}

    /**
     * A table as it is understood.
     *
     * @param heading names of its columns; empty where none are named
     * @param parts what each column is
     * @param first its first rows
     * @param days how its days can be read; more than one where somebody has to say
     */
    record View(
            ArrivalRow arrival,
            RecipeSheet.Layout layout,
            List<String> heading,
            List<RecipeSheet.Part> parts,
            List<List<String>> first,
            List<Read> recipes,
            List<TimeShape> days) {

        List<Read> good() {
            return recipes.stream().filter(r -> r.noted().plan().isPresent()).toList();
        }

        List<Read> batches() {
            return good().stream().filter(r -> r.batch().isPresent()).toList();
        }
    }

    /** @param asked what columns are, by {@code part0} and so on; empty to guess */
    View look(UUID id, Map<String, String> asked, Maker maker) {
        ArrivalRow row = laidAside.waiting(id, ArrivalRow.Kind.SHEET);
        List<List<String>> cells = SheetRows.read(laidAside.file(row));
        NotedPlans.Reader reader = plans.reader(maker);
        int at = RecipeSheet.heading(cells, reader.catalogue());
        List<String> heading = at < 0 ? List.of() : cells.get(at);
        List<RecipeSheet.Part> parts = said(heading, asked.isEmpty() ? known.of(heading) : asked);
        RecipeSheet sheet = RecipeSheet.read(cells, parts, maker.units(), reader.catalogue());
        Set<String> here = recipes.inUse().stream()
                .map(r -> r.plan().name().toLowerCase(Locale.ROOT))
                .collect(Collectors.toSet());
        List<TimeShape> days = SheetDays.shapes(
                sheet.recipes().stream().map(r -> r.making().day()).toList());
        SheetBatches.Reader batches = made.reader(days, asked.getOrDefault(DAYS, ""), maker);
        List<Read> read = sheet.recipes().stream()
                .map(r -> read(r, reader, here, batches))
                .toList();
        int from = Math.max(0, at + 1);
        List<List<String>> first =
                cells.subList(Math.min(from, cells.size()), Math.min(cells.size(), from + ROWS_SHOWN));
        return new View(
                row, sheet.layout(), heading.stream().limit(COLUMNS_SHOWN).toList(), parts, first, read, days);
    }

    private static Read read(
            RecipeSheet.Found r, NotedPlans.Reader reader, Set<String> here, SheetBatches.Reader batches) {
        String name = shortened(r.name());
        SheetBatches.Result batch = batches.read(r);
        return new Read(
                name,
                r.row(),
                r.note(),
                reader.read(r.note(), name, line -> where(r, line)),
                here.contains(r.name().toLowerCase(Locale.ROOT)),
                batch.made(),
                batch.problem());
    }

    private static String where(RecipeSheet.Found recipe, String line) {
        return recipe.lines().entrySet().stream()
                .filter(e -> e.getValue().contains(line))
                .map(e -> "Row " + e.getKey() + ": ")
                .findFirst()
                .orElse("");
    }

    private static String shortened(String name) {
        return name.length() <= LONGEST_NAME ? name : name.substring(0, LONGEST_NAME);
    }

    private static List<RecipeSheet.Part> said(List<String> heading, Map<String, String> said) {
        List<RecipeSheet.Part> guessed = RecipeSheet.parts(heading);
        return IntStream.range(0, heading.size())
                .mapToObj(i -> Kept.choice(RecipeSheet.Part.class, said.getOrDefault("part" + i, ""))
                        .orElse(guessed.get(i)))
                .toList();
    }

    /**
     * Keeps every recipe that is understood, all of them or none.
     *
     * @param batchesToo whether batches that were made of them are kept as well
     * @throws DocumentFault if there is none
     */
    void take(UUID id, Map<String, String> asked, boolean batchesToo, Maker maker) {
        View view = look(id, asked, maker);
        if (batchesToo && view.batches().isEmpty()) {
            throw new DocumentFault("No batch in it can be taken.");
        }
        if (view.good().isEmpty()) {
            throw new DocumentFault("There is no recipe in it that is understood.");
        }
        List<UUID> settled = new ArrayList<>();
        try {
            transaction.executeWithoutResult(t -> {
                ArrivalRow row = laidAside.take(id);
                RowStore.Ledger ledger = store.ledger(id);
                Map<Read, RecipeService.Recipe> kept = keepRecipes(view, batchesToo, maker);
                kept.values().stream()
                        .map(RecipeService.Recipe::recipe)
                        .distinct()
                        .forEach(ledger::noteRecipe);
                int begun = batchesToo ? made.begin(view.batches(), kept, row, ledger, maker, settled) : 0;
                laidAside.tell(row, told(view, begun));
                known.remember(view.heading(), kept(view.parts()));
            });
        } finally {
            made.moved(settled);
        }
        laidAside.discard(view.arrival());
    }

    private static String told(View view, int begun) {
        return view.good().size() + " of " + view.recipes().size()
                + (view.recipes().size() == 1 ? " recipe" : " recipes")
                + (begun == 0 ? "." : ", " + begun + (begun == 1 ? " batch." : " batches."));
    }

    /** A recipe that was made several times is one, with a version for each way it was made. */
    private Map<Read, RecipeService.Recipe> keepRecipes(View view, boolean batchesToo, Maker maker) {
        Map<Read, RecipeService.Recipe> kept = new LinkedHashMap<>();
        Map<String, RecipeService.Recipe> ofName = new HashMap<>();
        for (Read read : view.good()) {
            BatchPlan plan = read.noted().plan().orElseThrow();
            RecipeService.Recipe known = batchesToo && read.batch().isPresent() ? ofName.get(read.name()) : null;
            RecipeService.Recipe now = known == null
                    ? recipes.create(plan, maker.displayName())
                    : recipes.save(known.recipe(), plan, known.version(), maker.displayName());
            // Written now, for the account that reads it; a version of one recipe would also be written before the
            // recipe that follows it.
            laidAside.writeNow();
            ofName.put(read.name(), now);
            kept.put(read, now);
        }
        return kept;
    }

    private static Map<String, String> kept(List<RecipeSheet.Part> parts) {
        Map<String, String> kept = new TreeMap<>();
        for (int i = 0; i < Math.min(parts.size(), COLUMNS_SHOWN); i++) {
            kept.put("part" + i, parts.get(i).name());
        }
        return kept;
    }

    /** What was taken of tables, the latest first. */
    List<ArrivalRow> all() {
        return laidAside.taken(ArrivalRow.Kind.SHEET, LISTED);
    }
}
