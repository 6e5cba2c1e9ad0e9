package io.causticon.web.shared.print;

import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.NotFoundException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A drawing of a page as a file to keep. */
public final class DrawingAnswer {

    private DrawingAnswer() {}

    /**
     * The answer with its file.
     *
     * @param drawing null where the page has none now
     * @param kind {@code svg} or {@code png}
     * @param name of the file, without its kind
     * @throws NotFoundException if there is no such drawing, or no such kind of file
     */
    public static ResponseEntity<byte[]> of(@Nullable Drawing drawing, String kind, String name) {
        DrawingFile.Kind as = Stream.of(DrawingFile.Kind.values())
                .filter(k -> k.name().toLowerCase(Locale.ROOT).equals(kind))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("drawings as " + kind));
        byte[] file = DrawingFile.of(
                Optional.ofNullable(drawing).orElseThrow(() -> new NotFoundException("drawing " + name)), as);
        HttpHeaders headers = new HttpHeaders();
        headers.setContentDisposition(ContentDisposition.attachment()
                .filename(name + "." + kind, StandardCharsets.UTF_8)
                .build());
        headers.setCacheControl("no-store");
        return ResponseEntity.ok()
                .headers(headers)
                .contentType(MediaType.parseMediaType(as.type()))
                .body(file);
    }

    /** One of several drawings by its number, counted from 1. */
    public static ResponseEntity<byte[]> of(List<Drawing> drawings, int number, String kind, String name) {
        return of(number < 1 || number > drawings.size() ? null : drawings.get(number - 1), kind, name + "-" + number);
    }
}
