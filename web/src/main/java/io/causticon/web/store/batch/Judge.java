package io.causticon.web.store.batch;

import io.causticon.core.workshop.assessment.Assessment;

/**
 * Knows by what batches are judged: what is known of soap anywhere, sharpened by what this workshop settled, and what
 * its vessels weigh.
 */
public interface Judge {

    /** By what was last learned: nothing is read for it, which a line that is being written has to wait for. */
    Assessment.Known asLastRead(BatchId batch);

    /** By everything that is known now. */
    Assessment.Known now(BatchId batch);

    /** Names what was learned: another one judges otherwise. Empty until all that there is to learn was read. */
    String experience();
}
