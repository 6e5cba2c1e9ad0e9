package io.causticon.web.store.token;

import io.causticon.web.shared.Kept;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.EnumSet;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A token of a program; only its hash is kept. */
@Entity
@Table(name = "access_token")
public class AccessTokenRow {

    @Id
    UUID id = UUID.randomUUID();

    String name = "";
    String tokenHash = "";

    /** Names of scopes with commas between. */
    String scopes = "";

    /** For whom it acts: what she may not do, it may not. */
    String accountName = "";

    Instant madeAt = Instant.EPOCH;

    @Nullable
    Instant usedAt;

    /** The last day on which it is taken, in the workshop's zone; null for no end. */
    @Nullable
    LocalDate endsOn;

    @Nullable
    Instant withdrawnAt;

    AccessTokenRow() {}

    /** A scope that nobody knows allows nothing. */
    public Set<Scope> allows() {
        Set<Scope> all = EnumSet.noneOf(Scope.class);
        for (String scope : scopes.split(",")) {
            Kept.choice(Scope.class, scope).ifPresent(all::add);
        }
        return all;
    }

    public UUID id() {
        return id;
    }

    public String name() {
        return name;
    }

    public String accountName() {
        return accountName;
    }

    public Instant madeAt() {
        return madeAt;
    }

    public @Nullable LocalDate endsOn() {
        return endsOn;
    }

    public @Nullable Instant usedAt() {
        return usedAt;
    }

    public @Nullable Instant withdrawnAt() {
        return withdrawnAt;
    }
}
