package io.causticon.web.store.arrival;

import io.causticon.core.model.log.Entry;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchArrivals;
import io.causticon.web.store.document.DocumentKind;
import io.causticon.web.store.document.Row;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Lines of a log that come from a file, as the rows that keep them. */
@Component
public class ArrivedLines {

    private final BatchArrivals arrivals;
    private final Clock clock;

    ArrivedLines(BatchArrivals arrivals, Clock clock) {
        this.arrivals = arrivals;
        this.clock = clock;
    }

    /** A line of a batch's log that nobody has amended. */
    public Row line(UUID batch, Entry entry, Instant at, Maker by) {
        Map<String, @Nullable Object> values = new HashMap<>();
        values.put("id", UUID.randomUUID());
        values.put("batch_id", batch);
        values.put("line_id", UUID.randomUUID());
        values.put("revision", 1L);
        values.put("happened_at", at);
        values.put("recorded_at", clock.instant());
        values.put("recorded_by", by.displayName());
        values.put("kind", entry.getClass().getSimpleName());
        values.put("entry", arrivals.kept(entry));
        values.put("withdrawn", false);
        return new Row(DocumentKind.BATCH.table("log_revision"), values);
    }
}
