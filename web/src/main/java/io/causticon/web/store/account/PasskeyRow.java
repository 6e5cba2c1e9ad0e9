package io.causticon.web.store.account;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** The public half of a passkey. */
@Entity
@Table(name = "passkey")
class PasskeyRow {

    @Id
    UUID id = UUID.randomUUID();

    UUID accountId = new UUID(0, 0);

    /** What the device calls it, in base64url. */
    String credential = "";

    String label = "";
    byte[] publicKey = {};
    byte[] attestation = {};
    byte[] clientData = {};

    /** Some devices count how often they signed; a copy of one would count less. */
    long signatureCount;

    /** Whether the device looked who it was: by finger, face or PIN. */
    boolean verified;

    boolean mayBeCopied;
    boolean isCopied;

    @Column(updatable = false)
    Instant madeAt = Instant.EPOCH;

    @Nullable
    Instant usedAt;
}
