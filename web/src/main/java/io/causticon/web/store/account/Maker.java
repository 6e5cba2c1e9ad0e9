package io.causticon.web.store.account;

import io.causticon.core.model.said.notation.Units;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.quantity.TemperatureChange;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.Frame;
import java.time.ZoneId;

/**
 * Who is at the screen, with all that pages need of her.
 *
 * @param name what she signs in with
 * @param displayName what is written beside her entries
 * @param role what she may do
 * @param units in which she thinks
 * @param theme {@code day} or {@code night}
 * @param workshop the workshop's name
 * @param zone the workshop's time zone
 * @param room usual temperature of the workshop
 * @param mixAt where lye and fats of a new plan meet
 * @param within how close they should be then
 * @param currency code of the money that its prices are in (ISO 4217)
 */
public record Maker(
        String name,
        String displayName,
        Role role,
        Units units,
        String theme,
        String workshop,
        ZoneId zone,
        Temperature room,
        Temperature mixAt,
        TemperatureChange within,
        String currency) {

    public Formats formats() {
        return new Formats(units, zone);
    }

    public Frame frame(String assets) {
        String inShort = formats().massUnit() + " \u00b7 " + formats().temperatureUnit();
        boolean inGrams = units.mass() == Units.MassUnit.GRAM;
        boolean inCelsius = units.temperature() == Units.TemperatureUnit.CELSIUS;
        return new Frame(
                workshop,
                name,
                displayName,
                theme,
                inShort,
                inGrams,
                inCelsius,
                role.canWrite(),
                role == Role.OWNER,
                assets);
    }
}
