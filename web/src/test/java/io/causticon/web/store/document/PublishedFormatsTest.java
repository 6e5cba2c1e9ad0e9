package io.causticon.web.store.document;

import static org.assertj.core.api.Assertions.assertThat;

import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.RunningApplication;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What is published of the formats is what is written. */
@Application
class PublishedFormatsTest {

    /** Writes what is published anew instead of comparing it. */
    private static final boolean WRITE = Boolean.getBoolean("causticon.formats");

    private final RunningApplication application = RunningApplication.get();
    private final Documents documents = application.bean(Documents.class);

    private static Path published(DocumentKind kind) {
        return Path.of("..", "docs", "formats", FormatSchemas.fileName(kind));
    }

    @Test
    void publishesWhatIsWritten() throws Exception {
        FormatSchemas schemas = new FormatSchemas(application.bean(Tables.class));
        for (DocumentKind kind : DocumentKind.values()) {
            if (WRITE) {
                Files.writeString(published(kind), schemas.of(kind));
            }
            assertThat(Files.readString(published(kind)))
                    .as("./causticon formats writes it anew")
                    .isEqualTo(schemas.of(kind));
        }
    }

    @Test
    void allThatIsWrittenIsValid() throws Exception {
        SchemaRegistry registry = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12);
        int checked = 0;
        for (DocumentKind kind : DocumentKind.values()) {
            Schema schema = registry.getSchema(Files.readString(published(kind)), InputFormat.JSON);
            for (Object key : kind.root().isPresent() ? documents.keys(kind) : List.of("")) {
                String json = new String(documents.json(kind, key).orElseThrow(), StandardCharsets.UTF_8);
                assertThat(schema.validate(json, InputFormat.JSON))
                        .as(kind + " " + key)
                        .isEmpty();
                checked++;
            }
            String broken = "{\"format\": \"" + kind.format() + "\", \"version\": 1, \"more\": 1}";
            assertThat(schema.validate(broken, InputFormat.JSON))
                    .as("a schema that takes everything tells nothing")
                    .isNotEmpty();
        }
        assertThat(checked).isGreaterThan(30);
    }
}
