package io.causticon.web.store.document;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A row of a document.
 *
 * @param table which table it is of
 * @param values by column; pictures as the name of their file; what a document does not tell is not there
 */
public record Row(DocumentTable table, Map<String, @Nullable Object> values) {

    public Object key() {
        return required(table.key());
    }

    public @Nullable Object get(String column) {
        return values.get(column);
    }

    /** What stands in a column that is never empty. */
    public Object required(String column) {
        Object value = values.get(column);
        if (value == null) {
            throw new IllegalStateException("Impossible state: no " + column);
        }
        return value;
    }
}
