package io.causticon.core.science.cure;

import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import org.jspecify.annotations.Nullable;

/**
 * A bar that dries, and the air that it dries in: what is expected of it before anybody weighs it.
 *
 * <p>Water moves through soap as heat through a slab (Crank, The Mathematics of Diffusion, 4.3): its slowest part goes
 * with {@code 1 / T = pi^2 D (1 / x^2 + 1 / y^2 + 1 / z^2)}. D is such that a bar of 25 x 65 x 85 mm at 20 C has T = 18
 * days (a judgement, as bars of four to six weeks have it), twice as much for twelve kelvins more.
 *
 * @param thickness mm
 * @param width mm
 * @param height mm
 * @param faces how many of its six are open to the air; of what stands close to others or lies on a board, fewer
 * @param freshWater of its mass when it was cut
 * @param room where it stands
 * @param humidity of the air there, a fraction; null where nobody read it
 */
public record DryingBar(
        double thickness,
        double width,
        double height,
        double faces,
        Share freshWater,
        Temperature room,
        @Nullable Double humidity) {

    /** Of a workshop where nobody reads it. */
    private static final double USUAL_HUMIDITY = 0.55;

    public static final int ALL_FACES = 6;

    /**
     * Of soap between dry and damp air, as a fraction of its mass: 3 % and 12 % of the humidity more (a judgement, as
     * milled toilet soaps hold).
     */
    private static final double LEFT_IN_DRY_AIR = 0.03;

    private static final double LEFT_BY_HUMIDITY = 0.12;

    private static final Interval HUMIDITY = Interval.between(0.1, 0.95);

    /** mm2 a day at 20 C. */
    private static final double DIFFUSES = 2.85;

    private static final double REFERENCE = 20;
    private static final double KELVINS_THAT_DOUBLE = 12;
    private static final double LEAST_LOSS = 0.002;

    /** Days that the slowest part of its water takes to fall to a third, the middle of what is expected. */
    double slowDays() {
        double paths = 1 / (thickness * thickness) + 1 / (width * width) + 1 / (height * height);
        double warm = Math.pow(2, (room.celsius() - REFERENCE) / KELVINS_THAT_DOUBLE);
        return 1 / (Math.PI * Math.PI * DIFFUSES * warm * paths * open());
    }

    /** A bar with half of its faces covered dries from the others only. */
    private double open() {
        double share = Math.max(1, Math.min(ALL_FACES, faces)) / (double) ALL_FACES;
        return share * share;
    }

    /**
     * Of its mass in a week: what is covered, or stands in damp air, loses little however wet it is, and is not dry for
     * that.
     */
    double dryBelow() {
        return Drying.DRY_BELOW_A_WEEK
                * open()
                * Math.min(1, perWhatIsLeft(canLose()) / perWhatIsLeft(canLoseInUsualAir()));
    }

    boolean isCovered() {
        return open() < 1;
    }

    /** Damper than that of a workshop where nobody reads it. */
    boolean isInDampAir() {
        return canLose() < canLoseInUsualAir();
    }

    private double canLoseInUsualAir() {
        return canLoseDownTo(waterAtTheEndIn(USUAL_HUMIDITY));
    }

    /** What is lost in a week is told of the bar as it is then: nearly as it is at the end. */
    private static double perWhatIsLeft(double loss) {
        return loss / (1 - loss);
    }

    /** What it can lose, of its mass when it was cut. */
    double canLose() {
        return canLoseDownTo(waterAtTheEnd());
    }

    private double canLoseDownTo(double left) {
        return Math.max(
                LEAST_LOSS,
                freshWater.fraction()
                        - left / (1 - left) * freshWater.complement().fraction());
    }

    /** How far that may be off, of a logarithm: half as much again and more where nobody knows the air (judgements). */
    double canLoseSpread() {
        return humidity == null ? 0.20 : 0.12;
    }

    /** Of its mass when nothing dries any more. */
    double waterAtTheEnd() {
        return waterAtTheEndIn(humidity == null ? USUAL_HUMIDITY : humidity);
    }

    private static double waterAtTheEndIn(double humidity) {
        return LEFT_IN_DRY_AIR + LEFT_BY_HUMIDITY * HUMIDITY.clamp(humidity);
    }
}
