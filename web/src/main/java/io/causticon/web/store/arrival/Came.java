package io.causticon.web.store.arrival;

import io.causticon.web.shared.Kept;
import io.causticon.web.store.account.Maker;
import java.util.UUID;

/**
 * Something that came, as a list tells it.
 *
 * @param href where it is looked at while it waits
 */
public record Came(
        UUID id,
        String source,
        String when,
        String by,
        String told,
        String href,
        boolean waits,
        boolean taken,
        String undone) {

    public static Came of(ArrivalRow r, Maker maker) {
        String undone =
                r.undoneAt == null ? "" : "taken back " + maker.formats().moment(r.undoneAt) + " by " + r.undoneBy;
        return new Came(
                r.id,
                r.source,
                maker.formats().moment(r.seenAt),
                r.byName,
                r.told,
                href(r),
                r.is(ArrivalRow.State.SEEN),
                r.is(ArrivalRow.State.TAKEN),
                undone);
    }

    private static String href(ArrivalRow r) {
        return switch (Kept.choice(ArrivalRow.Kind.class, r.kind).orElse(ArrivalRow.Kind.DOCUMENTS)) {
            case DOCUMENTS -> "/people/arrivals/" + r.id;
            case PROBE -> "/batch/" + r.about + "/probe/" + r.id;
            case SHEET -> "/carry/table/" + r.id;
        };
    }
}
