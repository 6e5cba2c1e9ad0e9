package io.causticon.web.store.account;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.util.HexFormat;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The secret that signs who is remembered, and what else nobody may work out, kept beside the data so that it outlives
 * the server.
 */
@Component
public class RememberKey {

    private static final int BYTES = 32;

    private final String key;

    RememberKey(@Value("${causticon.data}") Path data) {
        this.key = read(data.resolve("remember.key"));
    }

    public String value() {
        return key;
    }

    private static String read(Path file) {
        try {
            if (!Files.exists(file)) {
                byte[] bytes = new byte[BYTES];
                new SecureRandom().nextBytes(bytes);
                Files.createDirectories(file.toAbsolutePath().getParent());
                Files.writeString(file, HexFormat.of().formatHex(bytes));
                // Nobody but the owner of the data reads it, where the file system can tell.
                file.toFile().setReadable(false, false);
                file.toFile().setReadable(true, true);
            }
            return Files.readString(file).trim();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
