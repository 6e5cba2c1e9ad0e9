package io.causticon.web.security;

import io.causticon.web.shared.Asker;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.function.LongSupplier;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.apache.coyote.ActionCode;
import org.apache.coyote.InputBuffer;
import org.springframework.http.HttpHeaders;

/**
 * Stands before everything that could read a body. Of whoever is not known nothing is read but a sign-in, which is
 * small, is given a few seconds, and has few places, so that strangers who send byte by byte hold up one another and
 * nobody else. Of whoever is known a body keeps a least pace. A thread waits while a body is read; that is why it is
 * decided here, and not in a filter, where the form's fields are read already.
 */
final class BodyValve extends ValveBase {

    /** Where somebody may come in who is not known yet. */
    private static final Set<String> DOORS = Set.of("/sign-in", "/first-visit");

    private static final long LARGEST_OF_A_STRANGER = 4096;
    private static final Pace OF_A_STRANGER = new Pace(TimeUnit.SECONDS.toNanos(4), 0, TimeUnit.SECONDS.toNanos(4));
    private static final Pace OF_SOMEBODY = new Pace(TimeUnit.SECONDS.toNanos(10), 1024, TimeUnit.MINUTES.toNanos(10));

    private final Knows knows;
    private final Places strangers = new Places(24, 12);
    private final Places somebody = new Places(140, 32);
    private final LongSupplier nanoseconds;

    /** Says who sends a request, by what it carries beside its body; empty for a stranger. */
    @FunctionalInterface
    interface Knows {

        Optional<String> who(Request request);
    }

    /**
     * How fast a body comes at least.
     *
     * @param grace nanoseconds in which nothing is asked of it
     * @param rate bytes a second after that, on average since it began
     * @param most nanoseconds for all of it
     */
    record Pace(long grace, long rate, long most) {

        boolean isTooSlow(long nanos, long bytes) {
            double seconds = (double) nanos / TimeUnit.SECONDS.toNanos(1);
            return nanos > most || nanos > grace && bytes < rate * seconds;
        }
    }

    BodyValve(Knows knows, LongSupplier nanoseconds) {
        super(true);
        this.knows = knows;
        this.nanoseconds = nanoseconds;
    }

    @Override
    public void invoke(Request request, Response response) throws IOException, ServletException {
        Asker.tell(request.getRequest(), () -> isThere(request.getCoyoteRequest()));
        boolean hasBody =
                request.getContentLengthLong() > 0 || request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null;
        if (!hasBody) {
            getNext().invoke(request, response);
            return;
        }
        if (request.getContext() == null) {
            // The address is none: the server has refused it, and nobody reads on.
            leaveUnread(request, response);
            getNext().invoke(request, response);
            return;
        }
        Optional<String> who = knows.who(request);
        if (who.isPresent()) {
            read(request, response, somebody, who.get(), OF_SOMEBODY);
        } else if (!DOORS.contains(request.getServletPath())) {
            unread(request, response);
        } else if (request.getContentLengthLong() < 0 || request.getContentLengthLong() > LARGEST_OF_A_STRANGER) {
            refuse(request, response, HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE, "That is too large to sign in.");
        } else {
            read(request, response, strangers, request.getRemoteAddr(), OF_A_STRANGER);
        }
    }

    /**
     * Nobody sends more before the answer came; what can be read now is the end of the connection. (One who does send
     * the next request already is taken for gone, and asks once more.)
     */
    private static boolean isThere(org.apache.coyote.Request request) {
        request.action(ActionCode.AVAILABLE, Boolean.TRUE);
        return request.getAvailable() == 0;
    }

    private void read(Request request, Response response, Places places, String who, Pace pace)
            throws IOException, ServletException {
        if (!places.take(who)) {
            refuse(
                    request,
                    response,
                    HttpServletResponse.SC_SERVICE_UNAVAILABLE,
                    "Too much comes in at once. Try again in a moment.");
            return;
        }
        org.apache.coyote.Request read = request.getCoyoteRequest();
        InputBuffer whole = read.getInputBuffer();
        read.setInputBuffer(new PacedBody(whole, pace, nanoseconds));
        try {
            getNext().invoke(request, response);
        } finally {
            read.setInputBuffer(whole);
            places.leave(who);
        }
    }

    /** Programs are told what they lack; browsers are led to the door. */
    private static void unread(Request request, Response response) throws IOException {
        String path = String.valueOf(request.getServletPath());
        if (path.startsWith("/api/") || path.equals("/ingest")) {
            response.setHeader(HttpHeaders.WWW_AUTHENTICATE, "Bearer");
            refuse(
                    request,
                    response,
                    HttpServletResponse.SC_UNAUTHORIZED,
                    "application/problem+json",
                    "{\"status\":401,\"title\":\"Unauthorized\",\"detail\":\"No such token. Send Authorization: Bearer"
                            + " and the token, which the owner makes in the workshop.\"}");
        } else {
            leaveUnread(request, response);
            response.setStatus(HttpServletResponse.SC_FOUND);
            response.setHeader(HttpHeaders.LOCATION, "/sign-in");
        }
    }

    private static void refuse(Request request, Response response, int status, String words) throws IOException {
        response.setHeader(HttpHeaders.RETRY_AFTER, "5");
        refuse(request, response, status, "text/plain", words);
    }

    private static void refuse(Request request, Response response, int status, String type, String words)
            throws IOException {
        leaveUnread(request, response);
        response.setStatus(status);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("X-Frame-Options", "DENY");
        response.setHeader("Content-Security-Policy", "default-src 'none'; frame-ancestors 'none'");
        response.setHeader("Referrer-Policy", "same-origin");
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        response.setContentType(type + ";charset=UTF-8");
        response.getWriter().write(words);
    }

    /** What was not read is not waited for either: the connection ends with the answer. */
    private static void leaveUnread(Request request, Response response) {
        request.getCoyoteRequest().action(ActionCode.DISABLE_SWALLOW_INPUT, null);
        response.setHeader(HttpHeaders.CONNECTION, "close");
    }
}
