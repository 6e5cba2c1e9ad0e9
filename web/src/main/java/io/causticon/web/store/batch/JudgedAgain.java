package io.causticon.web.store.batch;

import io.causticon.core.model.log.Entry;
import io.causticon.web.shared.DaemonThreads;
import io.causticon.web.shared.Guard;
import java.util.ArrayDeque;
import java.util.Deque;
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
 * Judges batches again when what they are judged by moves without a line of their own: a vessel is weighed on the
 * shelf, a case is settled, the program is renewed. Which batches that concerns follows from the fingerprint of each,
 * so nothing that was not finished before a stop is ever lost: the next look finds it again.
 */
@Service
public class JudgedAgain implements FollowsLogs, DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(JudgedAgain.class);

    /** What comes in one go, as an import does, is looked through once. */
    private static final long WAIT_MILLIS = 300;

    /**
     * What a workshop learns from looks that found nothing moves with nearly every line and hardly ever decides: it is
     * caught up with so often.
     */
    private static final long EVERY_MINUTES = 30;

    private final Summaries summaries;
    private final BatchService batches;
    private final ScheduledExecutorService background =
            Executors.newSingleThreadScheduledExecutor(DaemonThreads.named("judges-again"));
    private @Nullable ScheduledFuture<?> waiting;

    /** Whether something moved since the list of those that are to be judged was made. */
    private volatile boolean isAsked;

    JudgedAgain(Summaries summaries, BatchService batches) {
        this.summaries = summaries;
        this.batches = batches;
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        background.scheduleWithFixedDelay(this::judge, 0, EVERY_MINUTES, TimeUnit.MINUTES);
    }

    /** Something that batches are judged by has moved. What is under way looks again at what comes first. */
    public synchronized void look() {
        isAsked = true;
        if (waiting == null || waiting.isDone()) {
            waiting = background.schedule(this::judge, WAIT_MILLIS, TimeUnit.MILLISECONDS);
        }
    }

    /** A case that was settled, or whose conclusion was taken back, teaches. */
    @Override
    public void logged(BatchId batch) {
        if (Guard.of("Batch " + batch, () -> batches.get(batch).log().everSaid(Entry.Concluded.class))
                .orElse(false)) {
            look();
        }
    }

    /** Judges all that moved, before it returns. */
    public void judge() {
        try {
            int judged = 0;
            Deque<Summaries.Moved> moved = moved();
            while (!moved.isEmpty()) {
                Summaries.Moved one = moved.remove();
                Guard.of("Batch " + one.batch(), () -> {
                    batches.judgeAgain(one.batch(), one.because());
                    return true;
                });
                judged++;
                if (isAsked) {
                    moved = moved();
                }
            }
            if (judged > 0) {
                LOG.info("{} batches judged again", judged);
            }
        } catch (RuntimeException e) {
            // The next look finds them again.
            LOG.warn("Batches could not be judged again: {}", e.toString());
        }
    }

    /** What is to be judged, the most urgent first. */
    private Deque<Summaries.Moved> moved() {
        isAsked = false;
        return new ArrayDeque<>(summaries.moved());
    }

    @Override
    public void destroy() {
        DaemonThreads.end(background);
    }
}
