package io.causticon.web.security;

import com.github.benmanes.caffeine.cache.Cache;
import io.causticon.web.shared.Caches;
import io.causticon.web.store.account.RememberKey;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Base64;
import org.springframework.stereotype.Component;

/**
 * What a passkey signs: new each time, good for a few minutes, and once. Nothing is kept of those that were only asked
 * for, so that strangers who ask leave nothing behind; what tells ours from theirs is a seal within.
 */
@Component
class Challenges {

    /** Long enough to look for a telephone and to type a password on the way. */
    static final Duration GOOD_FOR = Duration.ofMinutes(10);

    private static final int RANDOM_BYTES = 16;
    private static final int BEFORE_THE_SEAL = RANDOM_BYTES + Long.BYTES;
    private static final int MOST_USED = 10_000;

    private final Seal seal;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    /** Only right answers come here, so nobody fills it. */
    private final Cache<String, Boolean> used =
            Caches.atMost(MOST_USED).expireAfterWrite(GOOD_FOR).build();

    Challenges(RememberKey key, Clock clock) {
        this.seal = new Seal(key, "passkey");
        this.clock = clock;
    }

    /**
     * A new one.
     *
     * @param use what it is for; it is good for nothing else
     */
    byte[] fresh(String use) {
        byte[] chance = new byte[RANDOM_BYTES];
        random.nextBytes(chance);
        byte[] sealed = ByteBuffer.allocate(BEFORE_THE_SEAL)
                .put(chance)
                .putLong(clock.instant().getEpochSecond())
                .array();
        return ByteBuffer.allocate(BEFORE_THE_SEAL + Seal.BYTES)
                .put(sealed)
                .put(seal(use, sealed))
                .array();
    }

    /** Whether it was given away here for this, not too long ago, and was not used yet. */
    boolean isGood(String use, byte[] challenge) {
        if (challenge.length != BEFORE_THE_SEAL + Seal.BYTES) {
            return false;
        }
        ByteBuffer read = ByteBuffer.wrap(challenge);
        byte[] sealed = new byte[BEFORE_THE_SEAL];
        byte[] mark = new byte[Seal.BYTES];
        read.get(sealed).get(mark);
        return MessageDigest.isEqual(mark, seal(use, sealed))
                && clock.instant().isBefore(given(sealed).plus(GOOD_FOR))
                && used.getIfPresent(name(challenge)) == null;
    }

    /** Looked at behind the seal: what a stranger writes there may be no time at all. */
    private static Instant given(byte[] sealed) {
        return Instant.ofEpochSecond(ByteBuffer.wrap(sealed).getLong(RANDOM_BYTES));
    }

    /** Uses it up. Of two who do so at once one is told that it was used already. */
    boolean use(byte[] challenge) {
        return used.asMap().putIfAbsent(name(challenge), true) == null;
    }

    private byte[] seal(String use, byte[] sealed) {
        byte[] words = use.getBytes(StandardCharsets.UTF_8);
        return seal.of(ByteBuffer.allocate(sealed.length + words.length)
                .put(sealed)
                .put(words)
                .array());
    }

    private static String name(byte[] challenge) {
        return Base64.getEncoder().encodeToString(challenge);
    }
}
