package io.causticon.web.store.batch;

import io.causticon.core.model.log.Entry;
import io.causticon.web.shared.DaemonThreads;
import io.causticon.web.shared.Guard;
import java.util.List;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/**
 * Judges batches again when what they are judged by moves without a line of their own: a vessel is weighed on the shelf, a case is settled, the program
 * is renewed. Which batches that concerns follows from the fingerprint of each, so nothing that was not finished before a stop is ever lost: the next
 * look finds it again.
 */
@Service
public class JudgedAgain implements FollowsLogs, DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(JudgedAgain.class);

    /** What comes in one go, as an import does, is looked through once. */
    private static final long WAIT_MILLIS = 300;

    /** What a workshop learns from looks that found nothing moves with nearly every line and hardly ever decides: it is caught up with so often. */
    private static final long EVERY_MINUTES = 30;

    private final Summaries summaries;
    private final BatchService batches;
    private final ScheduledExecutorService background = Executors.newSingleThreadScheduledExecutor(DaemonThreads.named("judges-again"));
    private @Nullable ScheduledFuture<?> waiting;

    JudgedAgain(Summaries summaries, BatchService batches) {
        this.summaries = summaries;
        this.batches = batches;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        background.scheduleWithFixedDelay(this::judge, 0, EVERY_MINUTES, TimeUnit.MINUTES);
    }

    /** Something that batches are judged by has moved. */
    public synchronized void look() {
        if (waiting == null || waiting.isDone()) {
            waiting = background.schedule(this::judge, WAIT_MILLIS, TimeUnit.MILLISECONDS);
        }
    }

    /** A case that was settled, or whose conclusion was taken back, teaches. */
    @Override
    public void logged(BatchId batch) {
        if (Guard.of("Batch " + batch, () -> batches.get(batch).log().everSaid(Entry.Concluded.class)).orElse(false)) {
            look();
        }
    }

    /** Judges all that moved, before it returns. */
    public void judge() {
        try {
            List<Summaries.Moved> moved = summaries.moved();
            for (Summaries.Moved one : moved) {
                Guard.of("Batch " + one.batch(), () -> {
                    batches.judgeAgain(one.batch(), one.because());
                    return true;
                });
            }
            if (!moved.isEmpty()) {
                LOG.info("{} batches judged again", moved.size());
            }
        } catch (RuntimeException e) {
            // The next look finds them again.
            LOG.warn("Batches could not be judged again: {}", e.toString());
        }
    }

    @Override
    public void destroy() {
        DaemonThreads.end(background);
    }
}
