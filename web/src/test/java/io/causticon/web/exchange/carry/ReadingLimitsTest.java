package io.causticon.web.exchange.carry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.web.store.document.DocumentFault;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;

/** When reading a table stops, on a clock of its own. */
class ReadingLimitsTest {

    private final AtomicLong now = new AtomicLong();
    private final AtomicBoolean left = new AtomicBoolean();
    private final AtomicInteger looks = new AtomicInteger();
    private final ReadingLimits limits = new ReadingLimits(now::get, () -> {
        looks.incrementAndGet();
        return left.get();
    });

    private void pass(long milliseconds) {
        now.addAndGet(TimeUnit.MILLISECONDS.toNanos(milliseconds));
    }

    @Test
    void isBrokenOffWhereNobodyWaitsAnyMore() {
        pass(300);
        assertThatCode(limits::goOn).doesNotThrowAnyException();
        left.set(true);
        pass(300);
        assertThatThrownBy(limits::goOn)
                .isInstanceOf(DocumentFault.class)
                .hasMessageContaining("whoever sent it has left");
    }

    @Test
    void looksAtTheConnectionFourTimesASecondAtMost() {
        for (int millisecond = 0; millisecond < 2000; millisecond++) {
            pass(1);
            limits.cells(1);
        }
        assertThat(looks).hasValueBetween(6, 8);
    }

    @Test
    void hasAnEnd() {
        pass(15_001);
        assertThatThrownBy(() -> limits.cells(1)).hasMessageContaining("longer than any table should");
    }
}
