package io.causticon.web.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import org.apache.coyote.InputBuffer;
import org.apache.tomcat.util.net.ApplicationBufferHandler;
import org.junit.jupiter.api.Test;

/** How fast a body has to come, on a clock of its own, and how many may come at once. */
class BodiesTest {

    private final AtomicLong now = new AtomicLong();

    /** So many bytes come with each look. */
    private PacedBody body(int bytes, BodyValve.Pace pace) {
        return new PacedBody(
                new InputBuffer() {
                    @Override
                    public int doRead(ApplicationBufferHandler handler) {
                        return bytes;
                    }

                    @Override
                    public int available() {
                        return bytes;
                    }
                },
                pace,
                now::get);
    }

    private static BodyValve.Pace pace(long grace, long rate, long most) {
        return new BodyValve.Pace(TimeUnit.SECONDS.toNanos(grace), rate, TimeUnit.SECONDS.toNanos(most));
    }

    @Test
    void oneThatComesByteByByteIsGivenUp() throws IOException {
        PacedBody slow = body(1, pace(10, 1024, 600));
        for (int second = 0; second < 10; second++) {
            slow.doRead(null);
            now.addAndGet(TimeUnit.SECONDS.toNanos(1));
        }
        now.addAndGet(1);
        assertThatThrownBy(() -> slow.doRead(null)).isInstanceOf(IOException.class);
    }

    @Test
    void aPhotoOverAPoorLineIsTaken() throws IOException {
        PacedBody photo = body(20_000, pace(10, 1024, 600));
        for (int second = 0; second < 300; second++) {
            assertThat(photo.doRead(null)).isEqualTo(20_000);
            now.addAndGet(TimeUnit.SECONDS.toNanos(1));
        }
    }

    @Test
    void allOfItHasAnEnd() throws IOException {
        PacedBody endless = body(1_000_000, pace(10, 1024, 600));
        endless.doRead(null);
        now.addAndGet(TimeUnit.SECONDS.toNanos(601));
        assertThatThrownBy(() -> endless.doRead(null)).isInstanceOf(IOException.class);
    }

    @Test
    void oneHasNotAllPlaces() {
        Places places = new Places(5, 3);
        assertThat(places.take("a") && places.take("a") && places.take("a")).isTrue();
        assertThat(places.take("a")).isFalse();
        assertThat(places.take("b") && places.take("b")).isTrue();
        assertThat(places.take("c")).isFalse();
        places.leave("a");
        assertThat(places.take("c")).isTrue();
    }
}
