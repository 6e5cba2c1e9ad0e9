package io.causticon.web.store.document;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/** What a field of a document holds: how it is read from JSON, and what a reader is told who wrote something else. */
enum FieldType {
    TEXT("text"),
    ID("an id, like 123e4567-e89b-12d3-a456-426614174000"),
    WHOLE("a whole number"),
    NUMBER("a number"),
    MONEY("a number with two digits behind its point"),
    MOMENT("a moment, like 2026-11-28T10:15:00Z"),
    DAY("a day, like 2026-11-28"),
    FLAG("true or false"),
    /** JSON of its own within the document; where it cannot be read as such, the text as it was kept. */
    JSON("an object"),
    /** The name of a file beside the document. */
    PICTURE("the name of a picture");

    /** Documents are no older than the kind of number that they count moments in. */
    private static final Instant EARLIEST =
            LocalDate.of(1900, 1, 1).atStartOfDay(ZoneOffset.UTC).toInstant();

    private static final Instant LATEST =
            LocalDate.of(2500, 1, 1).atStartOfDay(ZoneOffset.UTC).toInstant();
    private static final int CENTS = 2;

    private final String meant;

    FieldType(String meant) {
        this.meant = meant;
    }

    /** What stands there if it is right, in the words of a message. */
    String meant() {
        return meant;
    }

    /** @throws IllegalArgumentException if it is no such value */
    Object read(JsonNode node, JsonTexts texts) {
        return switch (this) {
            case TEXT, PICTURE -> text(node);
            case ID -> id(text(node));
            case WHOLE -> whole(node);
            case NUMBER -> number(node);
            case MONEY -> money(node);
            case MOMENT -> moment(text(node));
            case DAY -> day(text(node));
            case FLAG -> flag(node);
            case JSON -> texts.text(node);
        };
    }

    JsonNode write(Object value, JsonTexts texts) {
        JsonNodeFactory nodes = JsonNodeFactory.instance;
        return switch (this) {
            case TEXT, ID, DAY, PICTURE, MOMENT -> nodes.stringNode(value.toString());
            case WHOLE -> nodes.numberNode(((Number) value).longValue());
            case NUMBER -> nodes.numberNode(((Number) value).doubleValue());
            case MONEY -> nodes.numberNode((BigDecimal) value);
            case FLAG -> nodes.booleanNode((Boolean) value);
            case JSON -> texts.node(value.toString());
        };
    }

    private static String text(JsonNode node) {
        require(node.isString());
        String text = node.stringValue();
        require(text.codePoints().noneMatch(c -> Character.isISOControl(c) && c != '\n' && c != '\t' && c != '\r'));
        return text;
    }

    private static UUID id(String text) {
        UUID id = UUID.fromString(text);
        // Java reads "1-1-1-1-1" as well.
        require(id.toString().equalsIgnoreCase(text));
        return id;
    }

    private static Long whole(JsonNode node) {
        require(node.isIntegralNumber() && node.canConvertToLong());
        return node.longValue();
    }

    private static Double number(JsonNode node) {
        require(node.isNumber() && Double.isFinite(node.doubleValue()));
        return node.doubleValue();
    }

    private static BigDecimal money(JsonNode node) {
        require(node.isNumber() && Double.isFinite(node.doubleValue()));
        BigDecimal value = BigDecimal.valueOf(node.doubleValue()).stripTrailingZeros();
        require(value.scale() <= CENTS && value.precision() - value.scale() <= CENTS * 4);
        return value.setScale(CENTS);
    }

    private static Instant moment(String text) {
        try {
            Instant at = Instant.parse(text);
            require(!at.isBefore(EARLIEST) && at.isBefore(LATEST));
            return at.truncatedTo(ChronoUnit.MICROS);
        } catch (DateTimeException e) {
            throw new IllegalArgumentException(e);
        }
    }

    private static LocalDate day(String text) {
        try {
            LocalDate day = LocalDate.parse(text);
            require(day.getYear() >= 1900 && day.getYear() < 2500);
            return day;
        } catch (DateTimeException e) {
            throw new IllegalArgumentException(e);
        }
    }

    private static Boolean flag(JsonNode node) {
        require(node.isBoolean());
        return node.booleanValue();
    }

    private static void require(boolean right) {
        if (!right) {
            throw new IllegalArgumentException("another value is meant");
        }
    }
}
