package io.causticon.web.places.network;

import io.causticon.web.shared.start.CannotStart;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Function;
import org.springframework.boot.context.event.ApplicationEnvironmentPreparedEvent;
import org.springframework.boot.ssl.pem.PemContent;
import org.springframework.context.ApplicationListener;
import org.springframework.core.env.ConfigurableEnvironment;
import org.springframework.core.env.MapPropertySource;

/**
 * Where the application listens: to this machine alone, or, when it is asked to, to the workshop's network, and then
 * only with a certificate: passwords and logs would be read by everybody there. Comes after the folder of the data is
 * ready.
 */
public final class Listening implements ApplicationListener<ApplicationEnvironmentPreparedEvent> {

    static final String LISTEN = "causticon.listen";
    static final String CERTIFICATE = "causticon.certificate";
    static final String KEY = "causticon.key";

    @Override
    public void onApplicationEvent(ApplicationEnvironmentPreparedEvent event) {
        ConfigurableEnvironment environment = event.getEnvironment();
        if (!environment.getProperty(LISTEN, Boolean.class, false)) {
            return;
        }
        Map<String, Object> settings = new HashMap<>();
        settings.put("server.address", "0.0.0.0");
        settings.put("server.servlet.session.cookie.secure", "true");
        settings.put("server.ssl.enabled", "true");
        String given = environment.getProperty(CERTIFICATE, "");
        String key = environment.getProperty(KEY, "");
        if (given.isEmpty() && key.isEmpty()) {
            Certificates own = new Certificates(Path.of(environment.getRequiredProperty("causticon.data"))
                    .toAbsolutePath()
                    .normalize());
            own.prepare(Addresses.all(), Instant.now());
            settings.put("server.ssl.key-store", own.serverStore().toUri().toString());
            settings.put("server.ssl.key-store-type", "PKCS12");
            settings.put("server.ssl.key-store-password", Certificates.PASSWORD);
            settings.put("server.ssl.key-alias", Certificates.SERVER);
        } else {
            checkGiven(given, key);
            settings.put("server.ssl.certificate", Path.of(given).toUri().toString());
            settings.put(
                    "server.ssl.certificate-private-key", Path.of(key).toUri().toString());
        }
        environment.getPropertySources().addFirst(new MapPropertySource("network", settings));
    }

    /** @throws CannotStart in words, if they are not a certificate and its key in PEM */
    static void checkGiven(String certificate, String key) {
        if (certificate.isEmpty() || key.isEmpty()) {
            throw new CannotStart("A certificate and its key belong together: --certificate FILE and --key FILE.");
        }
        checkHolds(certificate, "--certificate", "a certificate", PemContent::getCertificates);
        checkHolds(key, "--key", "a key without a password", PemContent::getPrivateKey);
    }

    private static void checkHolds(String path, String option, String what, Function<PemContent, Object> held) {
        try {
            if (held.apply(PemContent.of(Files.readString(Path.of(path)))) != null) {
                return;
            }
        } catch (IOException e) {
            throw new CannotStart("The file " + path + " that " + option + " names cannot be read.");
        } catch (RuntimeException e) {
            // Whatever is wrong with what is in it.
        }
        throw new CannotStart("The file " + path + " that " + option + " names does not hold " + what + " in PEM.");
    }
}
