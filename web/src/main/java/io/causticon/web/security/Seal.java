package io.causticon.web.security;

import io.causticon.web.store.account.RememberKey;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/** Marks what this server gave away, so that it knows it again. A seal for one purpose is none for another. */
final class Seal {

    /** Half of what HMAC-SHA256 gives; RFC 2104, 5, asks for at least half. */
    static final int BYTES = 16;

    private static final String ALGORITHM = "HmacSHA256";

    private final SecretKeySpec key;

    /** @param purpose a word of its own for each use */
    Seal(RememberKey key, String purpose) {
        this.key = new SecretKeySpec(bytes(purpose + " " + key.value()), ALGORITHM);
    }

    /** Sixteen bytes that nobody else can make of these. */
    byte[] of(byte[] what) {
        try {
            Mac mac = Mac.getInstance(ALGORITHM);
            mac.init(key);
            return Arrays.copyOf(mac.doFinal(what), BYTES);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("Impossible state: no " + ALGORITHM, e);
        }
    }

    /** In base64url. */
    String of(String what) {
        return Base64.getUrlEncoder().withoutPadding().encodeToString(of(bytes(what)));
    }

    boolean isOf(String seal, String what) {
        return MessageDigest.isEqual(bytes(seal), bytes(of(what)));
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
