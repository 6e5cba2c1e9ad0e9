package io.causticon.web.shared;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/** What a device or a calendar shows instead of a password: it is told once, and only its hash is kept. */
public final class Token {

    private static final int BYTES = 24;
    private static final SecureRandom RANDOM = new SecureRandom();

    private Token() {}

    /** One that nobody guesses, fit for an address. */
    public static String fresh() {
        byte[] bytes = new byte[BYTES];
        RANDOM.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    /** SHA-256 in hexadecimal digits. */
    public static String hash(String token) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Impossible state: a platform without SHA-256", e);
        }
    }
}
