package io.causticon.web.store.batch;

/** Keeps something that hangs on the logs of batches. */
public interface FollowsLogs {

    /** A batch's log grew or was amended; it is on disk, and whoever logged it waits for this. */
    void logged(BatchId batch);
}
