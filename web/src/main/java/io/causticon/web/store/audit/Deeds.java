package io.causticon.web.store.audit;

import io.causticon.web.shared.CookieNames;
import io.causticon.web.shared.DaemonThreads;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.regex.Pattern;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.web.util.WebUtils;

/**
 * Writes down who did what: what changes something within the transaction that changes it, everything else soon after,
 * so that nobody waits for it.
 */
@Component
public class Deeds implements DisposableBean {

    private static final Logger LOG = LoggerFactory.getLogger(Deeds.class);
    private static final int MOST_WAITING = 20_000;
    private static final int AT_ONCE = 200;
    /**
     * What several do at the same time is written at once: a commit each would stand in the way of whoever logs next.
     */
    private static final Duration BREATH = Duration.ofSeconds(1);

    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_DEVICE = 160;
    /** Of a header: what tells one browser from another stands in it earlier. */
    private static final int LONGEST_SAID = 400;

    private static final int LONGEST_WHAT = 120;
    private static final int LONGEST_SUBJECT = 200;
    private static final String BROWSER = "causticon-browser";
    private static final int BROWSER_SHOWN = 8;
    private static final Pattern CONTROL = Pattern.compile("\\p{Cntrl}+");

    private final JdbcTemplate jdbc;
    private final String browserCookie;
    private final Clock clock;
    private final BlockingQueue<Deed> waiting = new LinkedBlockingQueue<>(MOST_WAITING);
    private final AtomicBoolean writing = new AtomicBoolean();
    private final ScheduledExecutorService background =
            Executors.newSingleThreadScheduledExecutor(DaemonThreads.named("deeds"));

    Deeds(JdbcTemplate jdbc, CookieNames names, Clock clock) {
        this.jdbc = jdbc;
        this.browserCookie = names.of(BROWSER);
        this.clock = clock;
    }

    /**
     * Something that somebody did.
     *
     * @param at when
     * @param name what she signs in with
     * @param device what it was done from
     * @param what in words
     * @param subject what it was done to: an id, a name
     */
    record Deed(Instant at, String name, Device device, String what, String subject) {}

    /**
     * What a request says that it comes from.
     *
     * @param known the cookie that the browser keeps; empty where it has none
     * @param agent what it says that it is
     * @param address of it
     */
    public record Device(String known, String agent, String address) {

        public String words() {
            int end = known.indexOf('.');
            String id = end < 0 ? known : known.substring(0, end);
            String named = id.length() > BROWSER_SHOWN ? id.substring(0, BROWSER_SHOWN) : id;
            return (kind(agent) + " " + named + " at " + address).replaceAll(" +", " ");
        }
    }

    /** Within the transaction that does it: it stands there if that is kept, and only then. */
    public void noteNow(String name, HttpServletRequest request, String what, String subject) {
        insert(List.of(deed(name, request, what, subject)));
    }

    private Deed deed(String name, HttpServletRequest request, String what, String subject) {
        Cookie known = WebUtils.getCookie(request, browserCookie);
        return new Deed(
                clock.instant(),
                cut(name, LONGEST_NAME),
                new Device(
                        known == null ? "" : cut(known.getValue(), LONGEST_SAID),
                        cut(String.valueOf(request.getHeader("User-Agent")), LONGEST_SAID),
                        request.getRemoteAddr()),
                cut(what, LONGEST_WHAT),
                cut(subject, LONGEST_SUBJECT));
    }

    /** Of what changes nothing: soon after. */
    public void note(String name, HttpServletRequest request, String what, String subject) {
        boolean kept = waiting.offer(deed(name, request, what, subject));
        if (!kept) {
            LOG.warn("{} {} {} could not be written down: too much waits", name, what, subject);
        } else if (writing.compareAndSet(false, true)) {
            background.schedule(this::write, BREATH.toMillis(), TimeUnit.MILLISECONDS);
        }
    }

    /** Waits until what was noted before is written. */
    public void awaitWritten() {
        CompletableFuture.runAsync(this::write, background).join();
    }

    private void write() {
        do {
            List<Deed> some = new ArrayList<>();
            waiting.drainTo(some, AT_ONCE);
            try {
                insert(some);
            } catch (RuntimeException e) {
                // The disk is full, or the file closed: what was done is done, and the log of the program keeps it.
                some.forEach(d -> LOG.warn("not written down: {}", d));
            }
            writing.set(false);
        } while (!waiting.isEmpty() && writing.compareAndSet(false, true));
    }

    private void insert(List<Deed> some) {
        jdbc.batchUpdate(
                "insert into deed (done_at, name, device, what, subject) values (?, ?, ?, ?, ?)",
                some,
                AT_ONCE,
                (statement, d) -> {
                    statement.setObject(1, d.at().atOffset(ZoneOffset.UTC));
                    statement.setString(2, d.name());
                    statement.setString(3, cut(d.device().words(), LONGEST_DEVICE));
                    statement.setString(4, d.what());
                    statement.setString(5, d.subject());
                });
    }

    private static String cut(String text, int longest) {
        String line = (text.chars().anyMatch(Character::isISOControl)
                        ? CONTROL.matcher(text).replaceAll(" ")
                        : text)
                .strip();
        return line.length() <= longest ? line : line.substring(0, longest);
    }

    private static String kind(String agent) {
        String browser = agent.contains("Firefox")
                ? "Firefox"
                : agent.contains("Edg/")
                        ? "Edge"
                        : agent.contains("Chrome") ? "Chrome" : agent.contains("Safari") ? "Safari" : "a program";
        String on = agent.contains("Android")
                ? "Android"
                : agent.contains("iPhone") || agent.contains("iPad")
                        ? "iOS"
                        : agent.contains("Windows")
                                ? "Windows"
                                : agent.contains("Mac OS") ? "macOS" : agent.contains("Linux") ? "Linux" : "";
        return on.isEmpty() ? browser : browser + " on " + on;
    }

    @Override
    public void destroy() {
        DaemonThreads.end(background);
    }
}
