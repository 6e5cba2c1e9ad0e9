package io.causticon.web.store.batch;

import io.causticon.core.workshop.assessment.Doubt;
import java.util.List;

/** A line was not kept: something about it is asked first. */
public final class DoubtsException extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final transient Batch batch;
    private final transient List<Doubt> doubts;

    DoubtsException(Batch batch, List<Doubt> doubts) {
        super(doubts.toString());
        this.batch = batch;
        this.doubts = List.copyOf(doubts);
    }

    /** That it was to be kept in. */
    public Batch batch() {
        return batch;
    }

    public List<Doubt> doubts() {
        return doubts;
    }
}
