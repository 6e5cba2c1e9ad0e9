package io.causticon.web.store.batch;

import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * Statements that write the rows of a mapped table, and what to fill in. The columns follow from the fields of its row,
 * as in the mapping: nobody writes them down a second time.
 *
 * @param <R> its row
 */
final class PlainTable<R> {

    private final List<Field> fields;
    private final String insert;
    private final String update;

    PlainTable(Class<R> row) {
        List<Field> all = Arrays.stream(row.getDeclaredFields())
                .filter(f -> !Modifier.isStatic(f.getModifiers()))
                .toList();
        // The key comes first.
        this.fields = Stream.concat(
                        all.stream().filter(PlainTable::isKey), all.stream().filter(f -> !isKey(f)))
                .toList();
        fields.forEach(f -> f.setAccessible(true));
        String table = row.getAnnotation(Table.class).name();
        List<String> columns = fields.stream().map(f -> column(f.getName())).toList();
        this.insert = "insert into " + table + " (" + String.join(", ", columns) + ") values ("
                + String.join(", ", Collections.nCopies(columns.size(), "?")) + ")";
        this.update = "update " + table + " set "
                + columns.stream().skip(1).map(c -> c + " = ?").collect(Collectors.joining(", ")) + " where "
                + columns.get(0) + " = ?";
    }

    private static boolean isKey(Field field) {
        return field.isAnnotationPresent(Id.class);
    }

    /** {@code logVersion} is {@code log_version}. */
    private static String column(String field) {
        return field.replaceAll("([A-Z])", "_$1").toLowerCase(Locale.ROOT);
    }

    /** Wants {@link #values}. */
    String insert() {
        return insert;
    }

    /** Changes all of a row but its key; wants {@link #keyLast}. */
    String update() {
        return update;
    }

    @Nullable
    Object[] values(R row) {
        @Nullable Object[] values = new Object[fields.size()];
        for (int i = 0; i < values.length; i++) {
            try {
                Object value = fields.get(i).get(row);
                values[i] = value instanceof Instant at ? at.atOffset(ZoneOffset.UTC) : value;
            } catch (IllegalAccessException e) {
                throw new IllegalStateException("Impossible state: a field of our own that cannot be read", e);
            }
        }
        return values;
    }

    static @Nullable Object[] keyLast(@Nullable Object[] values) {
        @Nullable Object[] moved = new Object[values.length];
        System.arraycopy(values, 1, moved, 0, values.length - 1);
        moved[values.length - 1] = values[0];
        return moved;
    }
}
