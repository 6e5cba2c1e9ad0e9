package io.causticon.core.model.plan;

import io.causticon.core.quantity.Mass;

/**
 * A jug or bowl of the workshop.
 *
 * @param name what the workshop calls it
 * @param material what it is made of
 * @param mass what it weighs empty
 */
public record Vessel(String name, VesselMaterial material, Mass mass) {}
