package io.causticon.web.store.document;

import com.github.victools.jsonschema.generator.CustomDefinition;
import com.github.victools.jsonschema.generator.Option;
import com.github.victools.jsonschema.generator.OptionPreset;
import com.github.victools.jsonschema.generator.SchemaBuilder;
import com.github.victools.jsonschema.generator.SchemaGenerator;
import com.github.victools.jsonschema.generator.SchemaGeneratorConfigBuilder;
import com.github.victools.jsonschema.generator.SchemaVersion;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.plan.PlanField;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.said.entry.EntryKind;
import io.causticon.core.model.said.entry.EntryKinds;
import java.nio.charset.StandardCharsets;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * The published schemas of the documents (JSON Schema, draft 2020-12), made from the tables and from what plans and
 * lines of logs are kept as.
 */
final class FormatSchemas {

    private static final JsonMapper MAPPER =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
    private static final Set<String> OF_PLANS = Set.of(
            "AdditiveKept",
            "ExtraKept",
            "FatKept",
            "LiquidKept",
            "Mould",
            "OwnFat",
            "OwnFragrance",
            "Point",
            "PortionKept",
            "PouringKept",
            "ReworkKept",
            "ScrapKept",
            "Vessel");
    private static final String PLAN = "io.causticon.web.store.batch.PlanCodec$Kept";

    private final Tables tables;

    FormatSchemas(Tables tables) {
        this.tables = tables;
    }

    static String fileName(DocumentKind kind) {
        return kind.words() + ".schema.json";
    }

    /** Text of the schema of one kind of document. */
    String of(DocumentKind kind) {
        ObjectNode schema = MAPPER.createObjectNode();
        schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.put("$id", "urn:causticon:" + kind.words() + ":" + kind.version());
        schema.put("title", "A " + kind.words() + " as Causticon writes it, version " + kind.version());
        schema.put(
                "description",
                "Masses in grams, temperatures in degrees Celsius, lengths in millimetres, shares in fractions of one,"
                        + " moments in UTC.");
        SchemaBuilder parts = generator().buildMultipleSchemaDefinitions();
        object(schema, List.of("format", "version"));
        ObjectNode fields = schema.putObject("properties");
        fields.putObject("format").put("const", kind.format());
        fields.putObject("version").put("const", kind.version());
        ObjectNode inside = schema;
        if (kind.root().isPresent()) {
            DocumentTable root = kind.root().get();
            inside = row(root, parts);
            fields.set(root.list(), inside);
            ((ArrayNode) schema.get("required")).add(root.list());
        }
        for (DocumentTable list : kind.lists()) {
            ObjectNode array = ((ObjectNode) inside.get("properties")).putObject(list.list());
            array.put("type", "array");
            array.set("items", row(list, parts));
        }
        Map<PlanField<?>, JsonNode> settings = new LinkedHashMap<>();
        if (kind == DocumentKind.RECIPE || kind == DocumentKind.BATCH || kind == DocumentKind.TRIAL) {
            PlanFields.ALL.forEach(f -> settings.put(f, setting(f, parts)));
        }
        ObjectNode reference = settings.isEmpty() ? MAPPER.createObjectNode() : parts.createSchemaReference(plan());
        ObjectNode definitions = parts.collectDefinitions("$defs");
        String planName = reference.path("$ref").asString("").replace("#/$defs/", "");
        if (definitions.path(planName) instanceof ObjectNode plan) {
            ObjectNode properties = (ObjectNode) plan.get("properties");
            properties.putObject("version").put("type", "integer").put("minimum", 1);
            settings.forEach((f, type) -> put(f, type, plan, properties));
        }
        // What is not in the schema of a plan is refused by its name, at any depth of it.
        definitions.properties().stream()
                .filter(d -> d.getKey().equals(planName) || OF_PLANS.contains(d.getKey()))
                .forEach(d -> ((ObjectNode) d.getValue()).put("additionalProperties", false));
        if (!definitions.isEmpty()) {
            schema.set("$defs", definitions);
        }
        return new String(MAPPER.writeValueAsBytes(schema), StandardCharsets.UTF_8) + "\n";
    }

    /** Where its path leads; what is always written is required. */
    private static void put(PlanField<?> field, JsonNode type, ObjectNode plan, ObjectNode properties) {
        int dot = field.kept().indexOf('.');
        if (dot < 0) {
            properties.set(field.kept(), type);
        } else {
            ObjectNode object = properties.withObject("/" + field.kept().substring(0, dot));
            object.putArray("type").add("object").add("null");
            object.put("additionalProperties", false);
            object.withObject("/properties").set(field.kept().substring(dot + 1), type);
        }
        if (field.isAlwaysKept()) {
            plan.withArray("/required").add(field.kept());
        }
    }

    private static JsonNode setting(PlanField<?> field, SchemaBuilder parts) {
        ObjectNode type = MAPPER.createObjectNode();
        ArrayNode types = MAPPER.createArrayNode();
        switch (field.kind()) {
            case TEMPERATURE, MASS -> types.add("number");
            case COUNT -> types.add("integer");
            case SWITCH -> types.add("boolean");
            case CHOICE, VESSEL -> {
                ArrayNode either = type.putArray("anyOf");
                either.addObject().put("type", "null");
                either.add(parts.createSchemaReference(field.type()));
                return type;
            }
        }
        type.set("type", types.add("null"));
        field.possible().ifPresent(p -> type.put("minimum", p.low()).put("maximum", p.high()));
        return type;
    }

    private static void object(ObjectNode node, List<String> required) {
        node.put("type", "object");
        ArrayNode names = node.putArray("required");
        required.forEach(names::add);
        node.put("additionalProperties", false);
    }

    private ObjectNode row(DocumentTable table, SchemaBuilder parts) {
        List<Column> columns = tables.columns(table).stream()
                .filter(c -> !c.name().equals(table.parent()))
                .toList();
        ObjectNode row = MAPPER.createObjectNode();
        object(
                row,
                columns.stream()
                        .filter(c -> c.required() && !c.defaulted())
                        .map(Column::field)
                        .toList());
        ObjectNode fields = row.putObject("properties");
        columns.forEach(c -> field(fields.putObject(c.field()), c, parts));
        return row;
    }

    private static void field(ObjectNode field, Column c, SchemaBuilder parts) {
        switch (c.type()) {
            case TEXT -> field.put("type", "string").put("maxLength", c.longest());
            case ID -> field.put("type", "string").put("format", "uuid");
            case MOMENT -> field.put("type", "string").put("format", "date-time");
            case DAY -> field.put("type", "string").put("format", "date");
            case WHOLE -> field.put("type", "integer");
            case NUMBER, MONEY -> field.put("type", "number");
            case FLAG -> field.put("type", "boolean");
            case PICTURE -> field.put("type", "string").put("pattern", "^photos/[0-9a-f-]{36}(-small)?\\.jpg$");
            case JSON -> kept(field, c, parts);
        }
    }

    /** What was damaged before it left is told word for word. */
    private static void kept(ObjectNode field, Column c, SchemaBuilder parts) {
        ArrayNode either = field.putArray("anyOf");
        if (c.name().equals("entry")) {
            EntryKinds.ALL.stream()
                    .filter(k -> k.type() != Entry.Unreadable.class)
                    .sorted(Comparator.comparing(EntryKind::name))
                    .forEach(k -> either.add(entry(k, parts)));
        } else {
            either.add(parts.createSchemaReference(plan()));
        }
        either.addObject().put("type", "string").put("description", "what cannot be understood, as it is kept");
    }

    private static ObjectNode entry(EntryKind<?> kind, SchemaBuilder parts) {
        ObjectNode entry = MAPPER.createObjectNode();
        ArrayNode all = entry.putArray("allOf");
        ObjectNode type = all.addObject();
        type.put("type", "object");
        type.putArray("required").add("type");
        ObjectNode fields = type.putObject("properties");
        fields.putObject("type").put("const", kind.name());
        fields.putObject("v").put("type", "integer").put("minimum", 1).put("maximum", kind.version());
        all.add(parts.createSchemaReference(kind.type()));
        return entry;
    }

    private static Class<?> plan() {
        try {
            return Class.forName(PLAN);
        } catch (ClassNotFoundException e) {
            throw new IllegalStateException("Impossible state: no " + PLAN, e);
        }
    }

    private static SchemaGenerator generator() {
        SchemaGeneratorConfigBuilder config = new SchemaGeneratorConfigBuilder(
                        JsonMapper.builder().build(), SchemaVersion.DRAFT_2020_12, OptionPreset.PLAIN_JSON)
                .with(Option.DEFINITIONS_FOR_ALL_OBJECTS);
        config.forFields().withNullableCheck(f -> true);
        config.forTypesInGeneral().withCustomDefinitionProvider((type, context) -> {
            if (type.getErasedType() != Named.class) {
                return null;
            }
            ObjectNode named = MAPPER.createObjectNode();
            ArrayNode either = named.putArray("anyOf");
            either.addObject().put("type", "string");
            ObjectNode known = either.addObject();
            object(known, List.of("id", "name"));
            ObjectNode fields = known.putObject("properties");
            fields.putObject("id").put("type", "string");
            fields.putObject("name").put("type", "string");
            return new CustomDefinition(named);
        });
        return new SchemaGenerator(config.build());
    }
}
