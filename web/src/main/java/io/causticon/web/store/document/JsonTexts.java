package io.causticon.web.store.document;

import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * JSON as documents hold it: strict where it is read, and text that is kept as JSON comes out as an object and goes in
 * as the same text.
 */
final class JsonTexts {

    private static final int DEEPEST = 60;
    private static final int LONGEST_NAME = 200;

    private static final JsonMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(DEEPEST)
                            .maxNameLength(LONGEST_NAME)
                            .build())
                    .build())
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .enable(DeserializationFeature.FAIL_ON_READING_DUP_TREE_KEY)
            .build();

    private static final JsonMapper PRETTY =
            MAPPER.rebuild().enable(SerializationFeature.INDENT_OUTPUT).build();

    /** @throws JacksonException with line and column, if it is no JSON */
    JsonNode read(byte[] json) {
        return MAPPER.readTree(json);
    }

    byte[] write(JsonNode node) {
        return PRETTY.writeValueAsBytes(node);
    }

    /** What is kept as this text: the object it is, or the text itself where it would not come back the same. */
    JsonNode node(String kept) {
        try {
            JsonNode node = MAPPER.readTree(kept);
            if (node.isObject() && MAPPER.writeValueAsString(node).equals(kept)) {
                return node;
            }
        } catch (JacksonException e) {
            // Kept by a hand that was none of ours: it goes out as it stands.
        }
        return JsonNodeFactory.instance.stringNode(kept);
    }

    /** @throws IllegalArgumentException if it is neither an object nor text */
    String text(JsonNode node) {
        if (node.isObject()) {
            return MAPPER.writeValueAsString(node);
        }
        if (node.isString()) {
            return node.stringValue();
        }
        throw new IllegalArgumentException("neither an object nor text");
    }
}
