package io.causticon.web.store.document;

import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What the files of pictures are called beside a document: {@code photos/ID.jpg} and, the small one,
 * {@code photos/ID-small.jpg}.
 */
public final class PictureFiles {

    public static final String FOLDER = "photos/";
    private static final Pattern NAME = Pattern.compile("photos/([0-9a-f-]{36})(-small)?\\.jpg");

    private PictureFiles() {}

    /** Where a picture is kept. */
    record Place(UUID id, String column) {}

    static String name(String column, Object id) {
        return FOLDER + id + (column.equals("thumbnail") ? "-small" : "") + ".jpg";
    }

    static Place place(String name) {
        return find(name).orElseThrow(() -> new IllegalArgumentException(name));
    }

    /** Whether a file is called as pictures are. */
    public static boolean isOne(String name) {
        return find(name).isPresent();
    }

    private static Optional<Place> find(String name) {
        Matcher m = NAME.matcher(name);
        return m.matches()
                ? Optional.of(new Place(UUID.fromString(m.group(1)), m.group(2) == null ? "image" : "thumbnail"))
                : Optional.empty();
    }
}
