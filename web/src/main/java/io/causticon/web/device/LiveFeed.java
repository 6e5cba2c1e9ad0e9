package io.causticon.web.device;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.web.account.Maker;
import io.causticon.web.batch.BatchId;
import io.causticon.web.batch.BatchLogged;
import io.causticon.web.shared.Formats;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.springframework.context.SmartLifecycle;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Tells benches what devices read, as it happens, in the units of whoever watches. */
@Component
class LiveFeed implements SmartLifecycle {

    private static final long NEVER = 0L;

    private final List<Watcher> watchers = new CopyOnWriteArrayList<>();
    /** One thread for all: a bench that reads slowly must not hold up a device. */
    private final ExecutorService sender = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "live-feed");
        thread.setDaemon(true);
        return thread;
    });

    private volatile boolean running;

    private record Watcher(BatchId batch, Formats formats, SseEmitter emitter) {}

    SseEmitter watch(BatchId batch, Maker maker) {
        SseEmitter emitter = new SseEmitter(NEVER);
        Watcher watcher = new Watcher(batch, maker.formats(), emitter);
        emitter.onCompletion(() -> watchers.remove(watcher));
        emitter.onTimeout(() -> watchers.remove(watcher));
        emitter.onError(e -> watchers.remove(watcher));
        watchers.add(watcher);
        send(watcher, "hello", Map.of());
        return emitter;
    }

    @EventListener
    void taken(Readings.Taken taken) {
        Device device = taken.device();
        later(() -> watchers.stream()
                .filter(w -> w.batch().equals(device.batch()))
                .forEach(w -> send(
                        w,
                        "reading",
                        Map.of(
                                "device", device.id().toString(),
                                "value", number(device.kind(), taken.reading().value(), w.formats()),
                                "sequence", taken.reading().sequence(),
                                "at", taken.reading().at().toEpochMilli()))));
    }

    @EventListener
    void logged(BatchLogged logged) {
        later(() -> watchers.stream()
                .filter(w -> w.batch().equals(logged.batch()))
                .forEach(w -> send(w, "logged", Map.of())));
    }

    private void later(Runnable task) {
        if (running) {
            sender.execute(task);
        }
    }

    /** A value without its unit, as it is shown and typed. */
    static String number(DeviceKind kind, double value, Formats formats) {
        return switch (kind) {
            case THERMOMETER -> formats.temperatureNumber(Temperature.celsius(value)).replace('\u2212', '-');
            case SCALE -> formats.massInput(Mass.grams(value)).replace('\u2212', '-');
            case PH_PEN -> Formats.number(value, 1);
            case BLENDER -> Formats.number(value, 0);
        };
    }

    private void send(Watcher watcher, String name, Map<String, Object> data) {
        try {
            watcher.emitter().send(SseEmitter.event().name(name).data(data));
        } catch (IOException | IllegalStateException e) {
            // The bench is gone; the container ends the rest.
            watchers.remove(watcher);
        }
    }

    @Override
    public void start() {
        running = true;
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
        sender.shutdownNow();
        for (Watcher watcher : watchers) {
            try {
                watcher.emitter().complete();
            } catch (IllegalStateException e) {
                // Its connection went before it.
                watchers.remove(watcher);
            }
        }
    }
}
