package io.causticon.web.store.document;

import java.util.List;

/**
 * A document that was read.
 *
 * @param kind what it is of
 * @param rows all of them; the first is the one that it is of, where it is of one
 */
public record Document(DocumentKind kind, List<Row> rows) {

    public List<Row> of(String table) {
        return rows.stream().filter(r -> r.table().name().equals(table)).toList();
    }

    /** The row that it is of. */
    public Row root() {
        return rows.get(0);
    }
}
