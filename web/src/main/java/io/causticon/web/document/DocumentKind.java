package io.causticon.web.document;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The kinds of documents, in the order in which they can arrive: what is pointed at comes before what points at it. Of a recipe, a batch or a trial there
 * is a document each; the shelf and the rest of the workshop are one each.
 */
public enum DocumentKind {
    SHELF(
            1,
            null,
            Table.of("mould", "moulds", "name").noTwo("name"),
            Table.of("vessel", "vessels", "name").noTwo("name"),
            Table.of("own_fat", "fats", "name").noTwo("name"),
            Table.of("own_fragrance", "fragrances", "name").noTwo("name"),
            Table.of("lot", "lots", "label").noTwo("label")),
    RECIPE(
            1,
            Table.of("recipe", "recipe", "created_at, id"),
            Table.of("recipe_version", "versions", "number").under("recipe_id").with("plan")),
    BATCH(
            1,
            Table.of("batch", "batch", "begun_at, id").without("log_version").with("plan"),
            Table.of("log_revision", "log", "happened_at, line_id, revision").under("batch_id").with("entry"),
            Table.of("photo", "photos", "created_at, id").under("batch_id")),
    TRIAL(
            1,
            Table.of("trial", "trial", "made_at, id"),
            Table.of("trial_arm", "arms", "place, id").under("trial_id").with("plan")),
    WORKSHOP(
            1,
            null,
            Table.of("workshop", "workshop", "id"),
            Table.of("planned_making", "plannedMakings", "on_day, id"),
            Table.of("recipe_draft", "recipeDrafts", "changed_at, id"),
            Table.of("device", "devices", "name").noTwo("name").without("token_hash", "last_sequence"),
            Table.of("scrap", "scraps", "id"),
            Table.of("practice_case", "practiceCases", "begun_at, id"),
            Table.of("practice_drill", "practiceDrills", "begun_at, id"),
            Table.of("practice_shown", "practiceShown", "maker").keyed("maker"));

    private static final String PREFIX = "causticon/";

    private final int version;
    private final @Nullable Table root;
    private final List<Table> lists;

    DocumentKind(int version, @Nullable Table root, Table... lists) {
        this.version = version;
        this.root = root;
        this.lists = List.of(lists);
    }

    /** Version of the format that is written now. */
    public int version() {
        return version;
    }

    /** The table whose one row the document is of; empty where it is of the whole workshop. */
    public Optional<Table> root() {
        return Optional.ofNullable(root);
    }

    public List<Table> lists() {
        return lists;
    }

    public List<Table> tables() {
        return Stream.concat(Stream.ofNullable(root), lists.stream()).toList();
    }

    /** One of its tables by name. */
    public Table table(String name) {
        return tables().stream().filter(t -> t.name().equals(name)).findFirst().orElseThrow(() -> new IllegalArgumentException(name));
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
