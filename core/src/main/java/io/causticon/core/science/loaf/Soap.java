package io.causticon.core.science.loaf;

/**
 * What one cell of a setting loaf does with heat and time: its rate, its latent heat at the gel point, and where it
 * boils.
 */
final class Soap {

    /** Above this water leaves and takes the heat along; a soap's solution boils a few kelvin higher at most. */
    static final double BOILS = 100;

    private static final double GEL_LATENT_HEAT = 8000;
    private static final double GEL_HALF_WIDTH = 4;
    private static final double GELLED_CONVERSION = 0.30;

    /**
     * Converts the conversion that is missing into kelvins that are missing, so that the margin to gel is smooth (a
     * means of drawing only).
     */
    private static final double KELVIN_A_CONVERSION = 100;

    private final double gel;
    private final double low;
    private final double latent;
    private final Rates rates;

    /**
     * Rate against temperature, looked up instead of worked out in each cell at each step; between its entries it is
     * off by a hundredth of a per cent.
     */
    private static final class Rates {

        private static final int FROM = -50;
        private static final int TO = 110;
        private static final int A_KELVIN = 2;
        private static final int LAST = (TO - FROM) * A_KELVIN;

        private final double[] table = new double[LAST + 2];

        Rates(double factor, double activationEnergy) {
            for (int i = 0; i < table.length; i++) {
                table[i] = RateLaw.rate(FROM + (double) i / A_KELVIN, factor, activationEnergy);
            }
        }

        double at(double celsius) {
            double place = (celsius - FROM) * A_KELVIN;
            int i = (int) place;
            if (i < 0 || i > LAST) {
                return table[i < 0 ? 0 : LAST];
            }
            return table[i] + (table[i + 1] - table[i]) * (place - i);
        }
    }

    Soap(Batter batter, double activationEnergy) {
        this.gel = batter.gelPoint();
        this.low = gel - GEL_HALF_WIDTH;
        this.latent = GEL_LATENT_HEAT * batter.density() / batter.volumetricCapacity();
        this.rates = new Rates(batter.rate(), activationEnergy);
    }

    /**
     * How much more of a cell is soap after a step of so many seconds: an exponential Rosenbrock step of
     * {@link RateLaw}, whose {@code (exp(s) - 1) / s} is taken to its third power; s is a twentieth at most.
     */
    double growth(double celsius, double x, double step) {
        double ke = rates.at(celsius);
        double y = ke * (x + RateLaw.SELF_START) * (1 - x) * step;
        double s = ke * (1 - 2 * x - RateLaw.SELF_START) * step;
        return y * (1 + s * (1.0 / 2 + s * (1.0 / 6 + s / 24)));
    }

    /** Temperature of what holds so much heat, C; {@code theta} is what it would have without latent heat. */
    double celsius(double theta, double x) {
        if (theta <= low) {
            return theta;
        }
        double hidden = latent * x;
        if (theta >= low + 2 * GEL_HALF_WIDTH + hidden) {
            return theta - hidden;
        }
        double slope = hidden / (2 * GEL_HALF_WIDTH);
        return (theta + slope * low) / (1 + slope);
    }

    /** Below this nothing melts: heat and temperature go together, C. */
    double meltsAt() {
        return low;
    }

    /** The inverse of {@link #celsius}. */
    double theta(double celsius, double x) {
        return celsius + latent * x * Math.max(0, Math.min(1, (celsius - low) / (2 * GEL_HALF_WIDTH)));
    }

    /** K above what it takes to gel; below 0 where it does not. Without soap there is nothing that gels. */
    double aboveGel(double celsius, double x) {
        double warm = celsius - gel;
        double soapy = KELVIN_A_CONVERSION * (x - GELLED_CONVERSION);
        return warm < soapy ? warm : soapy;
    }
}
