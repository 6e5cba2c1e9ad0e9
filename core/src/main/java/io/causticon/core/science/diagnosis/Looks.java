package io.causticon.core.science.diagnosis;

import java.util.List;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * What to look at next, worked out when somebody first asks: a list of batches, or one that is judged again, never
 * does.
 */
public final class Looks {

    private @Nullable Supplier<NextLooks.Ranked> workOut;
    private NextLooks.@Nullable Ranked ranked;

    Looks(Supplier<NextLooks.Ranked> workOut) {
        this.workOut = workOut;
    }

    List<NextLook> next() {
        return ranked().looks();
    }

    boolean oneCouldFree() {
        return ranked().oneCouldFree();
    }

    private synchronized NextLooks.Ranked ranked() {
        if (ranked == null) {
            ranked = workOut.get();
            // What it was worked out from is not kept any longer.
            workOut = null;
        }
        return ranked;
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof Looks looks && ranked().equals(looks.ranked());
    }

    @Override
    public int hashCode() {
        return ranked().hashCode();
    }

    @Override
    public String toString() {
        return ranked().toString();
    }
}
