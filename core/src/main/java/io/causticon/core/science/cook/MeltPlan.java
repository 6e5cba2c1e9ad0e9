package io.causticon.core.science.cook;

import io.causticon.core.model.plan.Rework;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/**
 * How scraps are melted down: how long and at what heat, from their mass.
 *
 * <p>A mash of mass m and heat capacity c in surroundings of temperature T_s warms as one body,
 * {@code t = m c / (h A) ln((T_s - T_0) / (T_s - T))}, with A its surface as it lies in a pot as wide as it is high.
 * Stirred stiff paste passes on some 30 W/m2K from a wall, air of an oven gives 15 with what its walls radiate; both
 * estimates, half to twice. A microwave oven puts in two thirds of what it says on its plate, at half power.
 *
 * @param hours on the heat until it is even; central 80 %, an estimate
 * @param stirEvery how often it is stirred
 * @param surroundings of the pot; of a microwave oven the mash itself
 * @param bursts how many in a microwave oven; 0 elsewhere
 * @param burst how long each of them is
 * @param leastPotLitres so large a pot: it swells and spits
 * @param steps what the hand does, in order
 */
public record MeltPlan(
        Interval hours,
        Duration stirEvery,
        Temperature surroundings,
        int bursts,
        Duration burst,
        double leastPotLitres,
        List<Phrase> steps) {

    /** Where a mash is even; hotter it boils over (a judgement). */
    public static final Temperature EVEN_AT = Temperature.celsius(78);

    private static final double ROOM = Temperature.USUAL_ROOM.celsius();
    private static final Temperature OVER_WATER = Temperature.celsius(95);
    private static final Temperature OVEN = Temperature.celsius(95);

    /** J/(g K): soap and glycerol near 2.0, water 4.18, at a quarter to a third of water. */
    private static final double HEAT_CAPACITY = 2.6;

    /** W/(m2 K). */
    private static final double FROM_A_WALL = 30;

    private static final double FROM_OVEN_AIR = 15;
    private static final double OFF_BY = 2;

    /** W that reach the soap from 700 on the plate at half power. */
    private static final double MICROWAVE_WATTS = 700 * 0.5 * 0.65;

    /** K on the average in one burst; in its middle it is five times as much, and it swells. */
    private static final double BURST_KELVINS = 5;

    private static final int SHORTEST_BURST = 10;
    private static final int LONGEST_BURST = 60;
    private static final int ROUND_SECONDS = 5;

    /** Stirred and rested between bursts, seconds. */
    private static final double REST = 45;

    /** g/ml. */
    private static final double DENSITY = 1.0;

    private static final double SECONDS_AN_HOUR = 3600;
    private static final double SWELLS = 2;
    private static final double SWELLS_IN_BURSTS = 3;

    public MeltPlan {
        steps = List.copyOf(steps);
    }

    public static MeltPlan of(Rework rework) {
        double grams = Math.max(1, rework.total().grams());
        return switch (rework.way()) {
            case POT -> warmed(rework, grams, OVER_WATER, FROM_A_WALL, Duration.ofMinutes(15));
            case OVEN -> warmed(rework, grams, OVEN, FROM_OVEN_AIR, Duration.ofMinutes(30));
            case MICROWAVE -> inBursts(rework, grams);
        };
    }

    private static MeltPlan warmed(Rework rework, double grams, Temperature around, double watts, Duration stir) {
        // A pot as wide as it is high, half full: of a cylinder of radius r and height r the bottom, the wall and, in
        // an oven, the lid.
        double radius = Math.cbrt(grams / DENSITY / 1e6 / Math.PI);
        double surface = (rework.way() == Rework.Way.OVEN ? 4 : 3) * Math.PI * radius * radius;
        double logarithm = Math.log((around.celsius() - ROOM) / (around.celsius() - EVEN_AT.celsius()));
        double hours = grams * HEAT_CAPACITY / (watts * surface) * logarithm / SECONDS_AN_HOUR;
        List<Phrase> steps = new ArrayList<>();
        steps.add(Phrase.of("Grate or cut it into pieces no thicker than a finger; the drier, the finer."));
        steps.add(
                rework.water().isPositive()
                        ? Phrase.of("{} of water over it, and stir.", rework.water())
                        : Phrase.of("No water: it is wet enough by itself."));
        addFat(rework, steps);
        steps.add(
                rework.way() == Rework.Way.OVEN
                        ? Phrase.of(
                                "Covered, into the oven at {}. Stir every {} min; lumps stay whole if you only wait.",
                                around,
                                (double) stir.toMinutes())
                        : Phrase.of(
                                "Lid on, over hot water that hardly boils, or in a slow cooker on low. Stir every {}"
                                        + " min and scrape the wall.",
                                (double) stir.toMinutes()));
        end(steps);
        return new MeltPlan(
                Interval.between(hours / OFF_BY, hours * OFF_BY),
                stir,
                around,
                0,
                Duration.ZERO,
                SWELLS * grams / DENSITY / 1000,
                steps);
    }

    private static MeltPlan inBursts(Rework rework, double grams) {
        double kelvinPerSecond = MICROWAVE_WATTS / (grams * HEAT_CAPACITY);
        int seconds = (int) Math.max(
                SHORTEST_BURST,
                Math.min(LONGEST_BURST, ROUND_SECONDS * Math.floor(BURST_KELVINS / kelvinPerSecond / ROUND_SECONDS)));
        int bursts = (int) Math.max(1, Math.ceil((EVEN_AT.celsius() - ROOM) / (kelvinPerSecond * seconds)));
        double hours = bursts * (seconds + REST) / SECONDS_AN_HOUR;
        List<Phrase> steps = new ArrayList<>();
        steps.add(Phrase.of("Grate it fine into a glass or plastic bowl three times as large. No metal, no gilt rim."));
        steps.add(
                rework.water().isPositive()
                        ? Phrase.of("{} of water over it; let it soak for an hour.", rework.water())
                        : Phrase.of("No water: it is wet enough by itself."));
        addFat(rework, steps);
        steps.add(Phrase.of(
                "Half power, {} s, covered loosely. Wait until it has stopped rising, open, stir from below. Again,"
                        + " some {} times.",
                (double) seconds,
                (double) bursts));
        steps.add(Phrase.of(
                "It boils from within and leaps up when it is touched: stay at the door, face away, long spoon."));
        end(steps);
        return new MeltPlan(
                Interval.between(hours / OFF_BY, hours * OFF_BY),
                Duration.ofSeconds(seconds),
                EVEN_AT,
                bursts,
                Duration.ofSeconds(seconds),
                SWELLS_IN_BURSTS * grams / DENSITY / 1000,
                steps);
    }

    private static void addFat(Rework rework, List<Phrase> steps) {
        Mass fat = rework.addedFat();
        if (fat.isPositive()) {
            steps.add(Phrase.of(
                    "The {} of fat in once it is soft all through, and stirred until nothing shines: what is not mixed"
                            + " in takes up no alkali.",
                    fat));
        }
    }

    private static void end(List<Phrase> steps) {
        steps.add(Phrase.of(
                "Even at some {}: heat off, scent last and below {}, spoon it in and knock the air out.",
                EVEN_AT,
                CookPlan.SCENT_BELOW));
    }
}
