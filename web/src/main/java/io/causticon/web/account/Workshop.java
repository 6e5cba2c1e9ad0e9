package io.causticon.web.account;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** The workshop: one row. */
@Entity
class Workshop {

    static final int ONLY = 1;

    @Id
    private int id = ONLY;

    private String name = "";
    private String place = "";
    private String zone = "UTC";
    private double roomCelsius;

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

    void change(String newName, String newZone, double newRoom) {
        this.name = newName;
        this.zone = newZone;
        this.roomCelsius = newRoom;
    }
}
