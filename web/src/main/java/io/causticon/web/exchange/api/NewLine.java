package io.causticon.web.exchange.api;

import io.causticon.web.store.batch.Answers;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A line that a program adds: an entry, or words as somebody would type them at the bench.
 *
 * @param entry as batch.schema.json has it
 * @param says words; units that are not said are those of whoever the token acts for
 * @param at when it happened; now where it is left out
 * @param answers what was asked about it before, and is so
 */
@Schema(description = "One of entry and says.")
record NewLine(
        @Schema(
                implementation = Object.class,
                description = "An entry as log/entry of batch.schema.json has it: {\"type\": \"temperature\", ...}.")
        @Nullable
        JsonNode entry,

        @Schema(
                description =
                        "Words as they are typed at the bench, such as \"batter 41 C\" or \"bar 2 104.5 g\". What is"
                                + " not understood is refused.",
                maxLength = 2000)
        @Nullable
        String says,

        @Schema(
                description =
                        "When it happened, with a zone. The moment of arrival where it is left out; none before the"
                                + " batch was begun, none to come.")
        @Nullable
        Instant at,

        @Schema(
                description =
                        "Kinds of what was asked about the line before (doubts of a 422), where whoever brings it says"
                                + " that it is so.")
        List<String> answers) {

    private static final Set<String> FIELDS = Set.of("entry", "says", "at", "answers");
    private static final JsonMapper STRICT = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();
    private static final int LONGEST = 2000;

    /** @throws BadLine with what it wants */
    static NewLine read(byte[] body) {
        JsonNode node;
        try {
            node = STRICT.readTree(body);
        } catch (JacksonException e) {
            throw new BadLine("The body is no JSON" + place(e) + ".");
        }
        if (node == null || !node.isObject()) {
            throw new BadLine("The body wants an object such as {\"says\": \"batter 41 C\"}.");
        }
        node.propertyNames().stream()
                .filter(n -> !FIELDS.contains(n))
                .findFirst()
                .ifPresent(n -> {
                    throw new BadLine(
                            "There is no field \"" + shortened(n) + "\" here; there are entry, says, at and answers.");
                });
        JsonNode entry = there(node, "entry");
        JsonNode says = there(node, "says");
        if ((entry == null) == (says == null)) {
            throw new BadLine("A line wants one of entry and says.");
        }
        if (says != null
                && (!says.isString()
                        || says.asString().isBlank()
                        || says.asString().length() > LONGEST)) {
            throw new BadLine("says wants words, at most " + LONGEST + " letters.");
        }
        if (entry != null && !entry.isObject()) {
            throw new BadLine("entry wants an object with a type.");
        }
        return new NewLine(
                entry,
                says == null ? null : says.asString(),
                moment(there(node, "at")),
                answers(there(node, "answers")));
    }

    private static List<String> answers(@Nullable JsonNode sent) {
        if (sent == null) {
            return List.of();
        }
        if (!sent.isArray()
                || sent.valueStream()
                        .anyMatch(a -> !a.isString()
                                || Answers.named(List.of(a.asString())).said().isEmpty())) {
            throw new BadLine("answers wants a list of kinds of doubts, such as [\"FAR_FROM_PLAN\"].");
        }
        return sent.valueStream().map(JsonNode::asString).toList();
    }

    private static @Nullable JsonNode there(JsonNode node, String field) {
        JsonNode value = node.get(field);
        return value == null || value.isNull() ? null : value;
    }

    private static @Nullable Instant moment(@Nullable JsonNode at) {
        if (at == null) {
            return null;
        }
        try {
            return java.time.OffsetDateTime.parse(at.isString() ? at.asString() : "")
                    .toInstant();
        } catch (java.time.DateTimeException e) {
            throw new BadLine("at wants ISO 8601 with a zone, such as 2026-11-24T18:05:00Z.");
        }
    }

    /** Of another version, a field of the same name may mean something else. */
    private static void checkVersion(JsonNode sent, JsonNode kept) {
        JsonNode version = sent.get("v");
        int knows = kept.get("v") == null ? 1 : kept.get("v").asInt();
        if (version != null && (version.asInt(0) < 1 || version.asInt(0) > knows)) {
            throw new BadLine("entry is of version " + shortened(version.asString())
                    + "; this program knows up to version " + knows + " of it.");
        }
    }

    /**
     * Whether an entry says all that was sent.
     *
     * @throws BadLine if it does not
     */
    static void checkWhole(JsonNode sent, JsonNode kept) {
        checkVersion(sent, kept);
        compare(sent, kept, "");
    }

    /** What of an entry was not taken in when it was read: a name that is mistyped must not be dropped in silence. */
    private static void compare(JsonNode sent, JsonNode kept, String path) {
        Map<String, JsonNode> fields = new LinkedHashMap<>();
        sent.properties().forEach(p -> fields.put(p.getKey(), p.getValue()));
        fields.forEach((name, value) -> {
            JsonNode there = kept.get(name);
            if (there == null && !value.isNull() && !(path + name).equals("v")) {
                throw new BadLine("entry has no field \"" + shortened(path + name) + "\".");
            } else if (value.isObject() && there != null && there.isObject()) {
                compare(value, there, path + name + ".");
            }
        });
    }

    static JsonNode tree(String json) {
        return STRICT.readTree(json);
    }

    static String place(JacksonException e) {
        var at = e.getLocation();
        return at == null || at.getLineNr() < 1 ? "" : ", line " + at.getLineNr() + ", column " + at.getColumnNr();
    }

    static String shortened(String name) {
        return name.length() <= 60 ? name : name.substring(0, 60) + "\u2026";
    }

    /** A line that cannot be read, with what it wants. */
    static final class BadLine extends RuntimeException {
        private static final long serialVersionUID = 1L;

        BadLine(String message) {
            super(message);
        }

        String words() {
            return String.valueOf(getMessage());
        }
    }
}
