package io.causticon.core.workshop.practice;

import java.util.ArrayList;
import java.util.List;

/**
 * A learner's record over many cases.
 *
 * @param cases how many
 * @param right how many were right
 * @param hazardsReleased how often something that can hurt was given into hands
 * @param falseAlarms conditions named that were not there
 * @param heldInVain sound batches that were held
 * @param needless looks that could change nothing, of all cases
 * @param brier mean square of stated certainty against being right, 0 to 1: 0.25 is what a coin gets (Brier, Monthly
 *     Weather Review 78, 1950)
 * @param calibration by stated certainty
 */
public record Skill(
        int cases,
        int right,
        int hazardsReleased,
        int falseAlarms,
        int heldInVain,
        int needless,
        double brier,
        List<Calibration> calibration) {

    private static final int[] BOUNDS = {0, 55, 75, 90, 101};

    public Skill {
        calibration = List.copyOf(calibration);
    }

    /**
     * One case as it ended.
     *
     * @param certainty as stated, 0 to 1
     */
    public record Ended(
            boolean right,
            boolean hazardReleased,
            int falseAlarms,
            boolean heldInVain,
            int needless,
            double certainty) {}

    /**
     * How often one was right who said to be so sure.
     *
     * @param fromPercent the least certainty of the group
     * @param toPercent the most
     * @param cases how many
     * @param right how many of them were right
     */
    public record Calibration(int fromPercent, int toPercent, int cases, int right) {}

    /** Of no cases everything is nothing. */
    public static Skill of(List<Ended> all) {
        List<Calibration> calibration = new ArrayList<>();
        for (int b = 0; b + 1 < BOUNDS.length; b++) {
            int low = BOUNDS[b];
            int high = BOUNDS[b + 1];
            List<Ended> group = all.stream()
                    .filter(e -> e.certainty() * 100 >= low && e.certainty() * 100 < high)
                    .toList();
            if (!group.isEmpty()) {
                calibration.add(new Calibration(low, Math.min(100, high - 1), group.size(), (int)
                        group.stream().filter(Ended::right).count()));
            }
        }
        double brier = all.stream()
                .mapToDouble(e -> Math.pow(e.certainty() - (e.right() ? 1 : 0), 2))
                .average()
                .orElse(0);
        return new Skill(
                all.size(),
                (int) all.stream().filter(Ended::right).count(),
                (int) all.stream().filter(Ended::hazardReleased).count(),
                all.stream().mapToInt(Ended::falseAlarms).sum(),
                (int) all.stream().filter(Ended::heldInVain).count(),
                all.stream().mapToInt(Ended::needless).sum(),
                brier,
                calibration);
    }
}
