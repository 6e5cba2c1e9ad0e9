package io.causticon.core.quantity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

class MemoTest {

    private final AtomicInteger worked = new AtomicInteger();

    private int doubled(int of) {
        worked.incrementAndGet();
        return 2 * of;
    }

    @Test
    void worksOutOnceWhatIsAskedTwice() {
        Memo<Integer, Integer> memo = new Memo<>(4);
        assertThat(memo.get(3, this::doubled)).isEqualTo(6);
        assertThat(memo.get(3, this::doubled)).isEqualTo(6);
        assertThat(memo.get(4, this::doubled)).isEqualTo(8);
        assertThat(worked).hasValue(2);
    }

    @Test
    void keepsNoMoreThanItMayAndStaysRight() {
        Memo<Integer, Integer> memo = new Memo<>(2);
        for (int i = 0; i < 100; i++) {
            assertThat(memo.get(i, this::doubled)).isEqualTo(2 * i);
        }
        for (int i = 0; i < 100; i++) {
            assertThat(memo.get(i, this::doubled)).isEqualTo(2 * i);
        }
        assertThat(worked.get()).isBetween(196, 200);
    }

    @Test
    void asksAnewWhereItFailed() {
        Memo<Integer, Integer> memo = new Memo<>(2);
        assertThatThrownBy(() -> memo.get(1, q -> Integer.parseInt("none"))).isInstanceOf(NumberFormatException.class);
        assertThat(memo.get(1, this::doubled)).isEqualTo(2);
    }
}
