package io.causticon.core.science.pots;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;

/**
 * An open pot of lye or fats on the bench, and how fast it loses its heat.
 *
 * <p>Side and surface lose by free convection of air, {@code h = 1.42 (d/H)^(1/4)} and {@code 1.32 (d/D)^(1/4)} W/(m2
 * K) (laminar, W. H. McAdams, Heat Transmission, 3rd ed. 1954, ch. 7), and by radiation, {@code 4 e sigma T^3}; the
 * base into the bench; lye also by what evaporates. In series with the wall and with the contents' own convection,
 * which is slow in oil. The contents stand as high as they are wide, the pot has no lid. No fat sets, so fats below
 * some 30 C cool more slowly than this.
 */
final class PotHeatLoss {

    private static final double UPRIGHT = 1.42;
    private static final double FLAT = 1.32;
    private static final double LAMINAR = 0.25;
    /** W/(m2 K4), CODATA 2018. */
    private static final double STEFAN_BOLTZMANN = 5.670374e-8;

    private static final double KELVIN = 273.15;
    /** Oil and water alike, from tables of total emissivity. */
    private static final double EMISSIVITY_OF_LIQUIDS = 0.93;
    /** Into a wooden bench or a board, W/(m2 K); estimate, 2 to 8. */
    private static final double BENCH = 4;
    /**
     * From the contents to the wall, W/(m2 K): free convection at a few kelvin, in lye and in oil at thirty times the
     * viscosity (estimates, +-40 %).
     */
    private static final double INSIDE_LYE = 300;

    private static final double INSIDE_FATS = 55;
    /** g/ml of melted fats near 50 C. */
    private static final double FATS_DENSITY = 0.9;

    /** K above the room, where the law is laid through the losses: between these the waiting is. */
    private static final double NEAR = 20;

    private static final double FAR = 60;
    /** A wall in water takes heat in proportion to the difference, nearly. */
    private static final double EXCESS_IN_BATH = 0.05;
    /** How fast a bath works depends on the stirring. */
    private static final double BATH_SPREAD = 0.6;

    private final PotVessel vessel;
    private final double lyeFraction;
    private final double inside;
    private final double capacity;
    private final double across;

    private PotHeatLoss(PotVessel vessel, double lyeFraction, double inside, double contentsCapacity, double litres) {
        this.vessel = vessel;
        this.lyeFraction = lyeFraction;
        this.inside = inside;
        this.across = Math.cbrt(4 * litres / 1000 / Math.PI);
        this.capacity = contentsCapacity + vessel.capacityOver(wall() + end());
    }

    /**
     * @param liquor lye and all the liquid that it is in, more than nothing
     * @param concentration of the lye, alkali by mass of alkali and water
     */
    public static PotHeatLoss lye(Mass liquor, Share concentration, PotVessel vessel) {
        double w = concentration.fraction();
        return new PotHeatLoss(
                vessel,
                w,
                INSIDE_LYE,
                liquor.grams() * LyeSolution.heatCapacity(w),
                liquor.grams() / 1000 / LyeSolution.density(w));
    }

    /** @param fats melted, more than nothing */
    public static PotHeatLoss fats(Mass fats, PotVessel vessel) {
        return new PotHeatLoss(
                vessel,
                Double.NaN,
                INSIDE_FATS,
                fats.grams() * HeatTransfer.FAT_CAPACITY,
                fats.grams() / 1000 / FATS_DENSITY);
    }

    /** Heat that contents and wall give for a kelvin, J/K. */
    public double heatCapacity() {
        return capacity;
    }

    /** W that it loses to the room; zero where it is not warmer. */
    public double lossWattsAt(Temperature contents, Temperature room) {
        double d = contents.celsius() - room.celsius();
        if (d <= 0) {
            return 0;
        }
        double middle = (contents.celsius() + room.celsius()) / 2 + KELVIN;
        double black = 4 * STEFAN_BOLTZMANN * middle * middle * middle;
        double slow = Math.pow(d / across, LAMINAR);
        double side = inSeries(UPRIGHT * slow + vessel.emissivity() * black, vessel.wallResistance());
        double top = inSeries(FLAT * slow + EMISSIVITY_OF_LIQUIDS * black, 0);
        double evaporation = Double.isNaN(lyeFraction)
                ? 0
                : new Vapour(room.celsius()).heatFlux(LyeSolution.waterActivity(lyeFraction), contents.celsius());
        return d * (side * wall() + (BENCH + top) * end()) + evaporation * end();
    }

    /** How it is expected to cool in this room, if it is the vessel that it is said to be. */
    public PotCooling inRoom(Temperature room) {
        double near = rate(NEAR, room);
        return new PotCooling(near, Math.log(rate(FAR, room) / near) / Math.log(FAR / NEAR), PotCooling.KNOWN_VESSEL);
    }

    /** How it is expected to come to a bath that reaches up to its contents, stirred now and then. */
    public PotCooling inBath() {
        double through = 1 / (1 / vessel.bathTransfer() + (Double.isNaN(lyeFraction) ? 1 / inside : 0));
        return new PotCooling(60 * through * (wall() + end()) / capacity, EXCESS_IN_BATH, BATH_SPREAD);
    }

    private double rate(double above, Temperature room) {
        return 60 * lossWattsAt(Temperature.celsius(room.celsius() + above), room) / above / capacity;
    }

    private double inSeries(double outside, double wall) {
        return 1 / (1 / outside + wall + 1 / inside);
    }

    private double wall() {
        return Math.PI * across * across;
    }

    private double end() {
        return Math.PI / 4 * across * across;
    }
}
