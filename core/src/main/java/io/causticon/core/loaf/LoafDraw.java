package io.causticon.core.loaf;

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
        return LoafHistory.between(hours, frameSeconds, core.length, i -> core[i]);
    }
}
