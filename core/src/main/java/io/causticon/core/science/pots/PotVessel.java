package io.causticon.core.science.pots;

/**
 * What lye or fats stand in, as far as heat goes. Values for about 300 ml, from wall mass and wetted share (estimates,
 * +-30 %).
 *
 * @param capacity heat that the wetted wall takes up, J/K
 * @param bathTransfer through the wall into a bath, W/(m2 K)
 * @param emissivity of its outside, 0 to 1 (tables of total emissivity near room temperature)
 * @param wallResistance of its wall, m2 K/W: thickness over conductivity
 */
record PotVessel(double capacity, double bathTransfer, double emissivity, double wallResistance) {

    /** About 2 mm of polypropylene or polyethylene. */
    public static final PotVessel PLASTIC = new PotVessel(45, 60, 0.92, 0.010);

    /** Bright stainless steel as it is after some years of use; radiates little, so it stays warm longer. */
    public static final PotVessel STEEL = new PotVessel(65, 180, 0.25, 0);

    /** Steel under glass: conducts as steel, radiates as glass. */
    public static final PotVessel ENAMEL = new PotVessel(65, 180, 0.92, 0);

    public static final PotVessel GLASS = new PotVessel(170, 80, 0.92, 0.004);

    /** A tub of staves, 10 mm. */
    public static final PotVessel WOOD = new PotVessel(130, 10, 0.90, 0.08);

    /** A pot that takes up nothing, for checking against the balance. */
    public static final PotVessel NONE = new PotVessel(0, 0, 0, 0);

    /** Side and base that 300 ml wet in a jug as wide as they stand high, m2. */
    private static final double WETTED = 0.0207;

    /** Heat that a wetted wall of this area takes up, J/K. */
    double capacityOver(double squareMetres) {
        return capacity * squareMetres / WETTED;
    }
}
