package io.causticon.web.store.document;

import java.sql.DatabaseMetaData;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Types;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javax.sql.DataSource;
import org.springframework.jdbc.core.ConnectionCallback;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * The columns of the tables that documents hold, as the database itself tells them: a column that is added is carried
 * without being named here.
 */
@Component
class Tables {

    private final JdbcTemplate jdbc;
    private final Map<String, List<Column>> known = new HashMap<>();

    Tables(DataSource source) {
        this.jdbc = new JdbcTemplate(source);
    }

    /** The columns that a document tells. */
    synchronized List<Column> columns(DocumentTable table) {
        return known.computeIfAbsent(table.name(), n -> {
            List<Column> columns = jdbc.execute((ConnectionCallback<List<Column>>) c -> read(c.getMetaData(), table));
            return columns == null ? List.of() : columns;
        });
    }

    private static List<Column> read(DatabaseMetaData data, DocumentTable table) throws SQLException {
        List<Column> columns = new ArrayList<>();
        try (ResultSet found = data.getColumns(null, "PUBLIC", table.name().toUpperCase(Locale.ROOT), null)) {
            while (found.next()) {
                String name = found.getString("COLUMN_NAME").toLowerCase(Locale.ROOT);
                if (table.leftOut().contains(name)) {
                    continue;
                }
                FieldType type = table.json().contains(name)
                        ? FieldType.JSON
                        : type(found.getInt("DATA_TYPE"), found.getString("TYPE_NAME"));
                columns.add(new Column(
                        name,
                        type,
                        type == FieldType.TEXT || type == FieldType.JSON ? found.getInt("COLUMN_SIZE") : 0,
                        found.getInt("NULLABLE") == DatabaseMetaData.columnNoNulls,
                        found.getString("COLUMN_DEF") != null));
            }
        }
        if (columns.isEmpty()) {
            throw new IllegalStateException("Impossible state: no table " + table.name());
        }
        return columns;
    }

    private static FieldType type(int type, String name) {
        return switch (type) {
            case Types.VARCHAR -> FieldType.TEXT;
            case Types.INTEGER, Types.BIGINT -> FieldType.WHOLE;
            case Types.DOUBLE -> FieldType.NUMBER;
            case Types.DECIMAL, Types.NUMERIC -> FieldType.MONEY;
            case Types.TIMESTAMP_WITH_TIMEZONE -> FieldType.MOMENT;
            case Types.DATE -> FieldType.DAY;
            case Types.BOOLEAN -> FieldType.FLAG;
            case Types.BLOB -> FieldType.PICTURE;
            default -> {
                if (name.equals("UUID")) {
                    yield FieldType.ID;
                }
                throw new IllegalStateException("Impossible state: no document tells a " + name);
            }
        };
    }
}
