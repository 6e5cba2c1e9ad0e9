package io.causticon.web.exchange.carry;

import io.causticon.web.store.document.DocumentFault;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.multipart.MultipartFile;

/**
 * How files come to the pages that look at them first: from a form, or as the body of a request that a script sends.
 */
final class Uploads {

    private static final MediaType WORDS = new MediaType("text", "plain", StandardCharsets.UTF_8);
    private static final String CHOOSE = "Choose a file first.";

    private Uploads() {}

    /** Lays a file aside, and tells where it is looked at. */
    @FunctionalInterface
    interface Lays {

        /** @throws DocumentFault if it is nothing that could be looked at */
        String lay(InputStream in, String name);
    }

    /** Something that may not be possible any more. */
    @FunctionalInterface
    interface Deed {

        /** @throws DocumentFault if it is not */
        String done();
    }

    /** A file of a form: on to where it is looked at, or the page again with what is wrong with it. */
    static String ofForm(
            @Nullable MultipartFile file, HttpServletResponse response, Lays lays, Function<String, String> page)
            throws IOException {
        // Whoever presses without a file is asked for one; that is no fault.
        if (file == null
                || file.isEmpty() && String.valueOf(file.getOriginalFilename()).isEmpty()) {
            return page.apply(CHOOSE);
        }
        try (InputStream in = file.getInputStream()) {
            return "redirect:" + lays.lay(in, String.valueOf(file.getOriginalFilename()));
        } catch (DocumentFault e) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return page.apply(e.words());
        }
    }

    /**
     * A file of whatever size, as the body of a request: it is written to the disk while it comes.
     *
     * @param name of the file, as a header carries it
     * @return where it is looked at, or what is wrong with it
     */
    static ResponseEntity<String> ofBody(HttpServletRequest request, String name, Lays lays) throws IOException {
        try (InputStream in = request.getInputStream()) {
            return ResponseEntity.ok().contentType(WORDS).body(lays.lay(in, decoded(name)));
        } catch (DocumentFault e) {
            return ResponseEntity.badRequest().contentType(WORDS).body(e.words());
        }
    }

    /** Does something with what came, or shows the page again with why it cannot be. */
    static String tried(HttpServletResponse response, Deed deed, Function<String, String> page) {
        try {
            return deed.done();
        } catch (DocumentFault e) {
            response.setStatus(HttpServletResponse.SC_CONFLICT);
            return page.apply(e.words());
        }
    }

    private static String decoded(String name) {
        try {
            return URLDecoder.decode(name, StandardCharsets.UTF_8);
        } catch (IllegalArgumentException e) {
            return name;
        }
    }
}
