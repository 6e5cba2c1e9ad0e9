package io.causticon.web.shared;

import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.PostLoad;
import jakarta.persistence.PostPersist;
import jakarta.persistence.Transient;
import org.springframework.data.domain.Persistable;

/**
 * A row that is given its id before it is kept. It knows itself whether it is new, so that nobody has to ask the
 * database first.
 *
 * @param <I> type of its id
 */
@MappedSuperclass
public abstract class NewRow<I> implements Persistable<I> {

    @Transient
    private boolean kept;

    @Override
    public boolean isNew() {
        return !kept;
    }

    @PostLoad
    @PostPersist
    void isKept() {
        kept = true;
    }
}
