package io.causticon.web.batch;

import io.causticon.core.observation.Entry;
import io.causticon.core.quantity.Estimate;
import java.util.Optional;

/** Judges a batch by what its log says. Asked within each write, so that no line is kept without what follows from it. */
public interface Judge {

    /** @param batch as it is with the lines that are just being written */
    Judgement of(Batch batch);

    /**
     * What was found.
     *
     * @param hold the line that has to hold it; empty where nothing speaks for that, and on the bench
     * @param leading what is likeliest
     * @param hazard the likeliest of what could hurt somebody
     * @param look what to look at next; may be empty
     * @param superfat of it as whoever melts it down reckons with it; empty where nobody judges
     */
    record Judgement(Optional<Entry.Held> hold, Likely leading, Likely hazard, String look, Optional<Estimate> superfat) {

        /** Of a batch that cannot be worked out, or that nobody judges. */
        public static final Judgement UNKNOWN = new Judgement(Optional.empty(), Likely.NOTHING, Likely.NOTHING, "", Optional.empty());
    }

    /**
     * A condition and how likely it is.
     *
     * @param name of it; empty for none
     * @param probability 0 to 1
     */
    record Likely(String name, double probability) {

        public static final Likely NOTHING = new Likely("", 0);
    }
}
