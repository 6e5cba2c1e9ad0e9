package io.causticon.web.carry;

import io.causticon.web.account.Maker;
import io.causticon.web.document.DocumentFault;
import io.causticon.web.shared.Kept;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.multipart.MultipartFile;

/**
 * Something that came, as a list tells it.
 *
 * @param href where it is looked at while it waits
 */
record Came(UUID id, String source, String when, String by, String told, String href, boolean waits, boolean taken, String undone) {

    private static final MediaType WORDS = new MediaType("text", "plain", StandardCharsets.UTF_8);

    static final String CHOOSE = "Choose a file first.";

    /** Whether a form was sent without a file. */
    static boolean isNone(@Nullable MultipartFile file) {
        return file == null || file.isEmpty() && String.valueOf(file.getOriginalFilename()).isEmpty();
    }

    static Came of(ArrivalRow r, Maker maker) {
        String undone = r.undoneAt == null ? "" : "taken back " + maker.formats().moment(r.undoneAt) + " by " + r.undoneBy;
        return new Came(r.id, r.source, maker.formats().moment(r.seenAt), r.byName, r.told, href(r), r.is(ArrivalRow.State.SEEN), r.is(ArrivalRow.State.TAKEN), undone);
    }

    private static String href(ArrivalRow r) {
        return switch (Kept.choice(ArrivalRow.Kind.class, r.kind).orElse(ArrivalRow.Kind.DOCUMENTS)) {
            case DOCUMENTS -> "/people/arrivals/" + r.id;
            case PROBE -> "/batch/" + r.about + "/probe/" + r.id;
            case SHEET -> "/carry/table/" + r.id;
        };
    }

    /** The answer to a file that was sent as the body of a request: where it is to be looked at. */
    static ResponseEntity<String> at(String address) {
        return ResponseEntity.ok().contentType(WORDS).body(address);
    }

    static ResponseEntity<String> refused(DocumentFault fault) {
        return ResponseEntity.badRequest().contentType(WORDS).body(fault.words());
    }

    /** A file's name as a header carries it. */
    static String decoded(String name) {
        try {
            return URLDecoder.decode(name, StandardCharsets.UTF_8);
        } catch (IllegalArgumentException e) {
            return name;
        }
    }
}
