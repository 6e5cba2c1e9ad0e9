package io.causticon.web.exchange.device;

import io.causticon.web.shared.Formats;
import io.causticon.web.store.account.SignedIn;
import io.causticon.web.store.batch.BatchId;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Map;
import java.util.Queue;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * One bench that watches. What it is sent goes out in order, by one thread at a time; one that does not keep up is let
 * go, as it would hold a thread that others need.
 */
final class Watcher {

    /** Half a minute of a busy bench. */
    static final int MOST_WAITING = 60;

    private final BatchId batch;
    private final SignedIn who;
    private final Formats formats;
    private final SseEmitter emitter;
    private final Executor threads;
    private final Consumer<Watcher> left;
    private final Queue<SseEmitter.SseEventBuilder> waiting = new ArrayDeque<>();
    private boolean sending;
    private boolean gone;

    /**
     * @param who watches, and by which sign-in
     * @param threads that send
     * @param left told when it is gone, once or more often
     */
    Watcher(
            BatchId batch,
            SignedIn who,
            Formats formats,
            SseEmitter emitter,
            Executor threads,
            Consumer<Watcher> left) {
        this.batch = batch;
        this.who = who;
        this.formats = formats;
        this.emitter = emitter;
        this.threads = threads;
        this.left = left;
    }

    BatchId batch() {
        return batch;
    }

    SignedIn who() {
        return who;
    }

    String maker() {
        return who.getUsername();
    }

    Formats formats() {
        return formats;
    }

    void send(String name, Map<String, Object> data) {
        synchronized (waiting) {
            if (gone) {
                return;
            }
            waiting.add(SseEmitter.event().name(name).data(data));
            if (waiting.size() <= MOST_WAITING) {
                if (!sending) {
                    sending = true;
                    threads.execute(this::sendWaiting);
                }
                return;
            }
            gone = true;
            waiting.clear();
        }
        // Whoever tells must not wait for one that does not listen.
        left.accept(this);
        threads.execute(this::letGo);
    }

    private void sendWaiting() {
        while (true) {
            SseEmitter.SseEventBuilder next;
            synchronized (waiting) {
                next = waiting.poll();
                if (next == null) {
                    sending = false;
                    return;
                }
            }
            try {
                emitter.send(next);
            } catch (IOException | IllegalStateException e) {
                // The bench is gone; the container ends the rest.
                letGo();
            }
        }
    }

    /**
     * Lets go one that may still be there: it is told, so that it looks by itself from then on and does not come again.
     */
    void dismiss() {
        synchronized (waiting) {
            gone = true;
            waiting.clear();
        }
        left.accept(this);
        threads.execute(() -> {
            try {
                emitter.send(SseEmitter.event().name("enough").data(Map.of()));
            } catch (IOException | IllegalStateException e) {
                // It was not there any more.
                left.accept(this);
            }
            letGo();
        });
    }

    /** Ends it, whoever notices first. */
    void letGo() {
        synchronized (waiting) {
            gone = true;
            waiting.clear();
        }
        left.accept(this);
        try {
            emitter.complete();
        } catch (IllegalStateException e) {
            // Its connection went before it.
            left.accept(this);
        }
    }
}
