package io.causticon.core.science.pots;

/**
 * How fast the workshop's pots cool, by its earlier batches.
 *
 * @param lye of the vessel that the lye is dissolved in
 * @param fats of the pot for the fats
 */
public record PotMemories(CoolingMemory lye, CoolingMemory fats) {

    public static final PotMemories NONE = new PotMemories(CoolingMemory.NONE, CoolingMemory.NONE);
}
