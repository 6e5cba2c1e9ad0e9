package io.causticon.web.store.account;

/** What somebody may do. */
public enum Role {
    /** Everything, also who signs in. */
    OWNER,
    /** Plan, make, log, diagnose. */
    MAKER,
    /** Look. */
    VIEWER;

    public boolean canWrite() {
        return this != VIEWER;
    }
}
