package io.causticon.web.places.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import io.causticon.web.shared.start.CannotStart;
import java.io.ByteArrayInputStream;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import java.security.cert.CertificateFactory;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CertificatesTest {

    private static final Instant NOW = Instant.now();

    @TempDir
    private Path folder;

    private X509Certificate shown(Certificates certificates) throws Exception {
        KeyStore store = KeyStore.getInstance("PKCS12");
        try (InputStream in = Files.newInputStream(certificates.serverStore())) {
            store.load(in, Certificates.PASSWORD.toCharArray());
        }
        assertThat(store.isKeyEntry(Certificates.SERVER)).isTrue();
        assertThat(store.getCertificateChain(Certificates.SERVER)).hasSize(2);
        return (X509Certificate) store.getCertificate(Certificates.SERVER);
    }

    private static X509Certificate signing(Certificates certificates) throws Exception {
        return (X509Certificate) CertificateFactory.getInstance("X.509")
                .generateCertificate(
                        new ByteArrayInputStream(certificates.signingText().getBytes(StandardCharsets.US_ASCII)));
    }

    /**
     * The one that was trusted on a tablet stays; the one of the server is made anew when the machine is found
     * elsewhere, or when it ends soon.
     */
    @Test
    void theServersComesAndGoesAndTheTrustedOneStays() throws Exception {
        Certificates certificates = new Certificates(folder);
        certificates.prepare(List.of("192.0.2.7", "fd00:0:0:0:0:0:0:2", "workbench", "localhost"), NOW);
        X509Certificate trusted = signing(certificates);
        X509Certificate first = shown(certificates);
        first.verify(trusted.getPublicKey());
        assertThat(trusted.getBasicConstraints()).isZero();
        assertThat(first.getBasicConstraints()).isNegative();
        assertThat(first.getExtendedKeyUsage()).containsExactly("1.3.6.1.5.5.7.3.1");
        assertThat(ChronoUnit.DAYS.between(
                        first.getNotBefore().toInstant(), first.getNotAfter().toInstant()))
                .isLessThanOrEqualTo(825);

        certificates.prepare(List.of("192.0.2.7", "fd00::2", "workbench"), NOW);
        assertThat(shown(certificates)).isEqualTo(first);

        certificates.prepare(List.of("192.0.2.8", "workbench"), NOW);
        X509Certificate second = shown(certificates);
        assertThat(second).isNotEqualTo(first);
        assertThat(second.getSubjectAlternativeNames())
                .extracting(n -> n.get(1).toString())
                .contains("192.0.2.8", "workbench");
        second.verify(trusted.getPublicKey());

        certificates.prepare(List.of("192.0.2.8", "workbench"), NOW.plus(780, ChronoUnit.DAYS));
        assertThat(shown(certificates)).isNotEqualTo(second);
        assertThat(signing(certificates)).isEqualTo(trusted);
        try (var files = Files.list(folder)) {
            assertThat(files.map(f -> f.getFileName().toString()))
                    .containsExactlyInAnyOrder("network-server.p12", "network-signing.p12");
        }
    }

    @Test
    void oneThatCannotBeReadIsToldInWords() throws Exception {
        Files.writeString(folder.resolve("network-signing.p12"), "no key");
        assertThatThrownBy(() -> new Certificates(folder).prepare(List.of("localhost"), NOW))
                .isInstanceOf(CannotStart.class);
    }

    @Test
    void whatIsGivenAndIsNoneIsToldInWords() throws Exception {
        Path text = Files.writeString(folder.resolve("text"), "no key");
        assertThatThrownBy(() -> Listening.checkGiven(text.toString(), ""))
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("belong together");
        assertThatThrownBy(() -> Listening.checkGiven(folder + "/none", text.toString()))
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("cannot be read");
        assertThatThrownBy(() -> Listening.checkGiven(text.toString(), text.toString()))
                .isInstanceOf(CannotStart.class)
                .hasMessageContaining("does not hold a certificate in PEM");
    }

    @Test
    void addressesAreToldFromNames() {
        assertThat(Addresses.isAddress("192.0.2.7")).isTrue();
        assertThat(Addresses.isAddress("fd00::2")).isTrue();
        assertThat(Addresses.isAddress("workbench.local")).isFalse();
        assertThat(Addresses.inUrl("fd00::2")).isEqualTo("[fd00::2]");
        assertThat(Addresses.all()).contains("localhost", "127.0.0.1");
    }
}
