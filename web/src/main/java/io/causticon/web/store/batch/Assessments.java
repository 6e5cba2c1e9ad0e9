package io.causticon.web.store.batch;

import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.Road;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.web.shared.Guard;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.util.function.SingletonSupplier;

/**
 * Judges batches. Whatever is said of one, on any page, label or list and to any program, is read from the
 * {@link Assessment} that comes from here.
 */
@Service
public class Assessments {

    private static final String BROKEN = "something in it cannot be worked out";

    /** Looked for when it is first asked: it knows the batches itself. */
    private final SingletonSupplier<Judge> judge;

    private final Clock clock;

    Assessments(ObjectProvider<Judge> judges, Clock clock) {
        this.judge = SingletonSupplier.of(judges::getObject);
        this.clock = clock;
    }

    /** A batch as it is now, by everything that is known. */
    public Assessment of(Batch batch) {
        return judged(batch, true);
    }

    /**
     * The same while a line is being written: what cannot be worked out must not keep it from being logged, and is
     * held.
     */
    Assessment whenWritten(Batch batch) {
        return judged(batch, false);
    }

    private Assessment judged(Batch batch, boolean anew) {
        Instant now = clock.instant();
        return Guard.of(
                        batch.code(),
                        () -> Assessment.of(
                                batch.plan(),
                                batch.log(),
                                anew
                                        ? judge.obtain().now(batch.id())
                                        : judge.obtain().asLastRead(batch.id()),
                                now))
                .orElseGet(() -> Assessment.notJudged(batch.plan(), batch.log(), BROKEN, now));
    }

    /** What would open the gate of a batch if it were calm. */
    public Optional<Road> road(Batch batch, Diagnostician.Examined examined) {
        return Guard.of(
                batch.code(),
                () -> Assessment.road(
                        batch.plan(), batch.log(), judge.obtain().now(batch.id()), examined, clock.instant()));
    }

    /** Names what was learned. */
    String experience() {
        return judge.obtain().experience();
    }
}
