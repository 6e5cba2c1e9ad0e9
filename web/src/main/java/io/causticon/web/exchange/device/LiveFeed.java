package io.causticon.web.exchange.device;

import io.causticon.web.shared.DaemonThreads;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.account.SignInsEnded;
import io.causticon.web.store.account.SignedIn;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.FollowsLogs;
import io.causticon.web.store.device.Device;
import io.causticon.web.store.device.Readings;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Tells benches what devices read, as it happens, in the units of whoever watches. */
@Component
class LiveFeed implements SmartLifecycle, FollowsLogs {

    /** Every tablet, telephone and tab of one maker. */
    static final int MOST_OF_A_MAKER = 12;

    static final int MOST = 60;
    private static final long NEVER = 0L;
    private static final int SENDERS = 16;
    private static final long IDLE_SECONDS = 30;
    private static final long ASKS_EVERY_SECONDS = 20;

    private final List<Watcher> watchers = new CopyOnWriteArrayList<>();
    /** A bench that reads slowly holds one of them up, and no device. */
    private final ThreadPoolExecutor senders = new ThreadPoolExecutor(
            SENDERS,
            SENDERS,
            IDLE_SECONDS,
            TimeUnit.SECONDS,
            new LinkedBlockingQueue<>(),
            DaemonThreads.named("live-feed"));

    private final ScheduledExecutorService asking =
            Executors.newSingleThreadScheduledExecutor(DaemonThreads.named("asks-benches"));

    private volatile boolean running;

    LiveFeed() {
        senders.allowCoreThreadTimeOut(true);
    }

    /**
     * Watches. Where there are as many as can be, the oldest is let go: mostly a page that was left long ago, whose
     * connection nobody hung up.
     */
    synchronized SseEmitter watch(BatchId batch, Maker maker, SignedIn who) {
        List<Watcher> hers =
                watchers.stream().filter(w -> w.maker().equals(maker.name())).toList();
        if (hers.size() >= MOST_OF_A_MAKER) {
            hers.get(0).dismiss();
        } else if (watchers.size() >= MOST) {
            watchers.get(0).dismiss();
        }
        SseEmitter emitter = new SseEmitter(NEVER);
        Watcher watcher = new Watcher(batch, who, maker.formats(), emitter, senders, watchers::remove);
        emitter.onCompletion(() -> watchers.remove(watcher));
        emitter.onTimeout(() -> watchers.remove(watcher));
        emitter.onError(e -> watchers.remove(watcher));
        watchers.add(watcher);
        watcher.send("hello", Map.of());
        return emitter;
    }

    /** What a sign-in began ends with it, at once. */
    @EventListener
    void ended(SignInsEnded ended) {
        watchers.stream().filter(w -> ended.concerns(w.who())).forEach(Watcher::dismiss);
    }

    int watching() {
        return watchers.size();
    }

    @EventListener
    void taken(Readings.Taken taken) {
        Device device = taken.device();
        tell(
                device.batch(),
                w -> w.send(
                        "reading",
                        Map.of(
                                "device", device.id().toString(),
                                "value", device.kind().number(taken.reading().value(), w.formats()),
                                "sequence", taken.reading().sequence(),
                                "at", taken.reading().at().toEpochMilli())));
    }

    @Override
    public void logged(BatchId batch) {
        tell(batch, w -> w.send("logged", Map.of()));
    }

    private void tell(@Nullable BatchId batch, Consumer<Watcher> message) {
        if (running) {
            watchers.stream().filter(w -> w.batch().equals(batch)).forEach(message);
        }
    }

    /** A connection that is gone is noticed when something is sent into it. */
    private void ask() {
        watchers.forEach(w -> w.send("still-here", Map.of()));
    }

    @Override
    public void start() {
        running = true;
        asking.scheduleWithFixedDelay(this::ask, ASKS_EVERY_SECONDS, ASKS_EVERY_SECONDS, TimeUnit.SECONDS);
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Ends before the web server does, which would wait for benches that never hang up. */
    @Override
    public int getPhase() {
        return Integer.MAX_VALUE;
    }

    @Override
    public void stop() {
        running = false;
        watchers.forEach(Watcher::letGo);
        DaemonThreads.end(asking);
        DaemonThreads.end(senders);
    }
}
