package io.causticon.web.places.history;

import io.causticon.core.science.history.Chapter;
import io.causticon.core.science.history.History;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.FollowsLogs;
import io.causticon.web.store.batch.FromEachBatch;
import io.causticon.web.store.batch.Summaries;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.stereotype.Component;

/** A chapter of each batch, read from its log once and again when that has changed. */
@Component
class Chapters implements FollowsLogs {

    /** What its case says of a batch counts like a conclusion from here on (a judgement). */
    private static final double LIKELY = 0.6;

    private final FromEachBatch<Chapter> told;
    private final Summaries summaries;

    Chapters(BatchService batches, Summaries summaries, Clock clock) {
        this.told = new FromEachBatch<>("reads-chapters", batches, b -> Chapter.of(b.facts(clock.instant())));
        this.summaries = summaries;
    }

    @Override
    public void logged(BatchId batch) {
        told.changed(batch);
    }

    /**
     * What is known by now.
     *
     * @param history in the order of its dates
     * @param batches which batch a chapter is of
     * @param complete whether every batch was read
     */
    record Known(History history, Map<Chapter, BatchId> batches, boolean complete) {}

    Known known() {
        Map<BatchId, Chapter> all = told.known();
        Map<BatchId, String> likely = summaries.likelyTroubled(LIKELY);
        Map<Chapter, BatchId> batches = new LinkedHashMap<>();
        all.forEach((id, chapter) -> {
            String leading = likely.get(id);
            batches.put(leading == null || !chapter.conditions().isEmpty() ? chapter : chapter.having(leading), id);
        });
        return new Known(new History(batches.keySet()), batches, !told.isReading());
    }
}
