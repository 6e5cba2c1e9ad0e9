package io.causticon.core.model.plan;

import io.causticon.core.quantity.Temperature;

/**
 * How a filled mould is kept in an oven, which is then switched off with its door shut.
 *
 * @param temperature it is set to
 * @param minutes it is on after the pour
 * @param preheated whether it is hot when the mould comes in
 */
public record OvenStay(Temperature temperature, int minutes, boolean preheated) {

    /** What makers set an oven to for soap in its mould, an hour long (a judgement: 65 to 75 C, one to two hours). */
    public static final OvenStay USUAL = new OvenStay(Temperature.celsius(70), 60, true);
}
