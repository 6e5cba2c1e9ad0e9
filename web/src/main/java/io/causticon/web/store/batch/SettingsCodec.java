package io.causticon.web.store.batch;

import io.causticon.core.model.plan.PlanField;
import io.causticon.core.model.plan.PlanFields;
import io.causticon.core.model.plan.Settings;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * Writes what a plan says in each of its fields into the object that keeps it, and takes it out again; all of it from
 * their descriptions.
 */
final class SettingsCodec {

    private final JsonMapper mapper;

    SettingsCodec(JsonMapper mapper) {
        this.mapper = mapper;
    }

    /** What is as usual is not written, unless it always is; of what stands within an object, all or nothing. */
    void write(Settings settings, ObjectNode into) {
        Map<String, Boolean> said = new TreeMap<>();
        PlanFields.ALL.forEach(f -> said.merge(group(f), f.isAlwaysKept() || isSaid(f, settings), Boolean::logicalOr));
        PlanFields.ALL.stream().filter(f -> said.get(group(f))).forEach(f -> put(f, settings, into));
    }

    private static <T> boolean isSaid(PlanField<T> field, Settings settings) {
        return !field.isUsual(settings.get(field));
    }

    private <T> void put(PlanField<T> field, Settings settings, ObjectNode into) {
        ObjectNode object = field.kept().equals(group(field)) ? into : into.withObject("/" + group(field));
        T value = settings.get(field);
        object.set(leaf(field), value == null ? mapper.nullNode() : kept(field, value));
    }

    private <T> JsonNode kept(PlanField<T> field, T value) {
        return switch (field.kind()) {
            case TEMPERATURE, MASS -> mapper.valueToTree(field.number(value).orElseThrow());
            case CHOICE -> mapper.valueToTree(((Enum<?>) value).name());
            case COUNT, SWITCH, VESSEL -> mapper.valueToTree(value);
        };
    }

    /**
     * Takes all that is known out of what is kept: what stays behind is something else.
     *
     * @throws IllegalArgumentException if a field that is always kept is not there
     * @throws PlanCodec.UnknownField if within a field stands something that is not known
     */
    Settings take(ObjectNode from) {
        Settings settings = Settings.USUAL;
        for (PlanField<?> field : PlanFields.ALL) {
            settings = take(field, from, settings);
        }
        PlanFields.ALL.stream()
                .map(SettingsCodec::group)
                .distinct()
                .filter(g -> from.path(g).isEmpty() && from.path(g).isObject())
                .forEach(from::remove);
        PlanFields.ALL.stream()
                .filter(f -> !f.kept().equals(group(f)) && from.path(group(f)).isNull())
                .forEach(f -> from.remove(group(f)));
        return settings;
    }

    private <T> Settings take(PlanField<T> field, ObjectNode from, Settings settings) {
        JsonNode object = field.kept().equals(group(field)) ? from : from.path(group(field));
        JsonNode value = object.isObject() ? ((ObjectNode) object).remove(leaf(field)) : null;
        if (value == null || value.isNull()) {
            if (field.isAlwaysKept()) {
                throw new IllegalArgumentException("A plan lacks \u201c" + field.kept() + "\u201d.");
            }
            return settings;
        }
        return settings.with(field, read(field, value));
    }

    private <T> T read(PlanField<T> field, JsonNode value) {
        try {
            return switch (field.kind()) {
                case TEMPERATURE, MASS -> field.ofNumber(mapper.treeToValue(value, Double.class));
                case COUNT, CHOICE, SWITCH, VESSEL -> mapper.treeToValue(value, field.type());
            };
        } catch (UnrecognizedPropertyException e) {
            throw PlanCodec.UnknownField.of(field.kept(), e);
        }
    }

    /** The object that it stands in together with others, or itself. */
    private static String group(PlanField<?> field) {
        int dot = field.kept().indexOf('.');
        return dot < 0 ? field.kept() : field.kept().substring(0, dot);
    }

    private static String leaf(PlanField<?> field) {
        return field.kept().substring(field.kept().indexOf('.') + 1);
    }
}
