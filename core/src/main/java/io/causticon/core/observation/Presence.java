package io.causticon.core.observation;

/** What is known of a finding. What nobody looked at is neither. */
public enum Presence {
    SEEN,
    LOOKED_AND_ABSENT
}
