package io.causticon.web.store.account;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Set;

/** The workshop: one row. */
@Entity
class Workshop {

    static final int ONLY = 1;
    static final String DEFAULT_CURRENCY = "EUR";
    static final double USUAL_ROOM = Temperature.USUAL_ROOM.celsius();
    static final double USUAL_MIX = 40;
    static final double USUAL_MATCH = 6;

    static final Interval ROOM = Interval.between(-10, 45);
    static final Interval MIXING = Interval.between(15, 70);
    static final Interval WITHIN = Interval.between(2, 30);

    /** The library copies all of them whenever it is asked. */
    static final Set<String> ZONES = ZoneId.getAvailableZoneIds();

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

    static Workshop notSetUp() {
        return new Workshop("Workshop", "UTC", USUAL_ROOM);
    }

    Workshop(String name, String zone, double roomCelsius) {
        this.name = name;
        this.zone = zone;
        this.roomCelsius = roomCelsius;
    }

    String name() {
        return name;
    }

    /** What is kept, or UTC where that is no zone. */
    ZoneId zoneId() {
        return ZONES.contains(zone) ? ZoneId.of(zone) : ZoneOffset.UTC;
    }

    Temperature room() {
        return Temperature.celsius(usual(roomCelsius, ROOM, USUAL_ROOM));
    }

    /** Where lye and fats usually meet. */
    Temperature mixAt() {
        return Temperature.celsius(usual(mixAtCelsius, MIXING, USUAL_MIX));
    }

    /** How close they should be. */
    TemperatureChange matchWithin() {
        return TemperatureChange.kelvin(usual(matchWithinKelvin, WITHIN, USUAL_MATCH));
    }

    /** What is kept, or what is usual where that cannot be. */
    private static double usual(double kept, Interval possible, double otherwise) {
        return possible.contains(kept) ? kept : otherwise;
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
