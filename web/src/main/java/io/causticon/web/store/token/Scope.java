package io.causticon.web.store.token;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.said.entry.Authority;
import io.causticon.core.model.said.entry.EntryKinds;

/** What a program may do. What a person decides, no program does, whatever its scopes are. */
public enum Scope {
    READ("read batches"),
    MEASURE("add measurements"),
    WRITE("add lines of any kind that is typed");

    private final String words;

    Scope(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /** Whether somebody who may do this may add such a line. */
    public boolean adds(Entry entry) {
        return this == WRITE && isForPrograms(entry)
                || this == MEASURE && EntryKinds.of(entry).authority() == Authority.INSTRUMENT;
    }

    /** Whether any program may; {@link Authority} tells which lines are for a person alone. */
    public static boolean isForPrograms(Entry entry) {
        return EntryKinds.of(entry).authority().isTakenFrom(Authority.PROGRAM);
    }
}
