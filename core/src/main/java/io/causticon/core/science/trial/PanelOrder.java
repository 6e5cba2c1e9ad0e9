package io.causticon.core.science.trial;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * In which order a judge meets the arms: a Latin square whose rows also balance who follows whom (Williams, Australian
 * Journal of Scientific Research A 2, 1949). With an even number of arms as many rows balance it, with an odd number
 * twice as many.
 */
public final class PanelOrder {

    private PanelOrder() {}

    /** How many rounds until every arm stood in every place equally often, and followed every other equally often. */
    public static int rounds(int arms) {
        return arms % 2 == 0 ? arms : 2 * arms;
    }

    /**
     * Indices of the arms in the order of one round.
     *
     * @param arms how many, at least one
     * @param round counted from 0, over all judges and sittings of a trial
     */
    public static List<Integer> of(int arms, int round) {
        if (arms < 1) {
            throw new IllegalArgumentException("A round needs an arm");
        }
        int row = Math.floorMod(round, rounds(arms));
        List<Integer> order = new ArrayList<>();
        for (int place = 0; place < arms; place++) {
            // 0, 1, n - 1, 2, n - 2, ...: neighbours differ by every distance once.
            int step = place % 2 == 0 ? arms - place / 2 : (place + 1) / 2;
            order.add(Math.floorMod(step + row, arms));
        }
        if (row >= arms) {
            Collections.reverse(order);
        }
        return List.copyOf(order);
    }
}
