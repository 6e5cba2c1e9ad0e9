package io.causticon.web.shared;

import java.time.Duration;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.TimeUnit;

/** Threads that work in the background and keep nothing from ending. */
public final class DaemonThreads {

    private static final Duration PATIENCE = Duration.ofSeconds(5);

    private DaemonThreads() {}

    public static ThreadFactory named(String name) {
        return task -> {
            Thread thread = new Thread(task, name);
            thread.setDaemon(true);
            return thread;
        };
    }

    /**
     * Lets a worker finish what it is at, for a few seconds, and drops what waits. It is never interrupted: a thread
     * that is interrupted while it reads or writes the data takes the file from everybody else, also from who is
     * logging at that moment.
     */
    public static void end(ExecutorService worker) {
        worker.shutdown();
        try {
            worker.awaitTermination(PATIENCE.toMillis(), TimeUnit.MILLISECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
