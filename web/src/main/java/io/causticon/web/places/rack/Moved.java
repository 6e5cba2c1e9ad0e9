package io.causticon.web.places.rack;

import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.FollowsLogs;
import java.time.Clock;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

/**
 * How far the logs of the workshop are, as a number that an open page compares with the one it was made at. It begins
 * with the moment the server began, so that none of an earlier run is taken for one of this.
 */
@Controller
class Moved implements FollowsLogs {

    private final AtomicLong lines;

    Moved(Clock clock) {
        lines = new AtomicLong(clock.millis());
    }

    /** Grows with each line of any batch. */
    @GetMapping(path = "/moved", produces = MediaType.TEXT_PLAIN_VALUE)
    @ResponseBody
    String now() {
        return Long.toString(lines.get());
    }

    @Override
    public void logged(BatchId batch) {
        lines.incrementAndGet();
    }
}
