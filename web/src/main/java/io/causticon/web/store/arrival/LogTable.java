package io.causticon.web.store.arrival;

import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.said.entry.Names;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.Guard;
import io.causticon.web.shared.print.TableFile;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.document.DocumentKind;
import io.causticon.web.store.document.Documents;
import io.causticon.web.store.document.Row;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** The log of a batch as a table: every revision of every line, in words and as it is kept. */
@Component
public class LogTable {

    public static final List<String> HEADINGS = List.of(
            "happened_at",
            "says",
            "recorded_by",
            "recorded_at",
            "withdrawn",
            "reason",
            "line",
            "revision",
            "entry",
            "batch");

    private final Documents documents;
    private final BatchService batches;

    LogTable(Documents documents, BatchService batches) {
        this.documents = documents;
        this.batches = batches;
    }

    /** Writes it. Moments are in the workshop's zone, with their distance from UTC. */
    public void write(UUID id, Formats formats, TableFile.Rows rows) {
        Map<String, String> words = words(id, formats);
        for (Row line : documents.rows(DocumentKind.BATCH, id)) {
            if (line.table().name().equals("log_revision")) {
                rows.row(
                        moment(line.required("happened_at"), formats),
                        words.getOrDefault(line.get("line_id") + " " + line.get("revision"), ""),
                        line.required("recorded_by"),
                        moment(line.required("recorded_at"), formats),
                        line.required("withdrawn"),
                        line.required("reason"),
                        line.required("line_id"),
                        line.required("revision"),
                        line.required("entry"),
                        id);
            }
        }
    }

    private static String moment(Object at, Formats formats) {
        return ((java.time.Instant) at)
                .atZone(formats.zone())
                .toOffsetDateTime()
                .truncatedTo(ChronoUnit.MILLIS)
                .toString();
    }

    /** What each revision says; nothing of a batch that cannot be worked with. */
    private Map<String, String> words(UUID id, Formats formats) {
        Map<String, String> words = new HashMap<>();
        Optional<Batch> batch = Guard.of("Batch " + id, () -> batches.glance(new BatchId(id)));
        batch.ifPresent(b -> {
            Names names = b.names();
            for (LoggedEntry line : b.log().all()) {
                Stream.concat(line.earlier().stream(), Stream.of(line.current()))
                        .forEach(r -> words.put(
                                line.id() + " " + r.number(),
                                EntryWords.of(r.entry(), names, formats).text()));
            }
        });
        return words;
    }
}
