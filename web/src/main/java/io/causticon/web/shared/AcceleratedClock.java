package io.causticon.web.shared;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;

/** A clock that runs faster than the real one from a moment on. */
final class AcceleratedClock extends Clock {

    private final Clock real;
    private final double speed;
    private final Instant from;

    AcceleratedClock(Clock real, double speed, Instant from) {
        this.real = real;
        this.speed = speed;
        this.from = from;
    }

    @Override
    public Instant instant() {
        Duration passed = Duration.between(from, real.instant());
        return from.plusNanos(Math.round(passed.toNanos() * speed));
    }

    @Override
    public ZoneId getZone() {
        return real.getZone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return new AcceleratedClock(real.withZone(zone), speed, from);
    }
}
