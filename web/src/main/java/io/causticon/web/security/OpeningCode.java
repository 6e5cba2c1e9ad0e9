package io.causticon.web.security;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.store.account.Knock;
import io.causticon.web.store.account.PasswordTries;
import jakarta.servlet.http.HttpServletRequest;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Duration;
import java.util.Locale;
import java.util.stream.Collectors;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;

/**
 * What the terminal shows and the first visit from another machine asks for: a workshop that listens to its network
 * before it has an owner would belong to whoever comes by first.
 */
@Component
public class OpeningCode {

    /** None that is taken for another. */
    private static final String LETTERS = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    private static final int LENGTH = 8;

    private final PasswordTries tries;
    private final String code = new SecureRandom()
            .ints(LENGTH, 0, LETTERS.length())
            .mapToObj(i -> String.valueOf(LETTERS.charAt(i)))
            .collect(Collectors.joining());

    OpeningCode(PasswordTries tries) {
        this.tries = tries;
    }

    /** As the terminal shows it. */
    public String code() {
        return code;
    }

    /** Not of this machine itself; what a proxy hands on may come from anywhere. */
    public boolean isWanted(HttpServletRequest request) {
        boolean handedOn = request.getHeader("X-Forwarded-For") != null
                || request.getHeader("Forwarded") != null
                || request.getHeader(HttpHeaders.VIA) != null;
        try {
            return handedOn || !InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return true;
        }
    }

    /** @throws ProblemsException beside its field, if it is wanted and wrong, or guessed too often */
    public void check(HttpServletRequest request, String typed) {
        if (!isWanted(request)) {
            return;
        }
        Knock knock = new Knock(request.getRemoteAddr(), null);
        Duration wait = tries.tryNow("first visit", knock);
        if (!wait.isZero()) {
            throw ProblemsException.of("code", ProblemKey.TOO_MANY_TRIES, wait.toSeconds() + 1);
        }
        String said = typed.replaceAll("[\\s-]", "").toUpperCase(Locale.ROOT);
        if (!MessageDigest.isEqual(said.getBytes(StandardCharsets.UTF_8), code.getBytes(StandardCharsets.UTF_8))) {
            throw ProblemsException.of("code", ProblemKey.WRONG_CODE);
        }
        tries.succeeded("first visit", knock);
    }
}
