package io.causticon.core.science.pots;

/**
 * A lye pot minute by minute.
 *
 * <p>Enthalpy is what is kept: each gram of lye and each gram of melting ice brings its own, losses take it away, and
 * the temperature follows from what is in solution at that moment. Dissolving is first order and slows towards
 * saturation, {@code d(und)/dt = -und / tau (1 - w / 0.54)}; ice melts by
 * {@code q = UA m0 (m/m0)^(2/3) (T - T_freezing(w))}; the sides lose 9 W/(m2 K), the top 8 and what evaporates. With
 * losses off the end is that of {@link LyePot#adiabaticPeak()}. Rates are estimates; hot spots where lye lies still are
 * 10-20 K hotter than the bulk that is computed.
 */
final class LyePotRun {

    /** What the forecast varies: factors on usual values. */
    record Variation(double heat, double loss, double dissolving, double melting) {

        static final Variation NONE = new Variation(1, 1, 1, 1);
    }

    /**
     * Boiling point of lye near 33 % at sea level, C (boiling-point rise of sodium hydroxide solutions, a third by
     * mass: about 18 K).
     */
    public static final double BOILS = 118;

    /** By then what is frozen has melted in strong lye, min. */
    static final double MELTING_MINUTES = 15;

    /** s, while anything is fed, dissolves or melts. */
    private static final double STEP = 1;

    /**
     * s between frames, and between steps once the pot does nothing but cool: a hundredth of the shortest time in which
     * it does.
     */
    private static final double FRAME = 5;

    private static final double DISSOLVES_WARM = 40;
    private static final double DISSOLVES_COLD = 120;
    private static final double COLD = 25;
    private static final double SATURATED = 0.54;
    private static final double ICE_CONDUCTANCE = 0.10;
    private static final double FIRST_MELT = 0.02;
    private static final double SIDE_TRANSFER = 9;
    private static final double TOP_TRANSFER = 8;
    private static final double BATH = 1;
    /** g/ml, of a jug that is chosen for all that goes into it: as wide as that stands high. */
    private static final double CONTENTS_DENSITY = 1.2;

    private static final double LOWEST_FREEZING = -28;
    private static final double LOWEST_FREEZING_AT = 0.191;
    private static final double NOTHING = 1e-6;
    /** g; they would dissolve for many minutes more and give off a joule. */
    private static final double LAST_GRAINS = 1e-3;

    private static final double NEARLY_ALL = 0.01;

    private final LyePotSetup setup;
    private final Variation variation;
    private final LyeBlend blend;
    private final double solids;
    private final double acid;
    private final double ice0;
    private final double across;
    /** J/K, of as much of its wall as the liquor wets. */
    private final double capacityOfVessel;

    private final Vapour vapour;
    private double water;
    private double dissolved;
    private double undissolved;
    private double toFeed;
    private double ice;
    private double icePerGram;
    private double neutralised;
    /**
     * J, with its zero at solid lye and liquid water at 25 C; heat of solution is not in it but follows from what is
     * dissolved.
     */
    private double enthalpy;

    private double lookedAtLye = Double.NaN;
    private double lookedAtWater = Double.NaN;
    private double heatCapacity;
    private double waterActivity;
    private double heatOfSolution;

    private LyePotRun(LyePotSetup setup, Variation variation) {
        this.setup = setup;
        this.variation = variation;
        LyePot c = setup.contents();
        this.blend = c.blend();
        this.solids = c.solids().grams();
        this.acid = c.acidMoles();
        this.ice0 = c.ice().grams();
        this.ice = ice0;
        double volume = c.lye().plus(c.water()).plus(c.ice()).grams() / CONTENTS_DENSITY * 1e-6;
        this.across = Math.cbrt(4 * volume / Math.PI);
        this.capacityOfVessel = setup.vessel().capacityOver(Math.PI * across * across + Math.PI / 4 * across * across);
        this.vapour = new Vapour(setup.room().celsius());
        this.icePerGram = LyePot.icePerGram(c.iceStart());
        this.water = c.water().grams();
        double waterAbove = c.waterStart().celsius() - LyePot.REFERENCE;
        double inert = solids * LyePot.SOLIDS_HEAT_CAPACITY;
        this.enthalpy =
                inert * waterAbove + capacityOfVessel * (setup.vesselStart().celsius() - LyePot.REFERENCE);
        if (setup.dissolved()) {
            dissolved = c.lye().grams();
            neutralised = acid;
            double w = dissolved / (dissolved + water);
            enthalpy += (dissolved + water) * blend.heatCapacity(w) * waterAbove + kilojoulesPerMoleDissolved();
        } else {
            toFeed = c.lye().grams();
            enthalpy += water * LyePot.WATER_HEAT_CAPACITY * waterAbove;
        }
        if (water < NOTHING && ice > 0) {
            meltSome();
        }
    }

    /** Where all is ice a little of it is water already; the rest is colder for that, so that no heat is made. */
    private void meltSome() {
        double first = FIRST_MELT * ice0;
        double atZero = first * LyePot.WATER_HEAT_CAPACITY * -LyePot.REFERENCE;
        icePerGram = (ice * icePerGram - atZero) / (ice - first);
        ice -= first;
        water += first;
        enthalpy += atZero;
    }

    public static LyePotCurve run(LyePotSetup setup, double minutes) {
        return run(setup, minutes, Variation.NONE);
    }

    static LyePotCurve run(LyePotSetup setup, double minutes, Variation variation) {
        return new LyePotRun(setup, variation).simulate(minutes);
    }

    private LyePotCurve simulate(double minutes) {
        double end = 60 * minutes;
        int frames = (int) Math.floor(end / FRAME + NOTHING) + 1;
        double[] temperatures = new double[frames];
        double[] frozen = new double[frames];
        double[] concentrations = new double[frames];
        int frame = 0;
        double doneAt = Double.POSITIVE_INFINITY;
        double peak = Double.NEGATIVE_INFINITY;
        double peakAt = 0;
        double all = setup.contents().lye().grams();
        double step = STEP;
        for (double t = 0; t <= end + NOTHING; t += step) {
            double now = temperature();
            boolean shown = t >= frame * FRAME - NOTHING;
            step = shown && isSettled() ? FRAME : STEP;
            if (shown && frame < frames) {
                temperatures[frame] = now;
                frozen[frame] = ice;
                concentrations[frame] = dissolved / Math.max(NOTHING, dissolved + water);
                frame++;
            }
            if (now > peak) {
                peak = now;
                peakAt = t;
            }
            if (Double.isInfinite(doneAt) && toFeed + undissolved < NEARLY_ALL * all) {
                doneAt = t;
            }
            advance(now, t / 60, step);
        }
        return new LyePotCurve(
                temperatures,
                frozen,
                concentrations,
                FRAME,
                new LyePotCurve.Ending(peak, peakAt / 60, doneAt / 60, ice, undissolved + toFeed));
    }

    /** Nothing is fed, dissolves or melts any more. */
    private boolean isSettled() {
        return toFeed <= 0 && undissolved < NOTHING && ice < NOTHING;
    }

    private void advance(double celsius, double minute, double step) {
        feed();
        dissolve(celsius);
        melt(celsius);
        if (setup.losses()) {
            enthalpy -= losses(celsius, minute) * step;
        }
    }

    private void feed() {
        double rate =
                setup.feedMinutes() <= 0 ? toFeed : setup.contents().lye().grams() / (60 * setup.feedMinutes()) * STEP;
        double fed = Math.min(toFeed, rate);
        toFeed -= fed;
        undissolved += fed;
        enthalpy +=
                fed * LyePot.DRY_HEAT_CAPACITY * (setup.contents().lyeStart().celsius() - LyePot.REFERENCE);
    }

    private void dissolve(double celsius) {
        if (undissolved < NOTHING) {
            return;
        }
        double w = dissolved / (dissolved + water);
        double tau = (ice > NOTHING || celsius < COLD ? DISSOLVES_COLD : DISSOLVES_WARM) * variation.dissolving();
        double amount = Math.min(undissolved, undissolved / tau * Math.max(0, 1 - w / SATURATED) * STEP);
        double left = undissolved - amount < LAST_GRAINS ? undissolved : amount;
        undissolved -= left;
        dissolved += left;
        double moles = Math.min(acid, blend.moles(dissolved));
        enthalpy += (moles - neutralised) * LyePot.HEAT_OF_NEUTRALISATION;
        neutralised = moles;
    }

    private void melt(double celsius) {
        if (ice < NOTHING) {
            return;
        }
        double w = dissolved / (dissolved + water);
        double freezing = w >= LOWEST_FREEZING_AT ? LOWEST_FREEZING : LyeSolution.crystallisationCelsius(w);
        double heat = ICE_CONDUCTANCE
                * variation.melting()
                * ice0
                * Math.pow(ice / ice0, 2.0 / 3)
                * Math.max(0, celsius - freezing);
        double perGram = LyePot.LATENT_HEAT_OF_ICE
                - LyePot.ICE_HEAT_CAPACITY
                        * Math.min(0, setup.contents().iceStart().celsius());
        double melted = Math.min(ice, heat * STEP / perGram);
        if (ice - melted < NEARLY_ALL * 0.1) {
            melted = ice;
        }
        ice -= melted;
        water += melted;
        enthalpy += melted * icePerGram;
    }

    private double losses(double celsius, double minute) {
        double base = Math.PI / 4 * across * across;
        double wall = Math.PI * across * across + base;
        double room = setup.room().celsius();
        double sides = setup.isInBath(minute)
                ? setup.vessel().bathTransfer() * wall * (celsius - BATH)
                : SIDE_TRANSFER * wall * (celsius - room);
        double evaporation = base * vapour.heatFlux(waterActivity, celsius);
        return variation.loss() * (sides + TOP_TRANSFER * base * (celsius - room) + evaporation);
    }

    private double temperature() {
        look();
        double capacity = (water + dissolved) * heatCapacity
                + undissolved * LyePot.DRY_HEAT_CAPACITY
                + solids * LyePot.SOLIDS_HEAT_CAPACITY
                + capacityOfVessel;
        return LyePot.REFERENCE + (enthalpy - heatOfSolution) / capacity;
    }

    /** Reads the tables for the present solution; most of the time they were read for the same one a step before. */
    private void look() {
        if (dissolved != lookedAtLye || water != lookedAtWater) {
            double w = dissolved / (dissolved + water);
            heatCapacity = blend.heatCapacity(w);
            waterActivity = LyeSolution.waterActivity(w);
            heatOfSolution = kilojoulesPerMoleDissolved();
            lookedAtLye = dissolved;
            lookedAtWater = water;
        }
    }

    private double kilojoulesPerMoleDissolved() {
        return dissolved < NOTHING ? 0 : variation.heat() * blend.kilojoulesPerMoleDissolved(dissolved, water);
    }
}
