package io.causticon.web.shared;

import java.util.concurrent.ThreadFactory;

/** Threads that work in the background and keep nothing from ending. */
public final class DaemonThreads {

    private DaemonThreads() {}

    public static ThreadFactory named(String name) {
        return task -> {
            Thread thread = new Thread(task, name);
            thread.setDaemon(true);
            return thread;
        };
    }
}
