package io.causticon.web.trust;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.ProcessorTimes;
import io.causticon.web.harness.RunningApplication;
import org.junit.jupiter.api.Test;

/** Whatever is sent to whatever address, it is answered, soon, and never by a fault of ours. */
class HostileTest {

    private static final int REQUESTS = Integer.getInteger("causticon.hostile", 600);
    private static final long SEED = Long.getLong("causticon.hostile.seed", 8424);

    /** Of a processor: a busy machine answers later, but works no more. */
    private static final double MOST_SECONDS = 2;

    @Test
    void answersEverything() {
        ProcessorTimes times = new ProcessorTimes();
        try (RunningApplication application = RunningApplication.timed(times)) {
            Hostile hostile = new Hostile(application, times, SEED);
            Hostile.Outcome outcome = hostile.run(REQUESTS);
            System.out.println(outcome.table(times.all()));
            assertThat(outcome.faults).isEmpty();
            assertThat(hostile.slowerThan(MOST_SECONDS)).isEmpty();
            // It is not turned away at the door: of what is drawn at random a third is understood.
            assertThat(outcome.statuses.getOrDefault(200, 0) + outcome.statuses.getOrDefault(302, 0))
                    .isGreaterThan(REQUESTS * 3 / 10);
            assertThat(outcome.targets).hasSizeGreaterThan(hostile.addresses() * 8 / 10);
        }
    }
}
