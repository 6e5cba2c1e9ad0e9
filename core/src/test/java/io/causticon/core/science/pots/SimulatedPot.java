package io.causticon.core.science.pots;

import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import java.util.List;
import java.util.Random;

/**
 * A pot on a bench that the fit knows nothing of but its readings, its mass and its material: everything else is drawn.
 * Its heat goes by convection with an exponent of its own, by radiation, into the bench and by evaporation of what
 * water the lye lets go, stepped finely; none of it is the law that is fitted. A last factor stands for what nobody
 * thought of.
 */
final class SimulatedPot {

    private static final double STEP = 0.1;
    private static final int STEPS = 6_000;
    private static final double LAST_READING = 20;
    private static final double UNTHOUGHT_OF = 0.15;

    private final Random random;
    private final boolean lye;
    private final double grams;
    private final double concentration;
    private final boolean steel;
    private final double heightToWidth;
    private final double convection;
    private final double exponent;
    private final double emissivity;
    private final double bench;
    private final double inside;
    private final double massTransfer;
    private final double wallMillimetres;
    private final double specificHeat;
    private final double factor;

    private SimulatedPot(Random random, boolean lye, double grams, double concentration, boolean steel) {
        this.random = random;
        this.lye = lye;
        this.grams = grams;
        this.concentration = concentration;
        this.steel = steel;
        this.heightToWidth = between(0.6, 1.6);
        this.convection = spread(0.2);
        this.exponent = between(0.02, 0.28);
        this.emissivity = steel ? between(0.1, 0.45) : between(0.85, 0.95);
        this.bench = between(2, 8);
        this.inside = (lye ? 300 : 55) * spread(0.4);
        this.massTransfer = 0.0075 * spread(0.4);
        this.wallMillimetres = steel ? between(0.8, 3) : between(2, 3.5);
        this.specificHeat = lye ? 4.18 - 2.6 * concentration : between(1.95, 2.2);
        this.factor = spread(UNTHOUGHT_OF);
    }

    /** Lye and fats of one batch of 500 to 1500 g of fats. */
    record Both(SimulatedPot lye, SimulatedPot fats) {

        static Both of(Random random) {
            double fats = 500 + 1000 * random.nextDouble();
            double concentration = 0.28 + 0.1 * random.nextDouble();
            return new Both(
                    new SimulatedPot(random, true, 0.14 * fats / concentration, concentration, random.nextBoolean()),
                    new SimulatedPot(random, false, fats, 0, random.nextDouble() < 0.7));
        }
    }

    /** What the fit is told of it. */
    PotCooling expected(boolean vesselNamed) {
        // Where no vessel is named lye is taken to be in plastic and fats in steel, as in a batch.
        PotVessel vessel = vesselNamed
                ? (steel ? PotVessel.STEEL : PotVessel.PLASTIC)
                : (lye ? PotVessel.PLASTIC : PotVessel.STEEL);
        PotHeatLoss pot = lye
                ? PotHeatLoss.lye(Mass.grams(grams), Share.fraction(concentration), vessel)
                : PotHeatLoss.fats(Mass.grams(grams), vessel);
        PotCooling cooling = pot.inRoom(Temperature.celsius(20));
        return vesselNamed ? cooling : cooling.ofUnknownVessel();
    }

    /**
     * One day's cooling.
     *
     * @param minutesTo40 when it is at 40 C; infinite if it never is
     * @param readings at 0, 10 and 20 min, with 1 C of noise
     */
    record Day(double minutesTo40, List<CoolingFit.Reading> readings) {}

    /** From 70 to 95 C of lye, or 55 to 80 C of fats. */
    Day day(double room, double todaysDraught) {
        double t = (lye ? 95 : 80) - 25 * random.nextDouble();
        double[] at = new double[STEPS];
        double reached = 0;
        for (int i = 0; i < STEPS && (t > 40 || i * STEP <= LAST_READING); i++) {
            at[i] = t;
            if (t > 40) {
                reached = (i + 1) * STEP;
            }
            t -= STEP * 60 * factor * todaysDraught * loss(t, room) / capacity();
        }
        reached = t > 40 ? Double.POSITIVE_INFINITY : reached;
        return new Day(reached, List.of(read(at, 0), read(at, 10), read(at, (int) LAST_READING)));
    }

    private CoolingFit.Reading read(double[] at, int minute) {
        return new CoolingFit.Reading(minute, at[(int) Math.round(minute / STEP)] + random.nextGaussian());
    }

    private double loss(double t, double room) {
        double d = t - room;
        if (d <= 0) {
            return 0;
        }
        double middle = 273.15 + (t + room) / 2;
        double black = 4 * 5.67e-8 * Math.pow(middle, 3);
        double air = convection * Math.pow(d / 20, exponent);
        double side = 1
                / (1 / (air * 1.42 * Math.pow(20 / height(), 0.25) + emissivity * black)
                        + (steel ? 0 : 0.011)
                        + 1 / inside);
        double top = 1 / (1 / (air * 1.32 * Math.pow(20 / width(), 0.25) + 0.93 * black) + 1 / inside);
        double vapour =
                lye ? Math.max(0, activity() * saturated(t) - 0.5 * saturated(room)) / (461.5 * (t + 273.15)) : 0;
        double end = Math.PI / 4 * width() * width();
        return d * (side * Math.PI * width() * height() + (top + bench) * end) + massTransfer * vapour * 2.4e6 * end;
    }

    private double capacity() {
        double wetted = Math.PI * width() * (height() + width() / 4);
        return grams * specificHeat + wetted * wallMillimetres / 1000 * (steel ? 3.95e6 : 1.71e6);
    }

    private double width() {
        double volume = grams / (lye ? 1000 * (1 + 1.1 * concentration) : 910) / 1000;
        return Math.cbrt(4 * volume / Math.PI / heightToWidth);
    }

    private double height() {
        return heightToWidth * width();
    }

    /** A straight line through 0.55 at 28 % and 0.28 at 38 %. */
    private double activity() {
        return 0.55 - 2.7 * (concentration - 0.28);
    }

    /** Antoine's equation for water, Pa. */
    private static double saturated(double celsius) {
        return 133.322 * Math.pow(10, 8.07131 - 1730.63 / (233.426 + celsius));
    }

    private double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    private double spread(double logarithmic) {
        return Math.exp(logarithmic * random.nextGaussian());
    }
}
