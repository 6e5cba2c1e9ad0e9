package io.causticon.web.shared;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class DaemonThreadsTest {

    @Test
    void aWorkerFinishesWhatItIsAtUninterruptedAndBeginsNothingNew() throws InterruptedException {
        ScheduledExecutorService worker = Executors.newSingleThreadScheduledExecutor(DaemonThreads.named("test"));
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch ending = new CountDownLatch(1);
        AtomicBoolean interrupted = new AtomicBoolean();
        AtomicInteger rounds = new AtomicInteger();
        worker.scheduleWithFixedDelay(
                () -> {
                    rounds.incrementAndGet();
                    begun.countDown();
                    try {
                        ending.await();
                    } catch (InterruptedException e) {
                        interrupted.set(true);
                    }
                },
                0,
                1,
                TimeUnit.MILLISECONDS);
        begun.await();
        Thread ends = new Thread(() -> DaemonThreads.end(worker));
        ends.start();
        while (!worker.isShutdown()) {
            Thread.onSpinWait();
        }
        ending.countDown();
        ends.join();
        assertThat(interrupted).isFalse();
        assertThat(worker.isTerminated()).isTrue();
        assertThat(rounds).hasValue(1);
    }
}
