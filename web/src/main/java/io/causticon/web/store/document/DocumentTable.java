package io.causticon.web.store.document;

import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A table as part of a document.
 *
 * @param name of the table
 * @param list what a document calls its rows
 * @param key the column that names a row
 * @param parent the column that names the row of the document it belongs to; null where it belongs to none
 * @param order how its rows stand in a document, as SQL
 * @param unique a column that no two rows share beside the key; null where there is none
 * @param leftOut columns that stay with the workshop: secrets, and what is counted anew where it arrives
 * @param json columns that hold JSON
 */
public record DocumentTable(
        String name,
        String list,
        String key,
        @Nullable String parent,
        String order,
        @Nullable String unique,
        Set<String> leftOut,
        Set<String> json) {

    static DocumentTable of(String name, String list, String order) {
        return new DocumentTable(name, list, "id", null, order, null, Set.of(), Set.of());
    }

    DocumentTable keyed(String column) {
        return new DocumentTable(name, list, column, parent, order, unique, leftOut, json);
    }

    DocumentTable under(String column) {
        return new DocumentTable(name, list, key, column, order, unique, leftOut, json);
    }

    DocumentTable noTwo(String column) {
        return new DocumentTable(name, list, key, parent, order, column, leftOut, json);
    }

    DocumentTable without(String... columns) {
        return new DocumentTable(name, list, key, parent, order, unique, Set.of(columns), json);
    }

    DocumentTable with(String... jsonColumns) {
        return new DocumentTable(name, list, key, parent, order, unique, leftOut, Set.of(jsonColumns));
    }
}
