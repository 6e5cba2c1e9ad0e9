package io.causticon.web.store.document;

import java.sql.PreparedStatement;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * Adds rows of documents to the tables, keeps account of them, and takes them away again. All within a transaction of
 * whoever calls.
 */
@Component
public class RowStore {

    private static final Map<String, DocumentTable> TABLES = Stream.of(DocumentKind.values())
            .flatMap(k -> k.tables().stream())
            .collect(Collectors.toMap(DocumentTable::name, t -> t));

    private static final String DID_NOT_COME =
            " and not exists (select 1 from arrived_row x where x.arrival_id = ? and x.table_name = '%s' and x.row_key"
                    + " = cast(%s.id as varchar))";

    /** A batch that came, with a line that did not. */
    private static final String LINES_SINCE =
            "select b.name from arrived_row a join batch b on b.id = cast(a.row_key as uuid)"
                    + " join log_revision l on l.batch_id = b.id where a.arrival_id = ? and a.table_name = 'batch'"
                    + String.format(DID_NOT_COME, "log_revision", "l");

    /** A line that came, with a revision that did not. */
    private static final String AMENDED_SINCE =
            "select b.name from arrived_row a join log_revision c on c.id = cast(a.row_key as uuid) join log_revision"
                    + " l on l.line_id = c.line_id and l.revision > c.revision join batch b on b.id = l.batch_id where"
                    + " a.arrival_id = ? and a.table_name = 'log_revision'"
                    + String.format(DID_NOT_COME, "log_revision", "l");

    /** A recipe that came, with a version that did not. */
    private static final String VERSIONS_SINCE =
            "select r.name from arrived_row a join recipe r on r.id = cast(a.row_key as uuid)"
                    + " join recipe_version v on v.recipe_id = r.id where a.arrival_id = ? and a.table_name = 'recipe'"
                    + String.format(DID_NOT_COME, "recipe_version", "v");

    private final JdbcTemplate jdbc;
    private final Tables tables;

    RowStore(JdbcTemplate jdbc, Tables tables) {
        this.jdbc = jdbc;
        this.tables = tables;
    }

    /** The account of one arrival. */
    public Ledger ledger(UUID arrival) {
        Integer size =
                jdbc.queryForObject("select count(*) from arrived_row where arrival_id = ?", Integer.class, arrival);
        return new Ledger(arrival, size == null ? 0 : size);
    }

    /** What one arrival added. */
    public final class Ledger {

        private final UUID arrival;
        private int size;

        private Ledger(UUID arrival, int size) {
            this.arrival = arrival;
            this.size = size;
        }

        public int size() {
            return size;
        }

        /**
         * Adds a row.
         *
         * @param picture gives the bytes of a picture by the name of its file
         */
        public void add(Row row, Function<String, byte[]> picture) {
            DocumentTable table = row.table();
            // What follows from a log may be there already, written as it follows here: where it came along, it is as
            // it was there.
            if (table.name().equals("scrap")) {
                jdbc.update("delete from scrap where id = ? and batch_id is not null", row.key());
            }
            Map<String, @Nullable Object> values = new HashMap<>(stays(table));
            Map<String, Column> columns =
                    tables.columns(table).stream().collect(Collectors.toMap(Column::name, c -> c));
            row.values()
                    .forEach((name, value) -> values.put(
                            name,
                            value != null
                                            && columns.get(name) != null
                                            && columns.get(name).type() == FieldType.PICTURE
                                    ? picture.apply(value.toString())
                                    : value));
            if (table.name().equals("device")) {
                values.put("batch_id", null);
            }
            List<String> names = new ArrayList<>(values.keySet());
            jdbc.update(
                    "insert into " + table.name() + " (" + String.join(", ", names) + ") values ("
                            + names.stream().map(n -> "?").collect(Collectors.joining(", ")) + ")",
                    (PreparedStatement statement) -> {
                        for (int i = 0; i < names.size(); i++) {
                            statement.setObject(i + 1, stored(values.get(names.get(i))));
                        }
                    });
            note(table.name(), row.key().toString());
        }

        private @Nullable Object stored(@Nullable Object value) {
            return value instanceof Instant at ? at.atOffset(ZoneOffset.UTC) : value;
        }

        /**
         * What stays with a workshop is made anew where the rest arrives: a device that came opens nothing until it is
         * given a token, and reads no batch.
         */
        private Map<String, Object> stays(DocumentTable table) {
            return table.name().equals("device")
                    ? Map.of(
                            "token_hash",
                            (UUID.randomUUID().toString() + UUID.randomUUID()).replace("-", ""),
                            "last_sequence",
                            0L)
                    : Map.of();
        }

        private void note(String table, String key) {
            jdbc.update(
                    "insert into arrived_row (arrival_id, place, table_name, row_key) values (?, ?, ?, ?)",
                    arrival,
                    size++,
                    table,
                    key);
        }

        /**
         * A recipe that was made of what came goes with it. Within the transaction that made it, after it was written.
         */
        public void noteRecipe(UUID recipe) {
            note("recipe", recipe.toString());
            jdbc.queryForList("select id from recipe_version where recipe_id = ?", UUID.class, recipe)
                    .forEach(v -> note("recipe_version", v.toString()));
        }

        /**
         * A batch that was begun of what came goes with it, with its log. Within the transaction that began it, after
         * it was written.
         */
        public void noteBatch(UUID batch) {
            note("batch", batch.toString());
            jdbc.queryForList("select id from log_revision where batch_id = ?", UUID.class, batch)
                    .forEach(this::noteLine);
        }

        /** A line that followed from what came, as that its batch is held, goes with it. */
        public void noteLine(UUID revision) {
            note("log_revision", revision.toString());
        }

        /** Keys of what was added to a table. */
        public List<Object> keys(String table) {
            return jdbc
                    .queryForList(
                            "select row_key from arrived_row where arrival_id = ? and table_name = ?",
                            String.class,
                            arrival,
                            table)
                    .stream()
                    .map(k -> key(table, k))
                    .toList();
        }

        private Object key(String table, String key) {
            DocumentTable of = TABLES.get(table);
            boolean id =
                    tables.columns(of).stream().anyMatch(c -> c.name().equals(of.key()) && c.type() == FieldType.ID);
            return id ? UUID.fromString(key) : key;
        }

        /** Batches that lines were added to. */
        public List<Object> batchesOfLines() {
            return new ArrayList<>(jdbc.queryForList(
                    "select distinct l.batch_id from arrived_row a join log_revision l on l.id = cast(a.row_key as"
                            + " uuid) where a.arrival_id = ? and a.table_name = 'log_revision'",
                    UUID.class,
                    arrival));
        }

        /** The first thing that came and was written to since, by its name; empty if none was. */
        public Optional<String> grownSince() {
            return Stream.of(LINES_SINCE, AMENDED_SINCE, VERSIONS_SINCE)
                    .flatMap(query -> jdbc.queryForList(query, String.class, arrival, arrival).stream())
                    .findFirst();
        }

        /** Takes away all that was added, the last first. */
        public void takeBack() {
            record Added(String table, String key) {}
            List<Added> added = jdbc.query(
                    "select table_name, row_key from arrived_row where arrival_id = ? order by place desc",
                    (found, i) -> new Added(found.getString(1), found.getString(2)),
                    arrival);
            for (Added row : added) {
                DocumentTable table = TABLES.get(row.table());
                if (table != null) {
                    if (table.name().equals("device")) {
                        // What it read meanwhile and nobody logged.
                        jdbc.update("delete from device_reading where device_id = ?", key(row.table(), row.key()));
                    }
                    jdbc.update(
                            "delete from " + table.name() + " where " + table.key() + " = ?",
                            key(row.table(), row.key()));
                }
            }
        }
    }
}
