package io.causticon.core.model.substance;

import io.causticon.core.quantity.Share;

/**
 * How much of a fat's acids one acid makes up, with the figures that theory needs.
 *
 * @param acid the acid, or the lump it stands for
 * @param share part of all fatty acids by mass
 * @param molarMass mean molar mass in this fat, g/mol
 * @param doubleBonds mean double bonds a molecule in this fat
 */
public record AcidShare(FattyAcid acid, Share share, double molarMass, double doubleBonds) {}
