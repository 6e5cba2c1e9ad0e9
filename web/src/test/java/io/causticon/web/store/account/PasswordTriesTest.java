package io.causticon.web.store.account;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.harness.SteppedClock;
import io.causticon.web.store.account.PasswordTries.Key;
import io.causticon.web.store.account.PasswordTries.Kind;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** How guesses are slowed down, on a clock that stands still until it is moved. */
class PasswordTriesTest {

    private static final Key HERE = new Key(Kind.ADDRESS, "10.0.0.7");
    private static final Key OWNER = new Key(Kind.NAME, "ines");
    private static final Key OWNERS_TABLET = new Key(Kind.BROWSER, "b1 ines");

    private final SteppedClock clock = new SteppedClock();
    private final PasswordTries tries = new PasswordTries(clock);

    private Duration guess(Key... keys) {
        return tries.tryNow(List.of(keys));
    }

    @Test
    void thirtyNamesFromOneAddressGetTenTries() {
        long let = IntStream.range(0, 30)
                .filter(i -> guess(HERE, new Key(Kind.NAME, "name" + i)).isZero())
                .count();
        assertThat(let).isEqualTo(10);
    }

    @Test
    void oneNameFromManyAddressesGetsFiveTries() {
        long let = IntStream.range(0, 30)
                .filter(i -> guess(new Key(Kind.ADDRESS, "10.0.1." + i), OWNER).isZero())
                .count();
        assertThat(let).isEqualTo(5);
    }

    @Test
    void eachFurtherTryWaitsTwiceAsLong() {
        IntStream.range(0, 10).forEach(i -> guess(HERE));
        assertThat(guess(HERE)).isEqualTo(Duration.ofSeconds(2));
        clock.pass(Duration.ofSeconds(2));
        assertThat(guess(HERE)).isZero();
        assertThat(guess(HERE)).isEqualTo(Duration.ofSeconds(4));
        clock.pass(Duration.ofSeconds(4));
        assertThat(guess(HERE)).isZero();
        assertThat(guess(HERE)).isEqualTo(Duration.ofSeconds(8));
    }

    @Test
    void aTryThatCameTooEarlyDoesNotMakeItWorse() {
        IntStream.range(0, 10).forEach(i -> guess(HERE));
        IntStream.range(0, 100).forEach(i -> guess(HERE));
        clock.pass(Duration.ofSeconds(2));
        assertThat(guess(HERE)).isZero();
    }

    @Test
    void strangersDoNotShutOutABrowserThatIsKnown() {
        IntStream.range(0, 1000).forEach(i -> {
            guess(new Key(Kind.ADDRESS, "10.9.0." + i), OWNER);
            clock.pass(Duration.ofMillis(10));
        });
        assertThat(guess(new Key(Kind.ADDRESS, "10.0.0.8"), OWNER))
                .isPositive()
                .isLessThanOrEqualTo(Duration.ofMinutes(1));
        assertThat(guess(OWNERS_TABLET)).isZero();
    }

    @Test
    void aTryIsCountedBeforeThePasswordIsLookedAt() throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(8);
        CountDownLatch together = new CountDownLatch(1);
        List<Future<Boolean>> tries = IntStream.range(0, 8)
                .mapToObj(i -> pool.submit(() -> {
                    together.await();
                    return guess(new Key(Kind.ADDRESS, "10.0.2." + i), OWNER).isZero();
                }))
                .toList();
        together.countDown();
        int let = 0;
        for (Future<Boolean> one : tries) {
            let += one.get() ? 1 : 0;
        }
        pool.shutdown();
        assertThat(let).isEqualTo(5);
    }

    @Test
    void whoIsRightIsNotCountedButWhatOthersTriedFromThereIs() {
        IntStream.range(0, 9).forEach(i -> guess(HERE));
        guess(HERE, OWNER);
        tries.succeeded(List.of(HERE, OWNER));
        assertThat(guess(HERE)).isZero();
        assertThat(guess(HERE)).isPositive();
    }

    @Test
    void anHourIsForgiven() {
        IntStream.range(0, 10).forEach(i -> guess(HERE));
        clock.pass(Duration.ofMinutes(61));
        long let = IntStream.range(0, 30).filter(i -> guess(HERE).isZero()).count();
        assertThat(let).isEqualTo(10);
    }
}
