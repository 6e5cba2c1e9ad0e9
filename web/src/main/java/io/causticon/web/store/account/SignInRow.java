package io.causticon.web.store.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** Somebody is signed in somewhere. Taking the row away ends it there at once. */
@Entity
@Table(name = "sign_in")
class SignInRow {

    @Id
    UUID id = new UUID(0, 0);

    UUID accountId = new UUID(0, 0);
    String secretHash = "";

    /** That of the account when its password was checked. */
    int credentialVersion;

    /** When the password was checked that it was begun with. */
    Instant begunAt = Instant.EPOCH;

    Instant expiresAt = Instant.EPOCH;
}
