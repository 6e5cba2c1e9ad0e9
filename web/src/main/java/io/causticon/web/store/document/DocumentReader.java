package io.causticon.web.store.document;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.databind.JsonNode;

/** Reads documents, and says of one that cannot be read what is wrong and where. */
@Component
public class DocumentReader {

    /** A log of forty thousand lines; what is read takes ten times as much memory. */
    public static final int LARGEST = 12 * 1024 * 1024;

    private static final int SHOWN = 60;
    private static final Set<String> HEAD = Set.of("format", "version", "writtenBy");

    private final Tables tables;
    private final JsonTexts texts = new JsonTexts();

    DocumentReader(Tables tables) {
        this.tables = tables;
    }

    /** @throws DocumentFault if it is none, or not of a version that is known here, or holds what cannot be */
    public Document read(byte[] json) {
        JsonNode node = parsed(json);
        if (!node.isObject() || !node.path("format").isString()) {
            throw new DocumentFault("This is JSON, but no document of a workshop: it does not begin with \"format\":"
                    + " \"causticon/batch\" or the like.");
        }
        String format = node.get("format").stringValue();
        DocumentKind kind = DocumentKind.ofFormat(format)
                .orElseThrow(() ->
                        new DocumentFault("No document of the kind \"" + shortened(format) + "\" is known here."));
        JsonNode version = node.path("version");
        if (!version.isInt() || version.intValue() < 1) {
            throw new DocumentFault(
                    "It does not say in which version of its format it is: a whole number is missing under"
                            + " \"version\".");
        }
        if (version.intValue() > kind.version()) {
            throw new DocumentFault("It was written by a newer Causticon, in version " + version.intValue()
                    + " of its format. This one knows " + kind.version() + ".");
        }
        return new Document(kind, rows(kind, node));
    }

    private JsonNode parsed(byte[] json) {
        try {
            return texts.read(json);
        } catch (StreamConstraintsException e) {
            throw new DocumentFault(
                    "This is no document of a workshop: it is nested deeper, or its names are longer, than any of ours."
                            + where(e));
        } catch (JacksonException e) {
            throw new DocumentFault("This cannot be read as JSON: it was cut short on its way, or changed." + where(e));
        }
    }

    private static String where(JacksonException e) {
        return e.getLocation() == null || e.getLocation().getLineNr() < 1
                ? ""
                : " It breaks in line " + e.getLocation().getLineNr() + ", column "
                        + e.getLocation().getColumnNr() + ".";
    }

    private List<Row> rows(DocumentKind kind, JsonNode document) {
        List<Row> rows = new ArrayList<>();
        JsonNode inside = document;
        Set<String> lists = new HashSet<>();
        kind.lists().forEach(t -> lists.add(t.list()));
        Object root = null;
        if (kind.root().isPresent()) {
            DocumentTable table = kind.root().get();
            inside = document.path(table.list());
            onlyKnown(document, Set.of(table.list()), HEAD, "the document");
            Row row = row(table, inside, table.list(), lists, null);
            root = row.key();
            rows.add(row);
        } else {
            onlyKnown(document, lists, HEAD, "the document");
        }
        for (DocumentTable list : kind.lists()) {
            rows.addAll(list(list, inside.path(list.list()), root));
        }
        return rows;
    }

    private List<Row> list(DocumentTable table, JsonNode list, @Nullable Object root) {
        if (list.isMissingNode()) {
            return List.of();
        }
        if (!list.isArray()) {
            throw new DocumentFault("\"" + table.list() + "\" is no list.");
        }
        List<Row> rows = new ArrayList<>();
        Set<Object> keys = new HashSet<>();
        for (int i = 0; i < list.size(); i++) {
            Row row = row(table, list.get(i), table.list() + ", number " + (i + 1), Set.of(), root);
            if (!keys.add(row.key())) {
                throw new DocumentFault(table.list() + ", number " + (i + 1) + ": the same " + Column.field(table.key())
                        + " stands there twice.");
            }
            rows.add(row);
        }
        return rows;
    }

    private Row row(DocumentTable table, JsonNode node, String where, Set<String> lists, @Nullable Object root) {
        if (!node.isObject()) {
            throw new DocumentFault("\"" + table.list() + "\": an object is missing at " + where + ".");
        }
        Map<String, @Nullable Object> values = new HashMap<>();
        Set<String> fields = new HashSet<>();
        for (Column c : tables.columns(table)) {
            if (c.name().equals(table.parent())) {
                values.put(c.name(), root);
                continue;
            }
            fields.add(c.field());
            JsonNode field = node.path(c.field());
            if (!field.isMissingNode() && !field.isNull()) {
                values.put(c.name(), value(c, field, where));
            } else if (c.required() && !c.defaulted()) {
                throw new DocumentFault(where + ": \"" + c.field() + "\" is missing.");
            } else if (!c.required()) {
                values.put(c.name(), null);
            }
        }
        onlyKnown(node, fields, lists, where);
        return new Row(table, values);
    }

    private static void onlyKnown(JsonNode node, Set<String> some, Set<String> more, String where) {
        for (String name : node.propertyNames()) {
            if (!some.contains(name) && !more.contains(name)) {
                throw new DocumentFault(where + ": \"" + shortened(name) + "\" is not known here.");
            }
        }
    }

    private Object value(Column c, JsonNode node, String where) {
        Object value;
        try {
            value = c.type().read(node, texts);
        } catch (IllegalArgumentException e) {
            throw new DocumentFault(where + ": \"" + c.field() + "\" is \"" + shortened(node.toString()) + "\"; "
                    + c.type().meant() + " is meant.");
        }
        if (c.longest() > 0 && value.toString().length() > c.longest()) {
            throw new DocumentFault(where + ": \"" + c.field() + "\" has "
                    + value.toString().length() + " letters; " + c.longest() + " are possible.");
        }
        if (c.type() == FieldType.PICTURE && !PictureFiles.isOne(value.toString())) {
            throw new DocumentFault(where + ": \"" + c.field() + "\" is \"" + shortened(value.toString())
                    + "\"; photos/ID.jpg is meant.");
        }
        return value;
    }

    private static String shortened(String text) {
        String line = text.replaceAll("\\s+", " ");
        return line.length() <= SHOWN ? line : line.substring(0, SHOWN) + "…";
    }
}
