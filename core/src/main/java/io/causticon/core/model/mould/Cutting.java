package io.causticon.core.model.mould;

import io.causticon.core.quantity.Mass;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How a loaf becomes bars.
 *
 * @param bars how many
 * @param thickness of each bar, mm
 * @param cuts where the wire goes, mm from the left end; the first and the last trim what is left over
 * @param centres middle of each bar, mm from the left end: where an embed, a stamp or a petal belongs
 * @param wet mass of one bar at cutting
 */
public record Cutting(int bars, double thickness, List<Double> cuts, List<Double> centres, Mass wet) {

    private static final double WHOLE = 1e-9;

    /**
     * @param mould where the soap is
     * @param batter how much of it is in the mould
     * @param thickness wanted thickness of a bar, mm; more than zero
     */
    public static Cutting of(Mould mould, Mass batter, double thickness) {
        if (!mould.kind().isCut()) {
            return new Cutting(
                    mould.cavities(), mould.height(), List.of(), List.of(), batter.times(1.0 / mould.cavities()));
        }
        double along = mould.kind() == MouldKind.TUBE ? mould.fillHeight(batter) : mould.length();
        int bars = Math.max(1, (int) Math.floor(along / thickness + WHOLE));
        double thick = Math.min(thickness, along);
        double trim = (along - bars * thick) / 2;
        List<Double> cuts =
                IntStream.rangeClosed(0, bars).mapToObj(i -> trim + i * thick).toList();
        List<Double> centres =
                IntStream.range(0, bars).mapToObj(i -> trim + (i + 0.5) * thick).toList();
        return new Cutting(
                bars * mould.cavities(), thick, cuts, centres, batter.times(thick / along / mould.cavities()));
    }
}
