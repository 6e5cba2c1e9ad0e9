package io.causticon.core.workshop.assessment;

import io.causticon.core.model.log.DoubtKind;
import io.causticon.core.model.log.Entry;
import io.causticon.core.wording.Phrase;
import java.util.List;

/**
 * Something that can be, and that hardly ever is: asked about before it is taken, whoever brings it. What cannot be at
 * all is refused by {@link io.causticon.core.model.log.EntryCheck}.
 *
 * @param kind what is odd
 * @param words what is odd about it, with what would be expected
 * @param meant what it may have been meant to say; none where nothing is near
 */
public record Doubt(DoubtKind kind, Phrase words, List<Entry> meant) {

    public Doubt {
        meant = List.copyOf(meant);
    }

    Doubt(DoubtKind kind, Phrase words) {
        this(kind, words, List.of());
    }
}
