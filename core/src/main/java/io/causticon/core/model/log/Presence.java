package io.causticon.core.model.log;

/** What is known of a finding. What nobody looked at is neither. */
public enum Presence {
    SEEN,
    LOOKED_AND_ABSENT
}
