package io.causticon.web.places.network;

import io.causticon.web.shared.start.CannotStart;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.cert.CertificateParsingException;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Base64;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Certificates of the workshop's own. One that signs is made once and stays for ten years: who trusts it on a tablet
 * need not do so again. One for the server is made when there is none, when it ends soon, and when the machine got
 * another address. Made by the tool that comes with Java.
 */
final class Certificates {

    /**
     * What of both is in the folder of the data, which its owner alone reads; the word guards nothing that the folder
     * does not.
     */
    static final String PASSWORD = "causticon";

    static final String SERVER = "server";
    private static final String SIGNS = "signs";

    private static final String YEARS_OF_SIGNING = "3650";

    /** Devices of some makers take none that is good for longer than 825 days. */
    private static final String DAYS_OF_SERVER = "800";

    private static final long ENDS_SOON_DAYS = 30;

    private final Path signing;
    private final Path server;

    /** @param folder of the data */
    Certificates(Path folder) {
        this.signing = folder.resolve("network-signing.p12");
        this.server = folder.resolve("network-server.p12");
    }

    /** The key and the certificate of the server. */
    Path serverStore() {
        return server;
    }

    /**
     * Makes what is missing.
     *
     * @param names and addresses that the server is to be known by
     * @throws CannotStart in words, if it cannot
     */
    void prepare(Collection<String> names, Instant now) {
        try {
            if (!Files.exists(signing)) {
                keytool(
                        "-genkeypair",
                        "-alias",
                        SIGNS,
                        "-keyalg",
                        "EC",
                        "-groupname",
                        "secp256r1",
                        "-dname",
                        "CN=Causticon of this workshop",
                        "-validity",
                        YEARS_OF_SIGNING,
                        "-ext",
                        "bc:c=ca:true,pathlen:0",
                        "-ext",
                        "ku:c=keyCertSign,cRLSign",
                        "-keystore",
                        signing.toString());
            }
            if (!Files.exists(server) || !serves(names, now)) {
                issue(names);
            }
        } catch (GeneralSecurityException | IOException e) {
            throw new CannotStart("The certificate for the network in " + signing.getParent()
                    + " cannot be read. Move network-signing.p12 and"
                    + " network-server.p12 away, and new ones are made; or start without --listen.");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new CannotStart("Interrupted while the certificate for the network was made.");
        }
    }

    /** The certificate that signs, for devices that are to trust it: as they take it, in text. */
    String signingText() throws GeneralSecurityException, IOException {
        byte[] encoded = certificate(signing, SIGNS).getEncoded();
        return "-----BEGIN CERTIFICATE-----\n"
                + Base64.getMimeEncoder(64, new byte[] {'\n'}).encodeToString(encoded)
                + "\n-----END CERTIFICATE-----\n";
    }

    private boolean serves(Collection<String> names, Instant now) throws GeneralSecurityException, IOException {
        X509Certificate shown = certificate(server, SERVER);
        boolean lasts = shown.getNotAfter().toInstant().isAfter(now.plus(ENDS_SOON_DAYS, ChronoUnit.DAYS));
        return lasts
                && known(shown)
                        .containsAll(names.stream().map(Certificates::alike).toList());
    }

    private static Set<String> known(X509Certificate shown) throws CertificateParsingException {
        return shown.getSubjectAlternativeNames().stream()
                .map(n -> alike(n.get(1).toString()))
                .collect(Collectors.toSet());
    }

    /** An address of the newer kind is written in more ways than one. */
    private static String alike(String name) {
        return Addresses.isAddress(name) ? Addresses.written(name) : name;
    }

    private void issue(Collection<String> names) throws IOException, InterruptedException {
        Path made = Files.createTempDirectory(server.getParent(), "network");
        try {
            String store = made.resolve("server.p12").toString();
            String request = made.resolve("request").toString();
            String signed = made.resolve("signed").toString();
            String ca = made.resolve("ca").toString();
            String san = names.stream()
                    .map(n -> (Addresses.isAddress(n) ? "ip:" : "dns:") + n)
                    .collect(Collectors.joining(","));
            keytool(
                    "-genkeypair",
                    "-alias",
                    SERVER,
                    "-keyalg",
                    "EC",
                    "-groupname",
                    "secp256r1",
                    "-dname",
                    "CN=Causticon",
                    "-keystore",
                    store);
            keytool("-certreq", "-alias", SERVER, "-file", request, "-keystore", store);
            keytool(
                    "-gencert",
                    "-alias",
                    SIGNS,
                    "-infile",
                    request,
                    "-outfile",
                    signed,
                    "-validity",
                    DAYS_OF_SERVER,
                    "-ext",
                    "san=" + san,
                    "-ext",
                    "eku=serverAuth",
                    "-ext",
                    "ku:c=digitalSignature",
                    "-keystore",
                    signing.toString());
            keytool("-exportcert", "-alias", SIGNS, "-file", ca, "-keystore", signing.toString());
            keytool("-importcert", "-alias", SIGNS, "-file", ca, "-noprompt", "-keystore", store);
            keytool("-importcert", "-alias", SERVER, "-file", signed, "-noprompt", "-keystore", store);
            Files.move(Path.of(store), server, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
        } finally {
            for (String file : List.of("server.p12", "request", "signed", "ca")) {
                Files.deleteIfExists(made.resolve(file));
            }
            Files.deleteIfExists(made);
        }
    }

    private static X509Certificate certificate(Path store, String alias) throws GeneralSecurityException, IOException {
        KeyStore keys = KeyStore.getInstance("PKCS12");
        try (InputStream in = Files.newInputStream(store)) {
            keys.load(in, PASSWORD.toCharArray());
        }
        if (!(keys.getCertificate(alias) instanceof X509Certificate found)) {
            throw new IOException("no " + alias + " in " + store);
        }
        return found;
    }

    private static void keytool(String... arguments) throws IOException, InterruptedException {
        Path tool = Path.of(System.getProperty("java.home"), "bin", "keytool");
        if (!Files.isExecutable(tool)) {
            throw new CannotStart(
                    "This Java has no keytool, which makes certificates. Take a whole JDK, or give one with"
                            + " --certificate and --key.");
        }
        List<String> command = new ArrayList<>(List.of(tool.toString()));
        command.addAll(List.of(arguments));
        command.addAll(List.of(
                "-storetype", "PKCS12", "-storepass", PASSWORD, "-J-XX:TieredStopAtLevel=1", "-J-XX:+UseSerialGC"));
        Process run = new ProcessBuilder(command).redirectErrorStream(true).start();
        run.getOutputStream().close();
        String said = new String(run.getInputStream().readAllBytes());
        if (run.waitFor() != 0) {
            throw new CannotStart("The certificate for the network could not be made: " + said.strip());
        }
    }
}
