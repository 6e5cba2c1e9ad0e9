package io.causticon.web.store.batch;

import com.fasterxml.jackson.annotation.JsonAutoDetect.Visibility;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import com.github.benmanes.caffeine.cache.Cache;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.said.entry.EntryCheck;
import io.causticon.core.model.said.entry.EntryKind;
import io.causticon.core.model.said.entry.EntryKinds;
import io.causticon.web.shared.Caches;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.ValueSerializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.jsontype.NamedType;
import tools.jackson.databind.module.SimpleModule;

/**
 * Writes entries of the log for keeping and reads them again. Under which name and in which version a kind is kept
 * stands in its descriptor; what an older program kept is read, what a newer one kept is a line that cannot be
 * understood here.
 */
@Component
public class EntryCodec {

    @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "type")
    private interface Kinds {}

    private static final int REMEMBERED = 20_000;

    /** Stands right after the type, where it is more than 1. */
    private static final Pattern VERSION = Pattern.compile("^\\{\"type\":\"([a-z-]+)\",\"v\":(\\d{1,4})");

    private static final Map<String, EntryKind<?>> BY_NAME = EntryKinds.byName();

    private final Cache<String, Entry> recent = Caches.atMost(REMEMBERED).build();

    private final JsonMapper mapper = mapper();

    private static JsonMapper mapper() {
        JsonMapper.Builder builder = JsonMapper.builder()
                .addMixIn(Entry.class, Kinds.class)
                .addModule(new SimpleModule("names")
                        .addSerializer(Named.class, new WriteNamed())
                        .addDeserializer(Named.class, new ReadNamed()))
                .changeDefaultVisibility(v -> v.withGetterVisibility(Visibility.NONE)
                        .withIsGetterVisibility(Visibility.NONE)
                        .withFieldVisibility(Visibility.ANY));
        EntryKinds.ALL.stream()
                .filter(k -> k.type() != Entry.Unreadable.class)
                .forEach(k -> builder.registerSubtypes(new NamedType(k.type(), k.name())));
        return builder.build();
    }

    public String write(Entry entry) {
        if (entry instanceof Entry.Unreadable u) {
            return u.kept();
        }
        String json = mapper.writerFor(Entry.class).writeValueAsString(entry);
        EntryKind<?> kind = EntryKinds.of(entry);
        String type = "{\"type\":\"" + kind.name() + "\"";
        return kind.version() == 1 ? json : type + ",\"v\":" + kind.version() + json.substring(type.length());
    }

    /**
     * Reads an entry that somebody else wrote, and says what is wrong with it.
     *
     * @throws JacksonException if it is none, with the place in it
     * @throws io.causticon.core.problem.ProblemsException if it cannot stand in a log
     */
    public Entry readStrictly(String json) {
        Entry entry = mapper.readValue(json, Entry.class);
        EntryCheck.of(entry).throwIfAny();
        return entry;
    }

    /**
     * A revision is never changed, so what it says is read once and remembered. Whatever stands there, it is an entry.
     */
    public Entry read(String kept) {
        return recent.get(kept, this::entry);
    }

    private Entry entry(String kept) {
        if (isFromTheFuture(kept)) {
            return new Entry.Unreadable(kept);
        }
        try {
            Entry entry = mapper.readValue(kept, Entry.class);
            return entry != null && EntryCheck.isSound(entry) ? entry : new Entry.Unreadable(kept);
        } catch (JacksonException e) {
            return new Entry.Unreadable(kept);
        }
    }

    /** Kept by a newer program: half of it might mean something else. */
    static boolean isFromTheFuture(String kept) {
        Matcher version = VERSION.matcher(kept);
        if (!version.find()) {
            return false;
        }
        EntryKind<?> kind = BY_NAME.get(version.group(1));
        return kind == null || Integer.parseInt(version.group(2)) > kind.version();
    }

    /** A name without an id is kept as the name alone, as every name was before there were ids. */
    private static final class WriteNamed extends ValueSerializer<Named> {

        @Override
        public void serialize(Named named, JsonGenerator json, SerializationContext context) {
            if (named.id() == null) {
                json.writeString(named.name());
                return;
            }
            json.writeStartObject();
            json.writeStringProperty("id", named.id());
            json.writeStringProperty("name", named.name());
            json.writeEndObject();
        }
    }

    private static final class ReadNamed extends ValueDeserializer<Named> {

        @Override
        public Named deserialize(JsonParser json, DeserializationContext context) {
            if (json.currentToken() == JsonToken.VALUE_STRING) {
                return Named.called(json.getString());
            }
            JsonNode node = context.readTree(json);
            JsonNode name = node.get("name");
            if (name == null || !name.isString()) {
                return context.reportInputMismatch(Named.class, "a name is missing");
            }
            JsonNode id = node.get("id");
            return new Named(id == null || id.isNull() ? null : id.asString(), name.asString());
        }
    }
}
