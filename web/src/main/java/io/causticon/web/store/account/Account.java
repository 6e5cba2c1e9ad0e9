package io.causticon.web.store.account;

import io.causticon.core.model.said.notation.Units;
import io.causticon.web.shared.Kept;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.UUID;

/** Somebody who signs in. */
@Entity
class Account {

    @Id
    private UUID id = UUID.randomUUID();

    private String name = "";
    private String displayName = "";
    private String passwordHash = "";

    private String role = Role.MAKER.name();
    private String massUnit = Units.MassUnit.GRAM.name();
    private String temperatureUnit = Units.TemperatureUnit.CELSIUS.name();

    private String theme = "day";
    private boolean active = true;
    private int credentialVersion = 1;
    private boolean passkeyToo;

    @Column(updatable = false)
    private Instant createdAt = Instant.EPOCH;

    protected Account() {}

    Account(String name, String displayName, String passwordHash, Role role, Instant createdAt) {
        this.name = name;
        this.displayName = displayName;
        this.passwordHash = passwordHash;
        this.role = role.name();
        this.createdAt = createdAt;
    }

    UUID id() {
        return id;
    }

    String name() {
        return name;
    }

    String displayName() {
        return displayName;
    }

    String passwordHash() {
        return passwordHash;
    }

    /** One that is not understood may do the least. */
    Role role() {
        return roleNamed(role);
    }

    /** A role by the name that is kept; the least for one that nobody knows. */
    static Role roleNamed(String name) {
        return Kept.choice(Role.class, name).orElse(Role.VIEWER);
    }

    boolean active() {
        return active;
    }

    String theme() {
        return theme;
    }

    /** Units by the names that are kept; the usual ones for what nobody knows. */
    static Units units(String massUnit, String temperatureUnit) {
        return new Units(
                Kept.choice(Units.MassUnit.class, massUnit).orElse(Units.MassUnit.GRAM),
                Kept.choice(Units.TemperatureUnit.class, temperatureUnit).orElse(Units.TemperatureUnit.CELSIUS));
    }

    void prefer(Units units, String newTheme) {
        this.massUnit = units.mass().name();
        this.temperatureUnit = units.temperature().name();
        this.theme = newTheme;
    }

    /** Grows when the password changes; whoever signed in with an earlier one is signed in no more. */
    int credentialVersion() {
        return credentialVersion;
    }

    void changePassword(String hash) {
        this.passwordHash = hash;
        this.credentialVersion++;
    }

    /** Whether her password alone is not enough. */
    boolean wantsPasskeyToo() {
        return passkeyToo;
    }

    void wantPasskeyToo(boolean wanted) {
        this.passkeyToo = wanted;
    }

    void become(Role newRole, boolean isActive) {
        this.role = newRole.name();
        this.active = isActive;
    }
}
