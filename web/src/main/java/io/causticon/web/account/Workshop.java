package io.causticon.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** The workshop: one row. */
@Entity
class Workshop {

    static final int ONLY = 1;
    static final String DEFAULT_CURRENCY = "EUR";
    static final double USUAL_ROOM = 20;
    static final double USUAL_MIX = 40;
    static final double USUAL_MATCH = 6;

    @Id
    private int id = ONLY;

    private String name = "";
    private String place = "";
    private String zone = "UTC";
    private double roomCelsius;
    private double mixAtCelsius = USUAL_MIX;
    private double matchWithinKelvin = USUAL_MATCH;
    private String currency = DEFAULT_CURRENCY;

    protected Workshop() {}

    Workshop(String name, String zone, double roomCelsius) {
        this.name = name;
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

    /** Where lye and fats usually meet, C. */
    double mixAtCelsius() {
        return mixAtCelsius;
    }

    /** How close they should be, K. */
    double matchWithinKelvin() {
        return matchWithinKelvin;
    }

    void mix(double newMixAt, double newWithin) {
        this.mixAtCelsius = newMixAt;
        this.matchWithinKelvin = newWithin;
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
