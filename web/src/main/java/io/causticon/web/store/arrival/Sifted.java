package io.causticon.web.store.arrival;

import io.causticon.web.store.document.Row;
import java.util.List;

/**
 * A document that was looked at.
 *
 * @param title what it is of
 * @param novelty how it stands to what is here
 * @param add rows that would be added, in their order
 * @param settle batches whose logs would grow
 * @param words what is to be said of it
 */
record Sifted(String title, Novelty novelty, List<Row> add, List<Object> settle, List<String> words) {

    static Sifted fault(String title, String words) {
        return new Sifted(title, Novelty.FAULT, List.of(), List.of(), List.of(words));
    }
}
