package io.causticon.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** The workshop: one row. */
@Entity
class Workshop {

    static final int ONLY = 1;
    static final String DEFAULT_CURRENCY = "EUR";

    @Id
    private int id = ONLY;

    private String name = "";
    private String place = "";
    private String zone = "UTC";
    private double roomCelsius;
    private String currency = DEFAULT_CURRENCY;

    protected Workshop() {}

    Workshop(String name, String place, String zone, double roomCelsius) {
        this.name = name;
        this.place = place;
        this.zone = zone;
        this.roomCelsius = roomCelsius;
    }

    String name() {
        return name;
    }

    String zone() {
        return zone;
    }

    double roomCelsius() {
        return roomCelsius;
    }

    /** Code of the money that prices are in (ISO 4217). */
    String currency() {
        return currency;
    }

    void pay(String newCurrency) {
        this.currency = newCurrency;
    }

    void change(String newName, String newZone, double newRoom) {
        this.name = newName;
        this.zone = newZone;
        this.roomCelsius = newRoom;
    }
}
