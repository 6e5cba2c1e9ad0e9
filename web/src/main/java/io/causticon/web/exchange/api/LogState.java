package io.causticon.web.exchange.api;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.EntryCodec;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.JsonNodeFactory;

/**
 * The log of a batch.
 *
 * @param lines in the order in which things happened
 */
@Schema(requiredProperties = "lines")
record LogState(List<Line> lines) {

    @Schema(
            description = "One revision of a line. The newest of a line counts; earlier ones stay readable.",
            requiredProperties = {
                "id",
                "revision",
                "counts",
                "at",
                "recordedAt",
                "by",
                "says",
                "entry",
                "withdrawn",
                "reason"
            })
    record Line(
            String id,
            @Schema(minimum = "1") int revision,

            @Schema(description = "Whether it is the newest of its line.")
            boolean counts,

            Instant at,
            Instant recordedAt,
            String by,

            @Schema(description = "In words, in the units of whoever the token acts for.")
            String says,

            @Schema(
                    implementation = Object.class,
                    description =
                            "As log/entry of batch.schema.json has it; of what cannot be understood, its text as kept.")
            JsonNode entry,

            @Schema(description = "Whether it was taken back.")
            boolean withdrawn,

            String reason) {}

    /** @param since the earliest moment of recording that is told */
    static LogState of(Batch batch, Instant since, EntryCodec codec, Formats formats) {
        return new LogState(batch.log().all().stream()
                .flatMap(l -> Stream.concat(l.earlier().stream(), Stream.of(l.current()))
                        .map(r -> line(batch, l, r, codec, formats)))
                .filter(l -> !l.recordedAt().isBefore(since))
                .toList());
    }

    private static JsonNode unreadable(Entry.Unreadable entry) {
        return JsonNodeFactory.instance.objectNode().put("type", "unreadable").put("kept", entry.kept());
    }

    private static Line line(Batch batch, LoggedEntry line, LoggedEntry.Revision r, EntryCodec codec, Formats formats) {
        return new Line(
                line.id(),
                r.number(),
                r.number() == line.current().number(),
                r.at(),
                r.recordedAt(),
                r.by(),
                EntryWords.of(r.entry(), batch.names(), formats).text(),
                r.entry() instanceof Entry.Unreadable u ? unreadable(u) : NewLine.tree(codec.write(r.entry())),
                r.withdrawn(),
                r.reason());
    }
}
