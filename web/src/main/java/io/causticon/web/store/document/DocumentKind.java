package io.causticon.web.store.document;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The kinds of documents, in the order in which they can arrive: what is pointed at comes before what points at it. Of
 * a recipe, a batch or a trial there is a document each; the shelf and the rest of the workshop are one each.
 */
public enum DocumentKind {
    SHELF(
            1,
            null,
            DocumentTable.of("mould", "moulds", "name").noTwo("name"),
            DocumentTable.of("vessel", "vessels", "name").noTwo("name"),
            DocumentTable.of("own_fat", "fats", "name").noTwo("name"),
            DocumentTable.of("own_fragrance", "fragrances", "name").noTwo("name"),
            DocumentTable.of("lot", "lots", "label").noTwo("label")),
    RECIPE(
            1,
            DocumentTable.of("recipe", "recipe", "created_at, id"),
            DocumentTable.of("recipe_version", "versions", "number")
                    .under("recipe_id")
                    .with("plan")),
    BATCH(
            1,
            DocumentTable.of("batch", "batch", "begun_at, id")
                    .without("log_version")
                    .with("plan"),
            DocumentTable.of("log_revision", "log", "happened_at, line_id, revision")
                    .under("batch_id")
                    .with("entry"),
            DocumentTable.of("photo", "photos", "created_at, id").under("batch_id")),
    TRIAL(
            1,
            DocumentTable.of("trial", "trial", "made_at, id"),
            DocumentTable.of("trial_arm", "arms", "place, id").under("trial_id").with("plan")),
    WORKSHOP(
            1,
            null,
            DocumentTable.of("workshop", "workshop", "id"),
            DocumentTable.of("planned_making", "plannedMakings", "on_day, id"),
            DocumentTable.of("recipe_draft", "recipeDrafts", "changed_at, id"),
            DocumentTable.of("device", "devices", "name").noTwo("name").without("token_hash", "last_sequence"),
            DocumentTable.of("scrap", "scraps", "id"),
            DocumentTable.of("practice_case", "practiceCases", "begun_at, id"),
            DocumentTable.of("practice_drill", "practiceDrills", "begun_at, id"),
            DocumentTable.of("practice_shown", "practiceShown", "maker").keyed("maker"));

    private static final String PREFIX = "causticon/";

    private final int version;
    private final @Nullable DocumentTable root;
    private final List<DocumentTable> lists;

    DocumentKind(int version, @Nullable DocumentTable root, DocumentTable... lists) {
        this.version = version;
        this.root = root;
        this.lists = List.of(lists);
    }

    /** Version of the format that is written now. */
    public int version() {
        return version;
    }

    /** The table whose one row the document is of; empty where it is of the whole workshop. */
    public Optional<DocumentTable> root() {
        return Optional.ofNullable(root);
    }

    public List<DocumentTable> lists() {
        return lists;
    }

    public List<DocumentTable> tables() {
        return Stream.concat(Stream.ofNullable(root), lists.stream()).toList();
    }

    /** One of its tables by name. */
    public DocumentTable table(String name) {
        return tables().stream()
                .filter(t -> t.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(name));
    }

    /** What it is called in words. */
    public String words() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** How a document says what it is. */
    public String format() {
        return PREFIX + words();
    }

    /** That of a name in words. */
    public static Optional<DocumentKind> called(String words) {
        return Stream.of(values()).filter(k -> k.words().equals(words)).findFirst();
    }

    static Optional<DocumentKind> ofFormat(String format) {
        return Stream.of(values()).filter(k -> k.format().equals(format)).findFirst();
    }
}
