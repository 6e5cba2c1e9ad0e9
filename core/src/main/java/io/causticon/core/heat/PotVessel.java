package io.causticon.core.heat;

/**
 * What lye is dissolved in, as far as heat goes. Values for about 300 ml, from wall mass and wetted share (estimates, +-30 %).
 *
 * @param capacity heat that the wetted wall takes up, J/K
 * @param bathTransfer through the wall into a bath, W/(m2 K)
 */
public record PotVessel(double capacity, double bathTransfer) {

    public static final PotVessel PLASTIC = new PotVessel(45, 60);
    public static final PotVessel STEEL = new PotVessel(65, 180);
    public static final PotVessel GLASS = new PotVessel(170, 80);

    /** A pot that takes up nothing, for checking against the balance. */
    public static final PotVessel NONE = new PotVessel(0, 0);
}
