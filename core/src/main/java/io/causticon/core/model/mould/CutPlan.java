package io.causticon.core.model.mould;

import java.util.ArrayList;
import java.util.List;

/**
 * Cuts that miss what lies in the loaf: embeds, petals, a drawing that belongs to one bar.
 *
 * @param thickness of a bar, mm
 * @param cuts where the wire goes, mm from the left end; what lies before the first and behind the last is trimmed off
 * @param centres middle of each bar, mm from the left end
 * @param nearest how far the nearest edge of what is to be missed is from a cut, mm; below zero one is cut; infinite
 *     where there is nothing to miss
 */
public record CutPlan(double thickness, List<Double> cuts, List<Double> centres, double nearest) {

    /** What a bar may differ from the thickness that was asked for. */
    public static final double BY = 0.12;

    /** mm beside a cut that a hand with a wire keeps to (a judgement). */
    private static final double CLEAR = 3;

    private static final int THICKNESSES = 25;
    private static final double STEP = 0.5;
    private static final double WHOLE = 1e-9;

    public CutPlan {
        cuts = List.copyOf(cuts);
        centres = List.copyOf(centres);
    }

    /**
     * Something that is not to be cut.
     *
     * @param at its middle, mm from the left end
     * @param wide mm along the loaf
     */
    public record Embed(double at, double wide) {}

    /** How many there are. */
    public int bars() {
        return centres.size();
    }

    /**
     * As many bars as without anything to miss, or one less; where more than one way misses all, the thickness that was
     * asked for, in the middle.
     *
     * @param along length of the loaf, mm, more than zero
     * @param wanted thickness of a bar, mm, more than zero
     */
    public static CutPlan of(double along, double wanted, List<Embed> embeds) {
        CutPlan best = null;
        double bestCost = Double.POSITIVE_INFINITY;
        for (int i = 0; i < THICKNESSES; i++) {
            double thickness = Math.min(along, wanted * (1 - BY + 2 * BY * i / (THICKNESSES - 1)));
            int most = Math.max(1, (int) Math.floor(along / thickness + WHOLE));
            for (int bars = most; bars >= Math.max(1, most - 1); bars--) {
                double free = along - bars * thickness;
                for (double from = 0; from <= free + WHOLE; from += STEP) {
                    CutPlan plan = at(from, thickness, bars, embeds);
                    double cost = cost(plan, along, wanted, free, from);
                    if (cost < bestCost) {
                        bestCost = cost;
                        best = plan;
                    }
                }
            }
        }
        return best == null ? at(0, along, 1, embeds) : best;
    }

    /**
     * Embeds that are cut weigh most, then soap that is trimmed away, then a thickness that was not asked for, then
     * ends that are not alike.
     */
    private static double cost(CutPlan plan, double along, double wanted, double free, double from) {
        double cut = plan.nearest < 0
                ? 1000 * -plan.nearest
                : plan.nearest < CLEAR ? 10 * (CLEAR - plan.nearest) / CLEAR : 0;
        return cut
                + 10 * free / along
                + 20 * Math.abs(plan.thickness / wanted - 1)
                + 0.1 * Math.abs(from - free / 2) / Math.max(1, free);
    }

    private static CutPlan at(double from, double thickness, int bars, List<Embed> embeds) {
        List<Double> cuts = new ArrayList<>();
        List<Double> centres = new ArrayList<>();
        for (int i = 0; i <= bars; i++) {
            cuts.add(from + i * thickness);
            if (i < bars) {
                centres.add(from + (i + 0.5) * thickness);
            }
        }
        double nearest = Double.POSITIVE_INFINITY;
        for (Embed e : embeds) {
            for (double cut : cuts) {
                nearest = Math.min(nearest, Math.abs(cut - e.at()) - e.wide() / 2);
            }
            // What lies in the trimmings is lost as surely as what is cut.
            boolean trimmed = e.at() < cuts.get(0) || e.at() > cuts.get(bars);
            nearest = trimmed ? Math.min(nearest, -e.wide() / 2) : nearest;
        }
        return new CutPlan(thickness, cuts, centres, nearest);
    }
}
