package io.causticon.web.store.document;

import java.io.InputStream;
import java.io.OutputStream;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.ResultSetExtractor;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Writes documents of what is kept. */
@Component
public class Documents {

    private final JdbcTemplate jdbc;
    private final Tables tables;
    private final JsonTexts texts = new JsonTexts();

    Documents(JdbcTemplate jdbc, Tables tables) {
        this.jdbc = jdbc;
        this.tables = tables;
    }

    /** Which there are of a kind, in their order. */
    public List<Object> keys(DocumentKind kind) {
        DocumentTable root = kind.root().orElseThrow();
        return jdbc.queryForList(
                "select " + root.key() + " from " + root.name() + " order by " + root.order(), Object.class);
    }

    /**
     * The document of one recipe, batch or trial, or that of the shelf or the workshop.
     *
     * @param key which one; not asked where there is but one
     * @return empty if there is none
     */
    public Optional<byte[]> json(DocumentKind kind, Object key) {
        List<Row> rows = rows(kind, key);
        return kind.root().isPresent() && rows.isEmpty()
                ? Optional.empty()
                : Optional.of(texts.write(written(kind, rows)));
    }

    /** All rows of a document, as they are kept. */
    public List<Row> rows(DocumentKind kind, Object key) {
        List<Row> rows = new ArrayList<>();
        kind.root().ifPresent(root -> rows.addAll(found(root, "where " + root.key() + " = ?", key)));
        if (kind.root().isPresent() && rows.isEmpty()) {
            return rows;
        }
        for (DocumentTable list : kind.lists()) {
            rows.addAll(list.parent() == null ? found(list, "") : found(list, "where " + list.parent() + " = ?", key));
        }
        return rows;
    }

    /** What each document of a kind begins with, in their order. */
    public List<Row> roots(DocumentKind kind) {
        return found(kind.root().orElseThrow(), "");
    }

    /** The row of a table with this key, as it is kept. */
    public Optional<Row> row(DocumentTable table, Object key) {
        return found(table, "where " + table.key() + " = ?", key).stream().findFirst();
    }

    /** The row that has this in a column which no two share. */
    public Optional<Row> rowWith(DocumentTable table, String column, Object value) {
        return found(table, "where " + column + " = ?", value).stream().findFirst();
    }

    private List<Row> found(DocumentTable table, String where, Object... values) {
        List<Column> columns = tables.columns(table);
        String names = columns.stream()
                // A picture is a file beside the document.
                .map(c -> c.type() == FieldType.PICTURE
                        ? "case when " + c.name() + " is null then 0 else 1 end as " + c.name()
                        : c.name())
                .collect(Collectors.joining(", "));
        return jdbc.query(
                "select " + names + " from " + table.name() + " " + where + " order by " + table.order(),
                (found, i) -> row(table, columns, found),
                values);
    }

    private static Row row(DocumentTable table, List<Column> columns, ResultSet found) throws SQLException {
        Map<String, @Nullable Object> values = new HashMap<>();
        for (Column c : columns) {
            values.put(c.name(), value(c, found));
        }
        columns.stream()
                .filter(c -> c.type() == FieldType.PICTURE && values.get(c.name()) != null)
                .forEach(c -> values.put(c.name(), PictureFiles.name(c.name(), values.get(table.key()))));
        return new Row(table, values);
    }

    private static @Nullable Object value(Column c, ResultSet found) throws SQLException {
        Object value = switch (c.type()) {
            case ID, FLAG -> found.getObject(c.name());
            case TEXT, JSON -> found.getString(c.name());
            case WHOLE, PICTURE -> found.getLong(c.name());
            case NUMBER -> found.getDouble(c.name());
            case MONEY -> found.getBigDecimal(c.name());
            case MOMENT -> moment(found.getObject(c.name(), OffsetDateTime.class));
            case DAY -> found.getObject(c.name(), java.time.LocalDate.class);
        };
        return found.wasNull() ? null : value;
    }

    private static @Nullable Instant moment(@Nullable OffsetDateTime at) {
        return at == null ? null : at.toInstant();
    }

    private ObjectNode written(DocumentKind kind, List<Row> rows) {
        ObjectNode document = JsonNodeFactory.instance.objectNode();
        document.put("format", kind.format());
        document.put("version", kind.version());
        ObjectNode inside = kind.root()
                .map(r -> document.set(r.list(), written(rows.get(0))))
                .map(d -> (ObjectNode) d.get(kind.root().orElseThrow().list()))
                .orElse(document);
        for (DocumentTable list : kind.lists()) {
            var array = inside.putArray(list.list());
            rows.stream().filter(r -> r.table().equals(list)).forEach(r -> array.add(written(r)));
        }
        return document;
    }

    private JsonNode written(Row row) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        for (Column c : tables.columns(row.table())) {
            Object value = row.get(c.name());
            // Where a row belongs is told by where it stands, and what is not there by its absence.
            if (value != null && !c.name().equals(row.table().parent())) {
                node.set(c.field(), c.type().write(value, texts));
            }
        }
        return node;
    }

    /** Copies a picture out; nothing where there is none. */
    public void picture(String name, OutputStream to) {
        PictureFiles.Place place = PictureFiles.place(name);
        jdbc.query(
                "select " + place.column() + " from photo where id = ?",
                (ResultSetExtractor<Void>) found -> {
                    if (found.next()) {
                        try (InputStream in = found.getBinaryStream(1)) {
                            in.transferTo(to);
                        } catch (java.io.IOException e) {
                            throw new java.io.UncheckedIOException(e);
                        }
                    }
                    return null;
                },
                place.id());
    }
}
