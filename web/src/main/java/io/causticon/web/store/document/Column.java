package io.causticon.web.store.document;

import java.util.Locale;

/**
 * A column of a table and the field of a document that tells it.
 *
 * @param name in the table, in small letters
 * @param type what it holds
 * @param longest letters that it may have; 0 where it has none
 * @param required whether something must stand there
 * @param defaulted whether the table knows what to put where nothing is told
 */
record Column(String name, FieldType type, int longest, boolean required, boolean defaulted) {

    /** {@code made_at} is called {@code madeAt}. */
    String field() {
        return field(name);
    }

    static String field(String column) {
        StringBuilder field = new StringBuilder();
        for (String word : column.toLowerCase(Locale.ROOT).split("_")) {
            field.append(field.isEmpty() ? word : word.substring(0, 1).toUpperCase(Locale.ROOT) + word.substring(1));
        }
        return field.toString();
    }
}
