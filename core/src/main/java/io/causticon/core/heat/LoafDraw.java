package io.causticon.core.heat;

/**
 * What is kept of one run of an ensemble: the whole section of every frame would be some hundred times as much.
 *
 * @param peak highest temperature anywhere, C
 * @param extent how far gel went
 * @param frameSeconds from one frame to the next, s
 * @param core temperature in the middle at each frame, C
 */
record LoafDraw(double peak, LoafHistory.Extent extent, double frameSeconds, double[] core) {

    static LoafDraw of(LoafHistory history) {
        double[] core = new double[history.frames().size()];
        for (int i = 0; i < core.length; i++) {
            core[i] = history.coreCelsiusAt(i * history.frameSeconds() / 3600);
        }
        return new LoafDraw(history.peak(), history.extent(), history.frameSeconds(), core);
    }

    /** Temperature in the middle of the loaf, C, this many hours after pouring; held after the end. */
    double coreCelsiusAt(double hours) {
        double place = Math.max(0, hours) * 3600 / frameSeconds;
        int before = Math.min((int) place, core.length - 1);
        int after = Math.min(before + 1, core.length - 1);
        double part = Math.min(1, place - before);
        return core[before] * (1 - part) + core[after] * part;
    }
}
