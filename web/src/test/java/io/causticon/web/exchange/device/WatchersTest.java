package io.causticon.web.exchange.device;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.said.notation.Units;
import io.causticon.web.harness.Application;
import io.causticon.web.harness.RunningApplication;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.account.AccountService;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.account.Role;
import io.causticon.web.store.account.SignInsEnded;
import io.causticon.web.store.account.SignedIn;
import io.causticon.web.store.batch.BatchId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Benches that watch: so many and no more, and none holds up another. */
@Application
class WatchersTest {

    private static final BatchId BATCH = new BatchId(UUID.randomUUID());

    private static SignedIn signedIn(String name) {
        return new SignedIn(UUID.randomUUID(), UUID.randomUUID(), name, "", Role.MAKER, true, 1, false);
    }

    /** Of two sign-ins of one maker, and of another maker. */
    @Test
    void endWithTheSignInThatTheyBeganWith(RunningApplication application) {
        LiveFeed feed = new LiveFeed();
        Maker ines = application.bean(AccountService.class).maker("ines");
        SignedIn tablet = signedIn("ines");
        SignedIn telephone = tablet.by(UUID.randomUUID());
        feed.watch(BATCH, ines, tablet);
        feed.watch(BATCH, ines, telephone);
        feed.watch(BATCH, ines, signedIn("ines"));
        feed.ended(new SignInsEnded(tablet.signIn(), null, null));
        assertThat(feed.watching()).isEqualTo(2);
        feed.ended(new SignInsEnded(null, tablet.account(), telephone.signIn()));
        assertThat(feed.watching()).isEqualTo(2);
        feed.ended(new SignInsEnded(null, tablet.account(), null));
        assertThat(feed.watching()).isEqualTo(1);
    }

    @Test
    void areLimitedForEachMakerAndInAll(RunningApplication application) {
        LiveFeed feed = new LiveFeed();
        AccountService accounts = application.bean(AccountService.class);
        Maker ines = accounts.maker("ines");
        for (int i = 0; i < 200; i++) {
            feed.watch(BATCH, ines, signedIn("ines"));
        }
        assertThat(feed.watching()).isEqualTo(LiveFeed.MOST_OF_A_MAKER);
        for (int other = 0; other < 40; other++) {
            Maker somebody = new Maker(
                    "m" + other,
                    "",
                    ines.role(),
                    ines.units(),
                    "day",
                    "",
                    ZoneOffset.UTC,
                    ines.room(),
                    ines.mixAt(),
                    ines.within(),
                    "EUR");
            for (int i = 0; i < 5; i++) {
                feed.watch(BATCH, somebody, signedIn(somebody.name()));
            }
        }
        assertThat(feed.watching()).isEqualTo(LiveFeed.MOST);
    }

    @Test
    void thatDoNotReadAreLetGoAndHoldNobodyUp() {
        List<Runnable> later = new ArrayList<>();
        AtomicInteger left = new AtomicInteger();
        Watcher slow = new Watcher(
                BATCH,
                signedIn("ines"),
                new Formats(Units.METRIC, ZoneOffset.UTC),
                new SseEmitter(),
                later::add,
                w -> left.incrementAndGet());
        for (int i = 0; i < Watcher.MOST_WAITING; i++) {
            slow.send("reading", Map.of("value", i));
        }
        // One thread was asked for, which has not come to it; nothing waited for that.
        assertThat(later).hasSize(1);
        assertThat(left).hasValue(0);
        slow.send("reading", Map.of("value", "one too many"));
        assertThat(left).hasPositiveValue();
        slow.send("reading", Map.of("value", "nobody listens"));
        later.forEach(Runnable::run);
        assertThat(left.get()).isPositive();
    }

    @Test
    void areSentWhatHappenedInItsOrder() {
        List<String> sent = new ArrayList<>();
        SseEmitter emitter = new SseEmitter() {
            @Override
            public void send(SseEventBuilder builder) {
                sent.add(builder.build().iterator().next().getData().toString());
            }
        };
        Watcher watcher = new Watcher(
                BATCH, signedIn("ines"), new Formats(Units.METRIC, ZoneOffset.UTC), emitter, Runnable::run, w -> {});
        watcher.send("one", Map.of());
        watcher.send("two", Map.of());
        assertThat(sent).hasSize(2);
        assertThat(sent.get(0)).contains("one");
        assertThat(sent.get(1)).contains("two");
    }
}
