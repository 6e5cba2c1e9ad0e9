package io.causticon.web.account;

import io.causticon.core.notation.Units;
import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
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

    @Enumerated(EnumType.STRING)
    private Role role = Role.MAKER;

    @Enumerated(EnumType.STRING)
    private Units.MassUnit massUnit = Units.MassUnit.GRAM;

    @Enumerated(EnumType.STRING)
    private Units.TemperatureUnit temperatureUnit = Units.TemperatureUnit.CELSIUS;

    private String theme = "day";
    private boolean active = true;

    @Column(updatable = false)
    private Instant createdAt = Instant.EPOCH;

    protected Account() {}

    Account(String name, String displayName, String passwordHash, Role role, Instant createdAt) {
        this.name = name;
        this.displayName = displayName;
        this.passwordHash = passwordHash;
        this.role = role;
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

    Role role() {
        return role;
    }

    boolean active() {
        return active;
    }

    String theme() {
        return theme;
    }

    Units units() {
        return new Units(massUnit, temperatureUnit);
    }

    void prefer(Units units, String newTheme) {
        this.massUnit = units.mass();
        this.temperatureUnit = units.temperature();
        this.theme = newTheme;
    }

    void changePassword(String hash) {
        this.passwordHash = hash;
    }

    void become(Role newRole, boolean isActive) {
        this.role = newRole;
        this.active = isActive;
    }
}
