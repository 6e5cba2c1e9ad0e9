package io.causticon.web.store.arrival;

import io.causticon.web.store.batch.BatchArrivals;
import io.causticon.web.store.document.Document;
import io.causticon.web.store.document.DocumentFault;
import io.causticon.web.store.document.DocumentKind;
import io.causticon.web.store.document.DocumentTable;
import io.causticon.web.store.document.Documents;
import io.causticon.web.store.document.Row;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Holds a document that came against what is here, and tells what would be added. What is here is never changed by it:
 * a log may grow, a recipe may gain versions, and what differs stays as it is here.
 */
@Component
class Sifter {

    private static final String RECIPE = "recipe_id";
    private static final String BATCH = "batch_id";

    /** What may differ although it is the same: a code that was taken here, a recipe that did not come along. */
    private static final Set<String> OURS = Set.of("code", RECIPE);

    private static final int SHOWN = 40;

    private final Documents documents;
    private final BatchArrivals batches;
    private final JdbcTemplate jdbc;

    Sifter(Documents documents, BatchArrivals batches, JdbcTemplate jdbc) {
        this.documents = documents;
        this.batches = batches;
        this.jdbc = jdbc;
    }

    /**
     * Looks at a document.
     *
     * @param arriving what came along; what this document brings is added to it
     */
    Sifted sift(Document document, Arriving arriving) {
        try {
            return document.kind().root().isPresent() ? one(document, arriving) : lists(document, arriving);
        } catch (DocumentFault e) {
            return Sifted.fault(title(document), e.words());
        }
    }

    static String title(Document document) {
        return switch (document.kind()) {
            case SHELF -> "The shelf";
            case WORKSHOP -> "Plans, drafts, devices, scraps, practice";
            case RECIPE -> "Recipe " + document.root().required("name");
            case BATCH ->
                document.root().required("code") + " " + document.root().required("name");
            case TRIAL -> "Trial: " + document.root().required("question");
        };
    }

    private Sifted one(Document document, Arriving arriving) {
        List<String> words = new ArrayList<>();
        check(document, words);
        List<Row> rows = pointed(document, arriving, words);
        Object key = document.root().key();
        List<Row> here = documents.rows(document.kind(), key);
        Sifted sifted = here.isEmpty() ? added(document, rows, arriving, words) : grown(document, rows, here, words);
        if (sifted.novelty() != Novelty.FAULT) {
            arriving.ids().add(key);
        }
        return sifted;
    }

    private Sifted added(Document document, List<Row> rows, Arriving arriving, List<String> words) {
        List<Row> add = rows;
        if (document.kind() == DocumentKind.BATCH) {
            Row named = withFreeCode(rows.get(0), words);
            add = new ArrayList<>(rows);
            add.set(0, named);
        }
        arriving.fresh().add(document.root().key());
        return new Sifted(title(document), Novelty.NEW, add, settled(document), words);
    }

    /** What is there and differs stays as it is, and then nothing of the document is taken. */
    private Sifted grown(Document document, List<Row> rows, List<Row> here, List<String> words) {
        Map<Object, Row> known =
                here.stream().collect(Collectors.toMap(r -> r.table().name() + r.key(), r -> r));
        Set<Object> places =
                here.stream().map(Sifter::place).filter(Objects::nonNull).collect(Collectors.toSet());
        List<Row> add = new ArrayList<>();
        for (Row row : rows) {
            Row before = known.get(row.table().name() + row.key());
            if (before == null) {
                Object place = place(row);
                if (place != null && places.contains(place)) {
                    return different(
                            document, "another " + row.table().list() + " stands here in the same place", words);
                }
                add.add(row);
                continue;
            }
            Set<String> differing = differing(row, before);
            if (!differing.isEmpty()) {
                return different(
                        document,
                        row.table().list() + " "
                                + differing(row, before, differing.iterator().next()),
                        words);
            }
        }
        if (add.isEmpty()) {
            return new Sifted(title(document), Novelty.SAME, List.of(), List.of(), words);
        }
        words.add(0, counted(add) + " not here yet.");
        return new Sifted(title(document), Novelty.MORE, add, settled(document), words);
    }

    private static Sifted different(Document document, String how, List<String> words) {
        words.add(0, "It stays as it is here: " + how + ".");
        return new Sifted(title(document), Novelty.DIFFERENT, List.of(), List.of(), words);
    }

    private static List<Object> settled(Document document) {
        return document.kind() == DocumentKind.BATCH ? List.of(document.root().key()) : List.of();
    }

    /** No two revisions of one number, no two versions of one number. */
    private static @Nullable Object place(Row row) {
        return switch (row.table().name()) {
            case "log_revision" -> row.get("line_id") + " " + row.get("revision");
            case "recipe_version" -> row.get("number");
            default -> null;
        };
    }

    private static Set<String> differing(Row row, Row before) {
        boolean device = row.table().name().equals("device");
        return row.values().keySet().stream()
                .filter(c ->
                        !OURS.contains(c) && !(device && c.equals(BATCH)) && !Objects.equals(row.get(c), before.get(c)))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static String differing(Row row, Row before, String column) {
        return row.table().json().contains(column)
                ? "differs in its " + column
                : "has \"" + shortened(before.get(column)) + "\" for " + column.replace('_', ' ') + ", the file \""
                        + shortened(row.get(column)) + "\"";
    }

    private static String shortened(@Nullable Object value) {
        String text = value == null ? "nothing" : value.toString();
        return text.length() <= SHOWN ? text : text.substring(0, SHOWN) + "…";
    }

    /**
     * The code is what a batch is called on labels: where another has it, it gets a letter, as on a day with several.
     */
    private Row withFreeCode(Row batch, List<String> words) {
        String code = batch.required("code").toString();
        String free = code;
        for (char letter = 'b'; letter <= 'z' && isTaken(free); letter++) {
            free = code + letter;
        }
        if (isTaken(free)) {
            throw new DocumentFault("Its code " + code + " is taken here, with every letter behind it.");
        }
        if (free.equals(code)) {
            return batch;
        }
        words.add("Another batch has the code " + code + " here; this one becomes " + free + ".");
        Map<String, @Nullable Object> values = new HashMap<>(batch.values());
        values.put("code", free);
        return new Row(batch.table(), values);
    }

    private boolean isTaken(String code) {
        return exists("batch", "code", code);
    }

    private boolean exists(String table, String column, Object value) {
        Integer found = jdbc.queryForObject(
                "select count(*) from " + table + " where " + column + " = ?", Integer.class, value);
        return found != null && found > 0;
    }

    private void check(Document document, List<String> words) {
        document.rows().forEach(row -> {
            Object plan = row.table().json().contains("plan") ? row.get("plan") : null;
            if (plan != null) {
                batches.faultOfPlan(plan.toString()).ifPresent(f -> {
                    throw new DocumentFault("Its plan " + f + ".");
                });
            }
        });
        if (document.kind() == DocumentKind.RECIPE
                && document.of("recipe_version").isEmpty()) {
            throw new DocumentFault("It has no version: there is nothing to make.");
        }
        if (document.kind() == DocumentKind.BATCH) {
            checkLog(document, words);
        }
    }

    private void checkLog(Document document, List<String> words) {
        Instant begun = (Instant) document.root().required("begun_at");
        if (!batches.canBe(begun)) {
            throw new DocumentFault("It was begun at " + begun + ", which has not come yet.");
        }
        Set<Object> places = new HashSet<>();
        int damaged = 0;
        for (Row line : document.of("log_revision")) {
            if (!places.add(String.valueOf(place(line)))) {
                throw new DocumentFault("A line of its log has the same revision twice.");
            }
            BatchArrivals.Line stands = batches.line(line.required("entry").toString());
            if (stands == BatchArrivals.Line.FROM_THE_FUTURE) {
                throw new DocumentFault(
                        "A line of its log says what only a newer Causticon knows: \"" + shortened(line.get("entry"))
                                + "\". Without it this batch" + " could be something else than it is.");
            }
            damaged += stands == BatchArrivals.Line.DAMAGED ? 1 : 0;
        }
        if (damaged > 0) {
            words.add(damaged + (damaged == 1 ? " line" : " lines")
                    + " of its log cannot be understood: kept word for word, counting for nothing.");
        }
    }

    /** The rows without what they point at and nobody has. */
    private List<Row> pointed(Document document, Arriving arriving, List<String> words) {
        List<Row> rows = new ArrayList<>();
        int pictures = 0;
        for (Row row : document.rows()) {
            if (row.table().name().equals("photo") && !hasPictures(row, arriving)) {
                pictures += exists("photo", "id", row.key()) ? 0 : 1;
                continue;
            }
            rows.add(pointed(row, arriving, words));
        }
        if (pictures > 0) {
            words.add(pictures + (pictures == 1 ? " picture is" : " pictures are") + " not in the file.");
        }
        return rows;
    }

    private static boolean hasPictures(Row photo, Arriving arriving) {
        return arriving.hasPicture().test(photo.required("image").toString())
                && arriving.hasPicture().test(photo.required("thumbnail").toString());
    }

    private Row pointed(Row row, Arriving arriving, List<String> words) {
        Row done = row;
        for (String column : List.of(RECIPE, BATCH)) {
            Object to = row.get(column);
            boolean lost = to != null
                    && !column.equals(row.table().parent())
                    && !arriving.ids().contains(to)
                    && !exists(column.equals(RECIPE) ? "recipe" : "batch", "id", to);
            if (lost && mayBeAlone(row.table(), column)) {
                Map<String, @Nullable Object> values = new HashMap<>(done.values());
                values.put(column, null);
                done = new Row(row.table(), values);
                if (row.table().name().equals("batch")) {
                    words.add("Its recipe is not here and did not come along; its plan did.");
                }
            } else if (lost) {
                throw new DocumentFault("It speaks of a " + (column.equals(RECIPE) ? "recipe" : "batch")
                        + " that is not here and did not come along.");
            }
        }
        return done;
    }

    private static boolean mayBeAlone(DocumentTable table, String column) {
        return switch (table.name()) {
            case "batch", "recipe_draft", "device" -> true;
            case "trial" -> column.equals(RECIPE);
            default -> false;
        };
    }

    private static String counted(List<Row> rows) {
        Map<String, Long> counts = rows.stream()
                .collect(Collectors.groupingBy(r -> r.table().list(), LinkedHashMap::new, Collectors.counting()));
        return counts.entrySet().stream()
                .map(e -> e.getValue() + " of " + words(e.getKey()))
                .collect(Collectors.joining(", "));
    }

    /** {@code plannedMakings} in words. */
    private static String words(String list) {
        return list.replaceAll("([A-Z])", " $1").toLowerCase(java.util.Locale.ROOT);
    }

    private Sifted lists(Document document, Arriving arriving) {
        List<Row> add = new ArrayList<>();
        List<String> words = new ArrayList<>();
        int same = 0;
        int different = 0;
        for (Row row : document.rows()) {
            if (row.table().name().equals("workshop")) {
                continue;
            }
            Row told;
            try {
                told = pointed(row, arriving, words);
            } catch (DocumentFault e) {
                words.add(words(row.table().list()) + " " + shortened(row.key())
                        + " is left out: it belongs to what is not here.");
                continue;
            }
            Optional<Row> here = followsFromWhatComes(told, arriving) ? Optional.empty() : here(told);
            if (here.isEmpty()) {
                add.add(told);
            } else if (differing(told, here.get()).isEmpty()) {
                same++;
            } else {
                different++;
                words.add(words(row.table().list()) + " " + name(told) + " stays as it is here: "
                        + differing(
                                told,
                                here.get(),
                                differing(told, here.get()).iterator().next()) + ".");
            }
        }
        if (!add.isEmpty()) {
            words.add(0, counted(add) + " not here yet.");
        }
        Novelty novelty = !add.isEmpty()
                ? same + different == 0 ? Novelty.NEW : Novelty.MORE
                : different > 0 ? Novelty.DIFFERENT : Novelty.SAME;
        return new Sifted(title(document), novelty, add, List.of(), words);
    }

    /**
     * Scraps of a batch that is new here: what the batch brought along of itself is not to stand in the way of what was
     * told of it.
     */
    private static boolean followsFromWhatComes(Row row, Arriving arriving) {
        return row.table().name().equals("scrap")
                && row.get(BATCH) != null
                && arriving.fresh().contains(row.get(BATCH));
    }

    private Optional<Row> here(Row row) {
        Optional<Row> same = documents.row(row.table(), row.key());
        String unique = row.table().unique();
        return same.isPresent() || unique == null
                ? same
                : documents.rowWith(row.table(), unique, row.required(unique)).map(r -> withKeyOf(r, row));
    }

    /** Another id for what has the same name is no difference. */
    private static Row withKeyOf(Row here, Row came) {
        Map<String, @Nullable Object> values = new HashMap<>(here.values());
        values.put(came.table().key(), came.key());
        return new Row(here.table(), values);
    }

    private static String name(Row row) {
        Object name = Optional.ofNullable(row.get("name"))
                .or(() -> Optional.ofNullable(row.get("label")))
                .orElse(row.key());
        return shortened(name instanceof UUID ? name.toString().substring(0, 8) : name);
    }
}
