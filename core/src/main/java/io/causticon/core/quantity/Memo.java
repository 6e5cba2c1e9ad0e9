package io.causticon.core.quantity;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.function.Function;

/**
 * The last few answers to a question that is dear to work out and whose answer depends on nothing but the question. It
 * changes nothing but the time that an answer takes.
 *
 * @param <Q> the question, compared by its values
 * @param <A> the answer, immutable
 */
public final class Memo<Q, A> {

    private final Cache<Q, A> known;

    public Memo(int kept) {
        // Evicting at once, not by a thread of its own.
        this.known =
                Caffeine.newBuilder().maximumSize(kept).executor(Runnable::run).build();
    }

    public A get(Q question, Function<Q, A> workOut) {
        // No lock while it is worked out: two who ask at once work twice, and nobody else waits.
        A answer = known.getIfPresent(question);
        if (answer == null) {
            answer = workOut.apply(question);
            known.put(question, answer);
        }
        return answer;
    }
}
