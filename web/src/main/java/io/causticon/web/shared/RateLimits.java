package io.causticon.web.shared;

import com.github.benmanes.caffeine.cache.Cache;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.ConsumptionProbe;
import io.github.bucket4j.TimeMeter;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * How often whoever shows a token may ask: so many times in a row, and as many again in each minute. Whoever shows none
 * that is known is counted by the address that it comes from, apart from those that are: behind one proxy all have one
 * address, and a stranger shuts nobody out. Kept in memory, for a bounded number of each.
 */
@Component
public class RateLimits {

    private static final int MOST_KEYS = 10_000;
    private static final Duration MINUTE = Duration.ofMinutes(1);

    private final Cache<String, Bucket> buckets = Caches.atMost(MOST_KEYS).build();
    private final TimeMeter time;
    private final long known;
    private final long unknown;

    /**
     * @param known how often one token may ask in a minute
     * @param unknown how often an address may show no token or a wrong one in a minute
     */
    RateLimits(
            Clock clock,
            @Value("${causticon.asked-per-minute:600}") long known,
            @Value("${causticon.refused-per-minute:60}") long unknown) {
        this.time = meter(clock);
        this.known = known;
        this.unknown = unknown;
    }

    private static TimeMeter meter(Clock clock) {
        return new TimeMeter() {
            @Override
            public long currentTimeNanos() {
                Instant now = clock.instant();
                return TimeUnit.SECONDS.toNanos(now.getEpochSecond()) + now.getNano();
            }

            @Override
            public boolean isWallClockBased() {
                return true;
            }
        };
    }

    /**
     * What is left of a rate.
     *
     * @param allowed whether this one was within it
     * @param most how many there are in a minute
     * @param left how many more at once
     * @param until how long to wait for the next one, where it was not
     */
    public record Left(boolean allowed, long most, long left, Duration until) {

        /** Whole seconds to wait, rounded up. */
        public long seconds() {
            return until.plus(Duration.ofSeconds(1).minusNanos(1)).toSeconds();
        }
    }

    /** One question of whoever shows this token. */
    public Left asked(Object token) {
        return take("token " + token, known);
    }

    /** One question of an address that shows no token, or one that is none. */
    public Left refused(String address) {
        return take("address " + address, unknown);
    }

    private Left take(String key, long most) {
        Bucket bucket = buckets.get(
                key,
                k -> Bucket.builder()
                        .addLimit(l -> l.capacity(most).refillGreedy(most, MINUTE))
                        .withCustomTimePrecision(time)
                        .build());
        ConsumptionProbe probe = bucket.tryConsumeAndReturnRemaining(1);
        return new Left(
                probe.isConsumed(),
                most,
                probe.getRemainingTokens(),
                Duration.ofNanos(probe.getNanosToWaitForRefill()));
    }
}
